import sources from '../../../../data/ingredients/sources.json';
import { ingredientSchema, ROLES, sourceSchema, type Ingredient } from '../../records/shapes';
import { CATALOGUE, sourceOf } from './catalogue';

/** The path of every figure that an ingredient has. */
function figuresOf(ingredient: Ingredient): string[] {
  const { composition, actives, measures, preparations, usualShare, pH, coolBelowC, acidPKa } = ingredient;
  return [
    ...Object.keys(composition).map((part) => `composition.${part}`),
    ...Object.keys(actives).map((part) => `actives.${part}`),
    ...Object.keys(measures).map((part) => `measures.${part}`),
    ...preparations.map(({ id }) => `preparations.${id}`),
    ...(usualShare ? ['usualShare.from', 'usualShare.to'] : []),
    ...(pH === undefined ? [] : ['pH']),
    ...(coolBelowC === undefined ? [] : ['coolBelowC']),
    ...(acidPKa === undefined ? [] : ['acidPKa']),
    'keeping',
    'allergens',
  ];
}

describe('the catalogue', () => {
  it.each(CATALOGUE.map((ingredient) => [ingredient.id, ingredient] as const))(
    '%s has the shape of an ingredient',
    (_, ingredient) => {
      expect(ingredientSchema.safeParse(ingredient).error?.issues ?? []).toEqual([]);
    },
  );

  it('holds at least four hundred ingredients, each id once', () => {
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(400);
    expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length);
  });

  it('has compositions whose parts add to about 100 g', () => {
    for (const { id, composition, actives } of CATALOGUE) {
      const parts = Object.values(composition).reduce((sum, part) => sum + part, 0);
      // The food table measures each column by itself and may leave organic acids out.
      const totals = [parts, parts + (actives.acid ?? 0)];
      const about100 = totals.some((total) => total >= 96 && total <= 102);
      expect({ id, about100 }).toEqual({ id, about100: true });
    }
  });

  it('has actives that fit into what is neither water nor protein', () => {
    for (const { id, composition, actives } of CATALOGUE) {
      const { emulsifier: _, emollient = 0, cationic = 0, ...rest } = actives;
      const room = 101.5 - composition.water - composition.protein;
      const taken = Object.values(rest).reduce((sum, part) => sum + part, emollient + cationic);
      expect({ id, fits: taken <= room }).toEqual({ id, fits: true });
    }
  });

  it('strains in every preparation that must be strained, and in no other', () => {
    for (const { id, preparations } of CATALOGUE) {
      for (const { id: way, strain, stages } of preparations) {
        const does = stages.map((stage) => stage.do);
        expect({ id, way, strains: does.includes('strain') }).toEqual({ id, way, strains: strain });
      }
    }
  });

  it('has plausible densities and pieces', () => {
    for (const { id, measures, composition } of CATALOGUE) {
      const liquid = composition.water > 85 && composition.fibre < 1;
      const { gramsPerMl, pieceGrams } = measures;
      expect({ id, plausible: !liquid || (gramsPerMl > 0.9 && gramsPerMl < 1.1) }).toEqual({
        id,
        plausible: true,
      });
      if (composition.fat > 95)
        expect({ id, oil: gramsPerMl > 0.85 && gramsPerMl < 0.98 }).toEqual({ id, oil: true });
      if (pieceGrams)
        expect({
          id,
          rising: pieceGrams.small < pieceGrams.medium && pieceGrams.medium < pieceGrams.large,
        }).toEqual({ id, rising: true });
    }
  });

  it('has protein only where it says in which form', () => {
    for (const { id, composition, proteinForm } of CATALOGUE) {
      if (composition.protein > 5.5) expect({ id, proteinForm }).not.toEqual({ id, proteinForm: 'none' });
    }
  });

  it('names a source for every figure, and none for a figure that is not there', () => {
    for (const ingredient of CATALOGUE) {
      for (const figure of figuresOf(ingredient)) expect(sourceOf(ingredient, figure).title).not.toBe('');
      for (const named of Object.keys(ingredient.sources)) {
        const there = figuresOf(ingredient).some(
          (figure) => figure === named || figure.startsWith(`${named}.`),
        );
        expect({ id: ingredient.id, named, there: there || named === 'actives' }).toEqual({
          id: ingredient.id,
          named,
          there: true,
        });
      }
    }
    for (const source of sources) expect(sourceSchema.safeParse(source).success).toBe(true);
  });

  it('has at most one usual preparation an ingredient, and one wherever there are any', () => {
    for (const { id, preparations } of CATALOGUE) {
      const usual = preparations.filter((preparation) => preparation.usual).length;
      expect({ id, usual }).toEqual({ id, usual: preparations.length === 0 ? 0 : 1 });
    }
  });

  it('uses every role', () => {
    const used = new Set(CATALOGUE.flatMap(({ roles }) => roles));
    expect(ROLES.filter((role) => !used.has(role))).toEqual([]);
  });
});
