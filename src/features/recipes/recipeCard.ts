import { plural, t } from '@lingui/core/macro';
import { keepingOf } from '@/core/kitchen/batches';
import { shownMethod, type Method } from '@/core/kitchen/methods';
import { verdictReasons } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import type { Head } from '@/core/records/shapes';
import type { SheetPart } from '../shared/PrintSheet';
import { minutesText, recipeUseWords } from '../shared/treatmentWords';
import type { Making } from './makingOf';

/** Cautions on a card: the gravest first, and no more than are read. */
const MOST_CAUTIONS = 6;

function makingTitle({ totalMinutes, handsMinutes }: Method): string {
  const waits = totalMinutes - handsMinutes;
  return waits > 0
    ? t`Making: ${{ minutes: minutesText(totalMinutes) }}, ${{ waits: minutesText(waits) }} of them waiting`
    : t`Making: ${{ minutes: minutesText(totalMinutes) }}`;
}

/** A recipe on one sheet, for the kitchen wall: what it is, how it is made with what goes in, how long it keeps, what to mind. */
export function recipeCard(
  making: Making,
  larder: Larder,
  { head, hasScale }: { readonly head?: Head | undefined; readonly hasScale: boolean },
): SheetPart[] {
  const { recipe, steps, weighed, verdict, headline } = making;
  const method = shownMethod(steps, recipe.lines, larder, { factor: making.factor, hasScale });
  const heat = recipe.warmth === 'warm' ? t`, warm under a cap` : '';
  const judged = judge(recipe.lines, head, larder, { strained: recipe.strained });
  const cautions = judged.ok ? judged.value.cautions : [];
  return [
    {
      title: headline,
      lines: [
        t`${{ use: recipeUseWords()[recipe.use] }}, ${{ minutes: minutesText(recipe.contactMinutes) }} on${heat}.`,
        ...verdictReasons(verdict),
      ],
    },
    {
      title: makingTitle(method),
      lines: [
        t`For ${{ finishedGrams: Math.round(making.finishedGrams) }} g to put on.`,
        ...method.steps.map(({ text, waitMinutes }, index) =>
          waitMinutes > 0
            ? t`${{ index: index + 1 }}. ${text} (${{ minutes: minutesText(waitMinutes) }})`
            : t`${{ index: index + 1 }}. ${text}`,
        ),
      ],
    },
    {
      title: t`How it keeps`,
      lines: (['fridge', 'freezer'] as const).map((place) => {
        const { days, limitedBy } = keepingOf(weighed, place);
        const where = place === 'fridge' ? t`In the fridge` : t`Frozen`;
        return days === 0
          ? t`${where}: not at all, because of ${{ limitedBy: limitedBy.toLowerCase() }}.`
          : t`${where}: ${plural(days, { one: '# day', other: '# days' })}, because of ${{ limitedBy: limitedBy.toLowerCase() }}.`;
      }),
    },
    {
      title: t`Mind`,
      lines: cautions.slice(0, MOST_CAUTIONS).map(({ text, act }) => `${text} ${act}`),
    },
  ].filter((part) => part.lines.length > 0);
}
