import { addDays, type CalendarDay } from '@/core/base/measures';
import type { HeadHistory, DayTreatment, WashRun } from '@/core/hair/history';
import { trialState } from '@/core/hair/trials';
import { contactAt, rulesOfHead, choicesOf, PLAN_RULES } from '@/core/plan/agenda';
import type { Assignment, Dose } from '@/core/plan/planning';
import { usualSections, washScript, type DayUse, type WashPlan, type WashSides } from '@/core/plan/washday';
import { newestVersions, usedVersion, usesOf } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import type { RecipeVersion, Head } from '@/core/records/shapes';
import { amountOf } from '../shared/amountOf';
import { verdictOf } from '../shared/verdictOf';
import { whyNotToday, type WhyNot } from '../shared/whyNotToday';

/** What a run is made of, before it has begun. */
export type RunSetting = Pick<
  WashRun,
  'treatments' | 'sections' | 'washMinutes' | 'oiledOvernight' | 'drying' | 'sides'
>;

/** A recipe as one of the treatments of a day. */
export function treatmentOf(
  version: RecipeVersion,
  slot: DayTreatment['slot'],
  head: Head,
  { lacks }: Pick<HeadHistory, 'lacks'>,
  batchId: string | null = null,
): DayTreatment {
  const { contactMinutes: minutes, warmth } = contactAt(version, head, lacks);
  return { slot, ...usedVersion(version), minutes, warmth, batchId };
}

/** The day as the plan has it: its treatments of today, and moisture at hand where a protein may ask for it. */
export function settingOf(
  head: Head,
  history: HeadHistory,
  assignments: readonly Assignment[],
  today: CalendarDay,
): RunSetting {
  const newest = newestVersions(history.recipes);
  const planned = (['pre-poo', 'main', 'follow-up'] as const).flatMap((slot): DayTreatment[] => {
    const assignment = assignments.find((each) => each.slot === slot && !each.overnight);
    const version = newest.find(({ recipeId }) => recipeId === assignment?.recipeId);
    if (!assignment || !version) return [];
    const usual = treatmentOf(version, slot, head, history, assignment.batchId);
    return [assignment.dose ? { ...usual, ...doseIn(assignment.dose) } : usual];
  });
  const mainId = planned.find(({ slot }) => slot === 'main')?.recipeId;
  const moisture = planned.some(({ slot }) => slot === 'follow-up')
    ? undefined
    : moistureFor(head, history, today, mainId);
  return {
    treatments: [...planned, ...(moisture ? [treatmentOf(moisture, 'follow-up', head, history)] : [])],
    sections: history.washDays.findLast((day) => day.sections !== undefined)?.sections ?? usualSections(head),
    drying: styleSoon(history, today) ? 'blow-dry' : 'air',
    washMinutes:
      rulesOfHead(choicesOf(history.planSettings, head.headId), history.washDays).washMinutes ??
      PLAN_RULES.washMinutes.value,
    oiledOvernight: oiledSince(history, addDays(today, -1)),
    ...sidesDue(head, history, today, mainId),
  };
}

/** A trial of two sides whose wash is due, where what goes on today is of it. */
export function sidesDue(
  head: Head,
  history: HeadHistory,
  today: CalendarDay,
  mainId: string | undefined,
): Pick<RunSetting, 'sides'> {
  for (const trial of history.trials) {
    if (!trial.sides || trial.recipeId !== mainId) continue;
    const { stage } = trialState(trial, history.trialWashes, history.sideReadings, today);
    if (stage.what !== 'wash' || !stage.isDue) continue;
    const other = newestVersions(history.recipes).find(({ recipeId }) => recipeId === trial.againstId);
    if (trial.againstId !== null && !other) continue;
    return {
      sides: {
        trialId: trial.trialId,
        recipeId: trial.recipeId,
        left: stage.arm,
        other: other ? treatmentOf(other, 'main', head, history) : null,
      },
    };
  }
  return {};
}

function doseIn({ minutes, warmth, amount }: Dose): Pick<DayTreatment, 'minutes' | 'warmth' | 'amount'> {
  return { minutes, warmth, ...amountOf({ amount }) };
}

/** A mask that may not go on today, and why. */
export interface LeftOut extends WhyNot {
  readonly version: RecipeVersion;
}

/** The masks that may go on this head today, and why others may not. */
export function offered(
  head: Head,
  history: HeadHistory,
  today: CalendarDay,
): {
  readonly masks: readonly RecipeVersion[];
  readonly left: readonly LeftOut[];
} {
  const masks = newestVersions(history.recipes).filter((version) => usesOf(version).includes('mask'));
  const judged = masks.map((version) => ({ version, why: whyNotToday(version, head, history, today) }));
  return {
    masks: judged.filter(({ why }) => why === null).map(({ version }) => version),
    left: judged.flatMap(({ version, why }) => (why === null ? [] : [{ version, ...why }])),
  };
}

/** The moisture mask that this head knows best, of those that may go on. */
function moistureFor(
  head: Head,
  history: HeadHistory,
  today: CalendarDay,
  except: string | undefined,
): RecipeVersion | undefined {
  return softeners(head, history, today).find(({ recipeId }) => recipeId !== except);
}

/** Moisture masks that may follow where it feels firm, those this head knows best first. */
export function softeners(head: Head, history: HeadHistory, today: CalendarDay): RecipeVersion[] {
  const { sessions, larder } = history;
  const times = ({ recipeId }: RecipeVersion) =>
    sessions.filter((session) => session.recipeId === recipeId).length;
  const isMoisture = (version: RecipeVersion) => verdictOf(version, head.school, larder)?.kind === 'moisture';
  return offered(head, history, today)
    .masks.filter((version) => times(version) > 0 && isMoisture(version))
    .sort((a, b) => times(b) - times(a));
}

/** Days before a style goes in within which the hair is dried for it. */
const STYLE_SOON_DAYS = 1;

function styleSoon({ occasions }: HeadHistory, today: CalendarDay): boolean {
  return occasions.some(
    ({ what, from }) => what === 'style' && from >= today && from <= addDays(today, STYLE_SOON_DAYS),
  );
}

function oiledSince({ sessions, larder }: HeadHistory, day: CalendarDay): boolean {
  return sessions.some((session) => session.day >= day && larder.used(session)?.use === 'pre-poo');
}

/** Everything that the steps are put together from. What is not known any more is left out. */
export function washPlanOf(setting: RunSetting, head: Head, history: HeadHistory): WashPlan {
  const inSlot = (slot: DayTreatment['slot']) => {
    const treatment = setting.treatments.find((each) => each.slot === slot);
    return treatment ? dayUseOf(treatment, head, history) : null;
  };
  const main = inSlot('main');
  return {
    head,
    choices: choicesOf(history.planSettings, head.headId),
    washMinutes: setting.washMinutes,
    oiledOvernight: setting.oiledOvernight,
    sections: setting.sections,
    drying: setting.drying ?? 'air',
    prePoo: inSlot('pre-poo'),
    main,
    sides: main && setting.sides ? sidesOf(setting.sides, main, head, history) : null,
    followUp: inSlot('follow-up'),
  };
}

/** Null where another treatment has taken the place of the one that is tried. */
function sidesOf(
  { recipeId, left, other }: NonNullable<RunSetting['sides']>,
  main: DayUse,
  head: Head,
  history: HeadHistory,
): WashSides | null {
  if (recipeId !== main.version.recipeId) return null;
  const beside = other ? dayUseOf(other, head, history) : null;
  return left === 'a' ? { left: main, right: beside } : { left: beside, right: main };
}

export function dayUseOf(treatment: DayTreatment, head: Head, { larder }: HeadHistory): DayUse | null {
  const { minutes, warmth, batchId, amount } = treatment;
  const version = larder.used(treatment);
  const judged = version && judge(version.lines, head, larder, { strained: version.strained });
  if (!version || !judged?.ok) return null;
  const { lines, verdict } = judged.value;
  return {
    version,
    lines,
    verdict,
    minutes,
    ...amountOf({ amount }),
    withHeat: warmth === 'warm',
    fromShelf: batchId !== null,
  };
}

/** The treatments of a plan that was changed, as they are stored. */
export function treatmentsIn(
  { prePoo, main, followUp }: WashPlan,
  before: readonly DayTreatment[],
): DayTreatment[] {
  const of = (slot: DayTreatment['slot'], use: DayUse | null): DayTreatment[] => {
    if (!use) return [];
    const same = before.find((each) => each.slot === slot && each.recipeId === use.version.recipeId);
    return [
      {
        slot,
        ...usedVersion(use.version),
        minutes: use.minutes,
        ...amountOf(use),
        warmth: use.withHeat ? 'warm' : 'room',
        batchId: same?.batchId ?? null,
      },
    ];
  };
  return [...of('pre-poo', prePoo), ...of('main', main), ...of('follow-up', followUp)];
}

export function runOf(
  setting: RunSetting,
  head: Head,
  history: HeadHistory,
  { id, day, startedAt }: Pick<WashRun, 'id' | 'day' | 'startedAt'>,
): WashRun {
  return {
    id,
    headId: head.headId,
    day,
    startedAt,
    ...setting,
    steps: washScript(washPlanOf(setting, head, history)),
    events: [],
  };
}
