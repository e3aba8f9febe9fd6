import { plural, t } from '@lingui/core/macro';
import { addDays, daysBetween, weekdayOf, type CalendarDay } from '../../base/measures';
import { BEDTIME_MINUTE, PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import { needsEvening, type PlanDraft } from './draft';
import type { HeadProblem, PlanProblem, PrepTask } from './plan';

/** Minutes from which a lead time is said in hours. */
const HOUR = 60;

/** What has to be begun ahead of a treatment: soaking and steeping counted back from the wash, a patch test, thawing. */
export function preparationOf(
  problem: PlanProblem,
  head: HeadProblem,
  all: readonly PlanDraft[],
  draft: PlanDraft,
): PrepTask[] {
  const { treatment, day, batchId, slot } = draft;
  if (treatment.recipeId === PLAIN_WASH_ID || slot === 'mist' || slot === 'serum') return [];
  const on = (before: number) => {
    const start = addDays(day, -before);
    return start < problem.from ? problem.from : start;
  };
  const task = (start: CalendarDay, text: string, leadHours: number | null = null): PrepTask => ({
    day: start,
    text,
    leadHours,
    startMinute: leadHours === null ? null : latestStart(head, start, day, leadHours),
    isPatchTest: false,
    forRecipeId: treatment.recipeId,
    forDay: day,
  });
  const lead = batchId === null ? treatment.leadTasks : [];
  const soaking = lead.map(({ text, leadHours }) =>
    needsEvening({ leadTasks: [{ text, leadHours }] })
      ? task(
          on(1),
          t`${text}: begin this evening, it takes ${plural(leadHours, { one: '# hour', other: '# hours' })}`,
          leadHours,
        )
      : task(day, t`${text}: begin ${{ span: spanText(leadHours) }} ahead`, leadHours),
  );
  const ready =
    batchId === null
      ? []
      : [task(day, t`Take a portion of ${{ treatmentName: treatment.name }} from the shelf`)];
  return [...patchTest(head, all, draft, task, on), ...soaking, ...ready];
}

const DAY_MINUTES = 24 * 60;
const STEP_MINUTES = 5;
/** Where a head does not say when it may be washed. */
const USUAL_HOUR = 18;

/** Counted back from the wash; what has to be begun for the night not later than bedtime. */
function latestStart(
  { head }: HeadProblem,
  start: CalendarDay,
  washDay: CalendarDay,
  leadHours: number,
): number {
  const hour = head.washFrom[weekdayOf(washDay)] ?? USUAL_HOUR;
  const back = DAY_MINUTES * daysBetween(start, washDay) + HOUR * (hour - leadHours);
  const latest = washDay > start ? Math.min(back, BEDTIME_MINUTE) : back;
  return Math.max(0, Math.floor(latest / STEP_MINUTES) * STEP_MINUTES);
}

function patchTest(
  { rules }: HeadProblem,
  all: readonly PlanDraft[],
  { treatment, day }: PlanDraft,
  task: (start: CalendarDay, text: string) => PrepTask,
  on: (before: number) => CalendarDay,
): PrepTask[] {
  const isFirst = !all.some((other) => other.treatment === treatment && other.day < day);
  if (treatment.patchTest !== 'waits' || !isFirst) return [];
  const tested = task(
    on(rules.patchTest ?? PLAN_RULES.patchTest.value),
    t`Patch test of ${{ treatmentName: treatment.name }} behind the ear`,
  );
  return [{ ...tested, isPatchTest: true }];
}

function spanText(hours: number): string {
  if (hours < 1) return plural({ hours: Math.round(hours * HOUR) }, { one: '# minute', other: '# minutes' });
  return plural(hours, { one: 'an hour', other: '# hours' });
}
