import { t } from '@lingui/core/macro';
import { rounded, sum } from '../../base/measures';
import { readLines, type Larder, type ParsedRecipe, type ReadLine } from '../../recipe/larder';
import { isBalancing, SHARE_TOLERANCE } from '../../recipe/parsing';
import type { Ingredient } from '../../records/shapes';

/** What is wrong with a formula, beside the line it belongs to. */
export interface FormulaFinding {
  readonly code:
    | 'adds-to'
    | 'out-of-range'
    | 'no-emulsifier'
    | 'little-emulsifier'
    | 'no-preservative'
    | 'heat-sensitive'
    | 'wrong-phase';
  /** Index among the lines of the recipe; null for the formula as a whole. */
  readonly line: number | null;
  readonly text: string;
}

export interface Formula {
  /** Percent of the batch of each line, by its index among the lines of the recipe. */
  readonly percents: ReadonlyMap<number, number>;
  readonly total: number;
  readonly oilPercent: number;
  readonly findings: readonly FormulaFinding[];
}

/** Emulsifier to oil under which an emulsion parts (working assumption from suppliers' usual ratios). */
const EMULSIFIER_TO_OIL = 0.15;
/** Oil, percent, from which a mixture with water needs an emulsifier to stay together. */
const NEEDS_EMULSIFIER_FROM = 4;
/** Water, percent, from which a mixture needs a preservative to be kept. */
const NEEDS_PRESERVATIVE_FROM = 10;
/** To which temperature the phases are heated before they are joined, °C. */
export const JOINING_C = 70;

/** Whether a recipe is written as a formula: in phases, or in percent only. */
export function isFormula(recipe: ParsedRecipe): boolean {
  const lines = readLines(recipe);
  return (
    lines.some((line) => line.phase !== null) ||
    (lines.length > 1 && lines.every((line) => line.unit === '%'))
  );
}

/** Checks a formula by weight percent: what it adds to, ranges, emulsifier, preservative, heat. */
export function checkFormula(recipe: ParsedRecipe, larder: Larder): Formula {
  const read = recipe.lines.flatMap((line, index) => {
    if (line.status !== 'read') return [];
    const ingredient = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
    return [{ line, index, ingredient }];
  });
  const grams = sum(read.map(({ line }) => line.grams));
  const inPercent = read.every(({ line }) => line.unit === '%');
  const percentOf = (line: ReadLine) =>
    inPercent ? line.quantity : grams === 0 ? 0 : (100 * line.grams) / grams;
  const percents = new Map(read.map(({ line, index }) => [index, percentOf(line)]));
  const of = (share: (ingredient: Ingredient) => number) =>
    sum(read.map(({ line, ingredient }) => (ingredient ? percentOf(line) * share(ingredient) : 0)));
  const total = sum([...percents.values()]);
  const oilPercent = of(({ composition }) => (composition.fat > 50 ? composition.fat / 100 : 0));
  const water = of(({ composition }) => composition.water / 100);
  const emulsifier = of(({ actives }) => (actives.emulsifier ?? 0) / 100);
  const preservative = of(({ actives }) => (actives.preservative ?? 0) / 100);

  const findings: FormulaFinding[] = [];
  const whole = (code: FormulaFinding['code'], text: string) => findings.push({ code, line: null, text });
  if (Math.abs(total - 100) > SHARE_TOLERANCE && !read.some(({ line }) => isBalancing(line))) {
    whole(
      'adds-to',
      total < 100
        ? t`The percents add to ${{ total: rounded(total, 1) }}, not 100: ${{ missing: rounded(100 - total, 1) }} are missing; write “water to 100%” to fill up.`
        : t`The percents add to ${{ total: rounded(total, 1) }}, not 100: take something down.`,
    );
  }
  if (water > NEEDS_EMULSIFIER_FROM && oilPercent >= NEEDS_EMULSIFIER_FROM) {
    if (emulsifier === 0)
      whole(
        'no-emulsifier',
        t`${{ oilPercent: rounded(oilPercent, 1) }} % oil and water part without an emulsifier.`,
      );
    else if (emulsifier < EMULSIFIER_TO_OIL * oilPercent)
      whole(
        'little-emulsifier',
        t`${{ emulsifier: rounded(emulsifier, 1) }} % emulsifier is little for ${{ oilPercent: rounded(oilPercent, 1) }} % oil: about ${{ emulsifierToOil: rounded(EMULSIFIER_TO_OIL * oilPercent, 1) }} % or more.`,
      );
  }
  if (water > NEEDS_PRESERVATIVE_FROM && preservative === 0)
    whole(
      'no-preservative',
      t`There is water and no preservative: it keeps some days, cold, and not longer.`,
    );
  for (const { line, index, ingredient } of read) {
    if (ingredient) findings.push(...lineFindings(ingredient, percentOf(line), line.phase, index));
  }
  return { percents, total, oilPercent, findings };
}

function lineFindings(
  ingredient: Ingredient,
  percent: number,
  phase: string | null,
  line: number,
): FormulaFinding[] {
  const { name, usualShare, coolBelowC, composition } = ingredient;
  const findings: FormulaFinding[] = [];
  if (usualShare && (percent > usualShare.to || percent < usualShare.from)) {
    findings.push({
      code: 'out-of-range',
      line,
      text: t`${{ percent: rounded(percent, 2) }} % ${name}: usual is ${{ from: usualShare.from }} to ${{ to: usualShare.to }} %.`,
    });
  }
  const heated = phase === 'A' || phase === 'B';
  if (heated && coolBelowC !== undefined && coolBelowC < JOINING_C) {
    findings.push({
      code: 'heat-sensitive',
      line,
      text: t`${name} goes in below ${coolBelowC} °C: put it under phase C.`,
    });
  } else if (phase === 'A' && composition.fat > 50) {
    findings.push({ code: 'wrong-phase', line, text: t`${name} is oil: it belongs in phase B.` });
  } else if (phase === 'B' && composition.water > 50) {
    findings.push({ code: 'wrong-phase', line, text: t`${name} is mostly water: it belongs in phase A.` });
  }
  return findings;
}
