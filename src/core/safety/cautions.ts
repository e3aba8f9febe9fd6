import { z } from 'zod';
import cautionList from '../../../data/cautions.json';
import { classifyLines, type Verdict, type WeighedLine } from '../classification';
import { ingredientById } from '../ingredients';
import { idSchema, invariant } from '../measures';

/** A caution and the rule for showing it. Exactly one condition to a caution, so that each can be explained. */
export const cautionSchema = z.strictObject({
  id: idSchema,
  /** "care": shown; "stop": harm is plain, the treatment is not offered for use. */
  level: z.enum(['care', 'stop']),
  when: z.union([
    z.strictObject({ anyOf: z.array(idSchema).min(1) }),
    z.strictObject({ allergen: z.string().min(1) }),
    z.strictObject({ essentialOilAbove: z.number().positive() }),
    z.strictObject({ acidAbove: z.number().positive() }),
    z.strictObject({ oilAbove: z.number().positive() }),
    z.strictObject({ mustStrain: z.literal(true) }),
    z.strictObject({ hiddenProtein: z.literal(true) }),
    z.strictObject({ tanninFirms: z.literal(true) }),
  ]),
  text: z.string().min(1),
  act: z.string().min(1),
});
export type Caution = z.infer<typeof cautionSchema>;

export const CAUTIONS = cautionList as readonly Caution[];

/** Acting protein, g per 100 g, from which protein in a moisture mask is worth a word (working assumption). */
const HIDDEN_PROTEIN_LOAD = 0.3;
/** Share of the firming load from tannin above which the firming is the tannin's. */
const TANNIN_SHARE = 0.6;
/** Push under which firming is not worth a word. */
const NOTICEABLE_FIRM_PUSH = 0.3;

/** The cautions that this recipe calls for, the grave ones first; of two on one matter only the graver. */
export function cautionsFor(lines: readonly WeighedLine[], verdict: Verdict): Caution[] {
  const holds = (caution: Caution) => conditionHolds(caution.when, lines, verdict);
  const found = CAUTIONS.filter(holds);
  const grave = found.filter((caution) => caution.level === 'stop');
  const mild = found.filter(
    (caution) => caution.level === 'care' && !grave.some((other) => other.id.startsWith(caution.id)),
  );
  return [...grave, ...mild];
}

function conditionHolds(when: Caution['when'], lines: readonly WeighedLine[], verdict: Verdict): boolean {
  const { loads } = verdict;
  if ('anyOf' in when) return lines.some((line) => when.anyOf.includes(line.ingredientId));
  if ('allergen' in when) return lines.some((line) => ingredientOf(line).allergens.includes(when.allergen));
  if ('essentialOilAbove' in when) return loads.essentialOil > when.essentialOilAbove;
  if ('acidAbove' in when) return loads.acid > when.acidAbove;
  if ('oilAbove' in when) return loads.penetratingOil + loads.sealingOil > when.oilAbove;
  if ('mustStrain' in when) return lines.some(mustBeStrained);
  if ('hiddenProtein' in when)
    return verdict.kind === 'moisture' && brokenDownProtein(lines) > HIDDEN_PROTEIN_LOAD;
  return (
    verdict.push.firm > NOTICEABLE_FIRM_PUSH &&
    loads.firm > 0 &&
    1 - loads.protein / loads.firm > TANNIN_SHARE
  );
}

function ingredientOf(line: WeighedLine) {
  const ingredient = ingredientById(line.ingredientId);
  invariant(ingredient, `ingredient ${line.ingredientId} is in no catalogue`);
  return ingredient;
}

export function mustBeStrained(line: Pick<WeighedLine, 'ingredientId' | 'preparationId'>): boolean {
  return (
    ingredientById(line.ingredientId)?.preparations.some(
      ({ id, strain }) => id === line.preparationId && strain,
    ) ?? false
  );
}

/** Acting protein under the strictest school, g per 100 g: what counts whatever the maker believes. */
function brokenDownProtein(lines: readonly WeighedLine[]): number {
  const strict = classifyLines(lines, 'broken-down');
  return strict.ok ? strict.value.loads.protein : 0;
}
