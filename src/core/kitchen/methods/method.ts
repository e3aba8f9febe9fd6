import { sum } from '../../base/measures';
import { MADE_GRAMS_PER_ML, type Larder, type ParsedRecipe } from '../../recipe/larder';
import type { Deed, Ingredient, RecipeVersion, SavedLine, SavedStep } from '../../records/shapes';
import { measuredOut, type MeasuredOut } from '../making';
import { methodKind, TOOLS, type Tool } from './kinds';
import { withMissing } from './missing';
import { byLine, partsByLine, partsIn, partsOf, type Part } from './parts';
import { shortestMethod, stepOf } from './shortest';
import { kitchenSteps, toldMethod } from './told';

/** One line as it goes into a step. */
export interface MethodLine {
  /** Index in the lines of the recipe. */
  readonly line: number;
  readonly name: string;
  /** As it is measured out. */
  readonly amount: string;
  /** As it stands in the text: "two ripe bananas", "2 tbsp honey". */
  readonly phrase: string;
  /** Of the measure against what is wanted, as a share of it. */
  readonly error: number;
}

/** One thing to do; several things that happen at one time are one. */
export interface MethodStep {
  readonly text: string;
  readonly lines: readonly MethodLine[];
  readonly handsMinutes: number;
  readonly waitMinutes: number;
  /** From her telling; else it was added. */
  readonly told: boolean;
}

export interface Method {
  readonly steps: readonly MethodStep[];
  readonly totalMinutes: number;
  readonly handsMinutes: number;
  readonly washUp: readonly Tool[];
}

export interface MethodOptions {
  /** Of the batch on the recipe as it stands. */
  readonly factor: number;
  readonly hasScale: boolean;
}

const TOOLS_OF: Partial<Record<Deed, Tool>> = {
  mix: 'bowl',
  whip: 'bowl',
  soak: 'bowl',
  blend: 'blender',
  heat: 'pot',
  boil: 'pot',
  strain: 'cloth',
};

/**
 * How a text is made: her own steps in her order where she told any, with what is missing added; else the shortest honest
 * way, in which lines share pot, blender and cloth. Each line that was read goes into exactly one step.
 * @returns nothing where no line was read
 */
export function methodOfText(recipe: ParsedRecipe, lines: readonly SavedLine[], larder: Larder): SavedStep[] {
  return methodOfRecipe({ lines: [...lines], method: toldSteps(recipe, lines, larder) }, larder);
}

/**
 * The steps of a text that are kept with the recipe: those that were told; undefined where none were.
 * @param lines of the text, as they are kept
 */
export function toldSteps(
  recipe: ParsedRecipe,
  lines: readonly SavedLine[],
  larder: Larder,
): SavedStep[] | undefined {
  const parts = partsOf(lines, larder, recipe.lines);
  const told = kitchenSteps(recipe);
  return parts.length > 0 && told.length > 0 ? toldMethod(told, parts) : undefined;
}

/**
 * How a version is made: the steps that are kept with it, with what is missing added unless they were put in order by hand;
 * of one that has none, or whose lines they do not fit, the shortest way.
 */
export function methodOfRecipe(
  { lines, method, arranged }: Pick<RecipeVersion, 'lines' | 'method' | 'arranged'>,
  larder: Larder,
): SavedStep[] {
  const parts = partsOf(lines, larder);
  if (parts.length === 0) return [];
  const kept = method && fits(method, parts) ? method : null;
  if (kept && arranged) return kept;
  const steps = kept ? kept.map((step) => inToday(step, byLine(parts))) : shortestMethod(parts);
  return withMissing(steps, parts);
}

/** What was added is said in the language of now. */
function inToday(step: SavedStep, parts: ReadonlyMap<number, Part>): SavedStep {
  return step.by === 'told' || step.way === undefined ? step : stepOf(step.way, partsIn(step, parts));
}

function fits(steps: readonly SavedStep[], parts: readonly Part[]): boolean {
  const inSteps = steps.flatMap(({ lines }) => lines).sort((a, b) => a - b);
  return inSteps.length === parts.length && parts.every(({ line }, index) => line === inSteps[index]);
}

/**
 * Steps with the amounts of a batch, in her measures or by weight.
 * @param lines of the recipe as it stands
 */
export function shownMethod(
  steps: readonly SavedStep[],
  lines: readonly SavedLine[],
  larder: Larder,
  options: MethodOptions,
): Method {
  const parts = partsByLine(lines, larder);
  const shown = steps.map((step): MethodStep => {
    const measured = partsIn(step, parts).map((part) => {
      const amount = amountOf(part, options);
      return { part, amount, phrase: phraseOf(part.name, amount) };
    });
    const text = step.text.replace(/\{(\d+)\}/g, (whole, line: string) => {
      const found = measured.find(({ part }) => part.line === Number(line));
      return found ? found.phrase : whole;
    });
    return {
      text: text.charAt(0).toUpperCase() + text.slice(1),
      lines: measured.map(({ part: { line, name }, phrase, amount: { amount, error } }) => ({
        line,
        name,
        amount,
        phrase,
        error,
      })),
      handsMinutes: step.handsMinutes,
      waitMinutes: step.waitMinutes,
      told: step.by === 'told',
    };
  });
  const tools = new Set(steps.flatMap(toolsOf));
  if (tools.size === 0) tools.add('bowl');
  return {
    steps: shown,
    handsMinutes: sum(shown.map((step) => step.handsMinutes)),
    totalMinutes: sum(shown.map((step) => step.handsMinutes + step.waitMinutes)),
    washUp: TOOLS.filter((tool) => tools.has(tool)),
  };
}

/** Of a way that is known, what it needs; else what is done says it. */
function toolsOf({ way, deeds }: SavedStep): readonly Tool[] {
  return way === undefined ? deeds.flatMap((deed) => TOOLS_OF[deed] ?? []) : methodKind(way).needs;
}

interface Amount extends MeasuredOut {
  /** Her own words for it, where they say this amount. */
  readonly words: string | null;
  readonly isCounted: boolean;
}

const SAME = 0.01;

function amountOf(
  { name, ingredient, preparation, grams, told: own }: Part,
  { factor, hasScale }: MethodOptions,
): Amount {
  const measures = measuresOf(ingredient, own?.unit === 'piece');
  const measured = measuredOut(
    { name, measures, powder: ingredient?.powder, preparation, grams: grams * factor },
    own,
    factor,
    hasScale,
  );
  const saysIt = measured.isOwn && Math.abs(factor - 1) < SAME;
  return { ...measured, words: saysIt ? (own?.words ?? null) : null, isCounted: own?.unit === 'piece' };
}

/** Powder and sheets are counted only where she counts them; a juicy thing is counted by itself. */
function measuresOf(ingredient: Ingredient | null, isCounted: boolean): Ingredient['measures'] {
  if (!ingredient) return { gramsPerMl: MADE_GRAMS_PER_ML };
  if (isCounted || ingredient.composition.water > COUNTED_FROM) return ingredient.measures;
  const { pieceGrams: _, ...others } = ingredient.measures;
  return others;
}

/** Water, g in 100 g, from which a thing is counted in pieces. */
const COUNTED_FROM = 50;

/** "two ripe bananas", "4 × banana", "2 tbsp honey", "2 handfuls nettle (30 g)" */
function phraseOf(name: string, { words, amount, own, weight, isOwn, isCounted }: Amount): string {
  if (!isOwn || own === null) return `${amount} ${name}`;
  const said = words ?? (isCounted ? `${own} × ${name}` : `${own} ${name}`);
  return weight === null ? said : `${said} (${weight})`;
}
