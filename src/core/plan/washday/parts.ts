import { cautionsFor } from '../../recipe/safety';
import type { Phase, WashStep } from '../../records/shapes';
import type { DayUse, WashPlan } from './washPlan';

/**
 * What each step of her hands takes of a wash, as parts of the whole that this head needs; they add to 60 (working
 * assumption, from an hour for a middling head).
 */
export const HANDS_PARTS = {
  detangle: 14,
  cleanse: 8,
  condition: 3,
  blot: 2,
  section: 4,
  apply: 12,
  cover: 2,
  rinse: 8,
  seal: 7,
} as const;
type HandsPart = keyof typeof HANDS_PARTS;
const ALL_PARTS = Object.values(HANDS_PARTS).reduce((total, part) => total + part, 0);

type StepDraft = Partial<WashStep> & Pick<WashStep, 'id' | 'phase' | 'title' | 'how' | 'why' | 'minutes'>;

export const step = (draft: StepDraft): WashStep => ({
  waits: false,
  slot: null,
  recipeId: null,
  sections: null,
  caution: null,
  onlyIfFirm: false,
  late: null,
  ...draft,
});

export const hands = ({ washMinutes }: Pick<WashPlan, 'washMinutes'>, part: HandsPart): number =>
  Math.max(1, Math.round((washMinutes * HANDS_PARTS[part]) / ALL_PARTS));

/** Where in the day a caution belongs; what is not named belongs to putting it on. */
const AT_RINSE: ReadonlySet<string> = new Set([
  'egg-cool',
  'grit',
  'lemon-sun',
  'soap-eyes',
  'slippery-tub',
  'milk-fresh',
  'dye-stain',
]);
/** Matters of the kitchen are over by now. */
const IN_THE_KITCHEN: ReadonlySet<string> = new Set([
  'strain',
  'powder-dust',
  'hidden-protein',
  'double-protein',
  'aloe-sap',
]);

export function cautionAt(
  { head }: WashPlan,
  { lines, verdict, version }: DayUse,
  phase: Extract<Phase, 'apply' | 'rinse'>,
): string | null {
  const texts = version.lines.map(({ text }) => text);
  const own = cautionsFor(lines, verdict, head, texts).filter(
    ({ id }) => !IN_THE_KITCHEN.has(id) && AT_RINSE.has(id) === (phase === 'rinse'),
  );
  const said = own
    .slice(0, 2)
    .map(({ text, act }) => `${text} ${act}`)
    .join(' ');
  return said.length === 0 ? null : said.slice(0, 400);
}
