import { plural, t } from '@/core/base/language';
import { keepingOf } from '@/core/kitchen/batches';
import { lineInView } from '@/core/kitchen/making';
import { verdictReasons } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/recipes';
import { judge } from '@/core/recipe/safety';
import type { Head } from '@/core/records/shapes';
import { minutesText, USE_WORDS } from '../shared/beatWords';
import type { SheetPart } from '../shared/PrintSheet';
import type { Making } from './makingOf';

/** Cautions on a card: the gravest first, and no more than are read. */
const MOST_CAUTIONS = 6;

function makingTitle({ totalMinutes, handsMinutes }: Making['timetable']): string {
  const waits = totalMinutes - handsMinutes;
  return t`Making: ${minutesText(totalMinutes)}${waits > 0 ? t`, ${minutesText(waits)} of them waiting` : ''}`;
}

/** A recipe on one sheet, for the kitchen wall: what it is, what goes in, how it is made, how long it keeps, what to mind. */
export function recipeCard(making: Making, larder: Larder, head?: Head): SheetPart[] {
  const { recipe, lines, weighed, verdict, headline, timetable } = making;
  const heat = recipe.warmth === 'warm' ? t`, warm under a cap` : '';
  const judged = judge(recipe.lines, head, larder);
  const cautions = judged.ok ? judged.value.cautions : [];
  return [
    {
      title: headline,
      lines: [
        t`${USE_WORDS[recipe.use]}, ${minutesText(recipe.contactMinutes)} on${heat}.`,
        ...verdictReasons(verdict),
      ],
    },
    {
      title: t`What goes in, for ${Math.round(making.finishedGrams)} g to put on`,
      lines: lines.flatMap((line) => {
        if (line.grams === null) return [line.text];
        const { grams, spoons, words } = lineInView(line, larder);
        return [
          grams.text === spoons.text ? `${grams.text} ${words}` : `${grams.text} ${words} (${spoons.text})`,
        ];
      }),
    },
    {
      title: makingTitle(timetable),
      lines: timetable.steps.map(({ text, startMinute }, index) =>
        startMinute === 0
          ? t`${index + 1}. ${text}`
          : t`${index + 1}. After ${minutesText(startMinute)}: ${text}`,
      ),
    },
    {
      title: t`How it keeps`,
      lines: (['fridge', 'freezer'] as const).map((place) => {
        const { days, limitedBy } = keepingOf(weighed, place);
        const where = place === 'fridge' ? t`In the fridge` : t`Frozen`;
        return days === 0
          ? t`${where}: not at all, because of ${limitedBy.toLowerCase()}.`
          : t`${where}: ${days} ${plural(days, 'day', 'days')}, because of ${limitedBy.toLowerCase()}.`;
      }),
    },
    {
      title: t`Mind`,
      lines: cautions.slice(0, MOST_CAUTIONS).map(({ text, act }) => `${text} ${act}`),
    },
  ].filter((part) => part.lines.length > 0);
}
