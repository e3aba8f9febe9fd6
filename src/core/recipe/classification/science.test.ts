import { larderOf } from '../../hair/history';
import { STAMP, testRecipe, valueOf } from '../../lab/testing';
import { AS_WRITTEN, SCIENCE_PARTS, type Science, type StoredRecord } from '../../records/shapes';
import { otherSciences } from './science';
import { classifyVersion } from './verdict';

const EGG = testRecipe('egg', ['1 egg', '2 tbsp olive oil', '1 tbsp honey']);
const GEL = testRecipe('gel', ['11 g gelatin', '150 ml water']);
const larderWith = (...sciences: Partial<Science>[]) =>
  larderOf([
    EGG,
    GEL,
    ...sciences.map((factors, index): StoredRecord => ({
      ...STAMP,
      id: `science-${index}`,
      recordedAt: `2026-05-0${index + 1}T10:00:00Z`,
      kind: 'science',
      factors: { ...AS_WRITTEN, ...factors },
    })),
  ]);
const verdictIn = (larder: ReturnType<typeof larderWith>, recipe = EGG) =>
  valueOf(classifyVersion(recipe, 'my-hair', larder));

describe('how the household reads the science', () => {
  it('is as it is written before anything was chosen; the newest choice counts', () => {
    expect(larderWith().science).toEqual(AS_WRITTEN);
    expect(larderWith({ intact: 2 }, { intact: 0.5 }).science.intact).toBe(0.5);
  });

  it('turns verdicts, and the flips and the other readings go by it', () => {
    expect(verdictIn(larderWith()).kind).toBe('balanced');
    expect(verdictIn(larderWith({ intact: 2 })).kind).toBe('protein');
    expect(verdictIn(larderWith({ intact: 0.5 })).kind).toBe('moisture');
    expect(verdictIn(larderWith({ firm: 2 }), GEL).push.firm).toBeLessThan(
      verdictIn(larderWith(), GEL).push.firm,
    );
  });

  it('has twelve others beside it, each with one part halved or doubled', () => {
    const hers = { ...AS_WRITTEN, water: 2 };
    const others = otherSciences(hers);
    expect(others).toHaveLength(12);
    for (const other of others) {
      const moved = SCIENCE_PARTS.filter((part) => other[part] !== hers[part]);
      expect(moved).toHaveLength(1);
    }
  });

  it('lets no more protein act than there is', () => {
    const all = verdictIn(larderWith({ intact: 4 }));
    const any = valueOf(classifyVersion(EGG, 'any-protein', larderWith({ intact: 4 })));
    expect(any.push.firm).toBeGreaterThanOrEqual(all.push.firm);
    expect(any.push.firm).toBeLessThan(1);
  });
});
