import { t } from '@lingui/core/macro';
import { z } from 'zod';
import cautionList from '../../../../data/cautions.json';
import { worded } from '../../base/language';
import { idSchema } from '../../base/measures';
import { acidityOf, classifyLines, leavesGrit, type Verdict } from '../classification';
import type { WeighedLine } from '../larder';

const positive = z.number().positive();
const yes = z.literal(true);

/** A caution and the rule for showing it. Exactly one condition to a caution, so that each can be explained. */
export const cautionSchema = z.strictObject({
  id: idSchema,
  /** "care": shown; "stop": harm is plain, the treatment is not offered for use. */
  level: z.enum(['care', 'stop']),
  when: z.union([
    z.strictObject({ anyOf: z.array(idSchema).min(1) }),
    z.strictObject({ allergen: z.string().min(1) }),
    z.strictObject({ essentialOilAbove: positive }),
    z.strictObject({ childEssentialOilAbove: positive }),
    z.strictObject({ pregnantEssentialOilAbove: positive }),
    z.strictObject({ health: z.string().min(1) }),
    z.strictObject({ overBleach: z.array(idSchema).min(1) }),
    z.strictObject({ acidAbove: positive }),
    z.strictObject({ pHBelow: positive }),
    z.strictObject({ pHAbove: positive }),
    z.strictObject({ oilAbove: positive }),
    z.strictObject({ firmOnSensitive: positive }),
    z.strictObject({ mustStrain: yes }),
    z.strictObject({ hotGel: yes }),
    z.strictObject({ meltedFat: yes }),
    z.strictObject({ gritLeftIn: yes }),
    z.strictObject({ hiddenProtein: yes }),
    z.strictObject({ doubleProtein: yes }),
    z.strictObject({ tanninFirms: yes }),
    z.strictObject({ headAllergy: yes }),
    z.strictObject({ saidHot: yes }),
  ]),
  text: z.string().min(1),
  act: z.string().min(1),
});
export type Caution = z.infer<typeof cautionSchema>;
type Condition = Caution['when'];

export const CAUTIONS: readonly Caution[] = (cautionList as readonly Caution[]).map((caution) =>
  worded(caution, 'text', 'act'),
);

/** What is known of the head that it is meant for. */
export interface WhoseHead {
  readonly allergies: readonly string[];
  readonly ageBand: string;
  readonly health: readonly string[];
  readonly chemistry: readonly string[];
  readonly proteinSensitive: boolean;
}
export const NOBODY: WhoseHead = {
  allergies: [],
  ageBand: 'adult',
  health: [],
  chemistry: [],
  proteinSensitive: false,
};

/** Up to twelve years: no strong protein, no essential oil. */
export function isChild({ ageBand }: Pick<WhoseHead, 'ageBand'>): boolean {
  return ageBand === 'baby' || ageBand === 'child';
}

/** Acting protein, g per 100 g, from which protein in a moisture mask is worth a word (working assumption). */
const HIDDEN_PROTEIN_LOAD = 0.3;
/** Share of the firming load from tannin above which the firming is the tannin's. */
const TANNIN_SHARE = 0.6;
/** Push under which firming is not worth a word. */
const NOTICEABLE_FIRM_PUSH = 0.3;
/** From this strength a protein treatment is strong enough that more protein in its conditioner matters. */
const DOUBLE_PROTEIN_STRENGTH = 2.4;

/** "apply while still hot", "pour it boiling over the roots": not a hot towel, and not a warning against it. */
const SAID_HOT =
  /^(?!.*\b(?:not|never|don['’]?t|cool|cooled|lukewarm)\b).*\b(?:apply|pour|put|massage|rub|spread|smooth|work|slather)\b.*\b(?:while (?:it is |it's )?(?:still )?(?:hot|boiling)|(?:boiling|scalding|piping|very)(?: hot)?|straight (?:from|off) the (?:stove|pan|pot|heat|boil)|hot(?= (?:on|to|over|onto|into)\b))/i;

interface Facts {
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
  readonly head: WhoseHead;
  readonly texts: readonly string[];
  /** All of it is strained once it is mixed. */
  readonly strained: boolean;
}

/**
 * The cautions that this recipe calls for, the grave ones first; of two on one matter only the graver.
 * @param head whom it is meant for; without one, nobody's allergies are known
 * @param texts the rows as written: an instruction may say something dangerous
 * @param strained her method strains all of it, so that no bits stay
 */
export function cautionsFor(
  lines: readonly WeighedLine[],
  verdict: Verdict,
  head: WhoseHead = NOBODY,
  texts: readonly string[] = [],
  strained = false,
): Caution[] {
  const facts: Facts = { lines, verdict, head, texts, strained };
  const found = CAUTIONS.filter(({ when }) => conditionHolds(when, facts)).map((caution) =>
    caution.id === 'known-allergy' ? { ...caution, text: allergyText(facts) } : caution,
  );
  const grave = found.filter((caution) => caution.level === 'stop');
  const mild = found.filter(
    (caution) => caution.level === 'care' && !grave.some((other) => other.id.startsWith(caution.id)),
  );
  return [...grave, ...mild];
}

type RuleOf<C extends Condition> = (value: C[keyof C], facts: Facts) => boolean;
type KeyOf<C> = C extends C ? keyof C : never;

const CONDITION_RULES: { [K in KeyOf<Condition>]: RuleOf<Extract<Condition, Record<K, unknown>>> } = {
  anyOf: (ids, { lines }) => lines.some(({ ingredient }) => ids.includes(ingredient.id)),
  allergen: (allergen, { lines }) => lines.some(({ ingredient }) => ingredient.allergens.includes(allergen)),
  essentialOilAbove: (most, { verdict }) => verdict.loads.essentialOil > most,
  childEssentialOilAbove: (most, { verdict, head }) => isChild(head) && verdict.loads.essentialOil > most,
  pregnantEssentialOilAbove: (most, { verdict, head }) =>
    head.health.includes('pregnant') && verdict.loads.essentialOil > most,
  health: (state, { head }) => head.health.includes(state),
  overBleach: (ids, { lines, head }) =>
    head.chemistry.includes('bleached') && lines.some(({ ingredient }) => ids.includes(ingredient.id)),
  acidAbove: (most, { verdict }) => verdict.loads.acid > most,
  pHBelow: (least, facts) => (pHOf(facts) ?? 7) < least,
  pHAbove: (most, facts) => (pHOf(facts) ?? 7) > most,
  oilAbove: (most, { verdict: { loads } }) => loads.penetratingOil + loads.sealingOil > most,
  firmOnSensitive: (least, { verdict, head }) => head.proteinSensitive && verdict.push.firm > least,
  mustStrain: (_, { lines, strained }) => !strained && lines.some(mustBeStrained),
  hotGel: (_, { lines }) =>
    lines.some(
      ({ preparation, ingredient }) =>
        ingredient.id !== 'gelatin' &&
        preparation?.stages.some((stage) => stage.do === 'boil' || stage.do === 'bake'),
    ),
  meltedFat: (_, { lines }) =>
    lines.some(
      ({ ingredient, preparation }) =>
        ingredient.composition.fat > 50 && preparation?.stages.some((stage) => stage.do === 'melt'),
    ),
  gritLeftIn: (_, { lines }) => lines.some(leavesGrit),
  hiddenProtein: (_, { lines, verdict }) =>
    verdict.kind === 'moisture' && brokenDownProtein(lines) > HIDDEN_PROTEIN_LOAD,
  doubleProtein: (_, { lines, verdict }) =>
    verdict.kind === 'protein' &&
    verdict.strength >= DOUBLE_PROTEIN_STRENGTH &&
    lines.some(
      ({ ingredient }) => ingredient.roles.includes('conditioner') && ingredient.composition.protein > 0,
    ) &&
    lines.some(
      ({ ingredient }) => !ingredient.roles.includes('conditioner') && ingredient.composition.protein > 5,
    ),
  tanninFirms: (_, { verdict: { push, loads } }) =>
    push.firm > NOTICEABLE_FIRM_PUSH && loads.firm > 0 && 1 - loads.protein / loads.firm > TANNIN_SHARE,
  headAllergy: (_, facts) => allergicTo(facts).length > 0,
  saidHot: (_, { texts }) => texts.some((text) => SAID_HOT.test(text)),
};

function conditionHolds(when: Condition, facts: Facts): boolean {
  const [key, value] = Object.entries(when)[0] as [keyof typeof CONDITION_RULES, never];
  return CONDITION_RULES[key](value, facts);
}

function pHOf({ lines, verdict }: Facts): number | null {
  return acidityOf(lines, verdict.finishedGrams).pH;
}

function allergicTo({ lines, head }: Facts): WeighedLine[] {
  return lines.filter(({ ingredient }) => ingredient.allergens.some((each) => head.allergies.includes(each)));
}

function allergyText(facts: Facts): string {
  const names = [...new Set(allergicTo(facts).map(({ ingredient }) => ingredient.name))];
  return t`There is a reaction to something in it: ${{ names: names.join(', ') }}.`;
}

function mustBeStrained({ preparation }: Pick<WeighedLine, 'preparation'>): boolean {
  return preparation?.strain ?? false;
}

/** Acting protein under the strictest school, g per 100 g: what counts whatever the maker believes. */
function brokenDownProtein(lines: readonly WeighedLine[]): number {
  const strict = classifyLines(lines, 'broken-down');
  return strict.ok ? strict.value.loads.protein : 0;
}
