import { plural, t } from '@lingui/core/macro';
import {
  addDays,
  dayRange,
  daysBetween,
  formatDay,
  rounded,
  whenWords,
  type CalendarDay,
} from '../../base/measures';
import { zoneProbabilities, placeInWords } from '../../hair/state';
import { daysText } from '../../recipe/safety';
import { countsFor, holdsOn, placedBy, PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import { dayNotes } from './dayNotes';
import { doseOfTreatment } from './doses';
import { countedAs, draftOf, freeMinutesOn, minutesOf, moving, takesNoStrong, type PlanDraft } from './draft';
import { duesOf } from './dues';
import { forecastOn } from './forecast';
import { breachesOf, chanceTooFirm } from './permits';
import type {
  Assignment,
  HeadProblem,
  Plan,
  PlanDay,
  PlanProblem,
  Reason,
  Treatment,
  UnmetRule,
} from './plan';
import { preparationOf } from './preparation';
import { unmetPromises } from './promises';
import { lastUse, scoreOf, scoreParts, spanOf } from './score';

/** Who answered, and how sure it is that nothing better exists. */
export type PlanSource = Pick<Plan, 'planner' | 'gap'>;

/** Turns drafts of one head into a plan in words: treatments with their reasons, preparation, forecast, and what could not be met. */
export function explainPlans(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
  answered: PlanSource,
): Plan {
  const inOrder = [...drafts].sort((a, b) =>
    a.day < b.day ? -1 : a.day > b.day ? 1 : SLOT_ORDER[a.slot] - SLOT_ORDER[b.slot],
  );
  const assignments = inOrder.map((draft) => assignmentOf(problem, head, inOrder, draft));
  const preparation = inOrder.flatMap((draft) => preparationOf(problem, head, inOrder, draft));
  const acting = moving(inOrder);
  const days = dayRange(problem.from, 7 * problem.weeks).map((day): PlanDay => {
    const forecast = forecastOn(head, 'firmness', acting, day);
    const { above, below } = zoneProbabilities(forecast, head.signals.firmness.comfortZone);
    return {
      day,
      notes: dayNotes(head, day),
      freeMinutes: freeMinutesOn(head, day),
      assignments: assignments.filter((assignment) => assignment.day === day),
      preparation: preparation.filter((task) => task.day === day),
      forecast: { day, ...forecast },
      tooFirm: above,
      outside: above + below,
    };
  });
  const parts = scoreParts(head, problem.from, inOrder, spanOf(problem.weeks));
  return {
    headId: head.head.headId,
    from: problem.from,
    weeks: problem.weeks,
    ...answered,
    score: scoreOf(parts),
    parts,
    headline: headlineOf(problem, assignments),
    days,
    unmet: [...unmetRules(problem, head, inOrder, answered), ...unmetPromises(problem, head, inOrder)],
    dues: duesOf(problem, head, inOrder),
    rhythms: head.rhythmStates,
  };
}

const SLOT_ORDER: Readonly<Record<PlanDraft['slot'], number>> = {
  scalp: 0,
  'pre-poo': 1,
  main: 2,
  'follow-up': 3,
  'leave-in': 4,
  refresh: 5,
  mist: 6,
  serum: 7,
};

function assignmentOf(
  problem: PlanProblem,
  head: HeadProblem,
  all: readonly PlanDraft[],
  draft: PlanDraft,
): Assignment {
  const { treatment, day, slot, batchId } = draft;
  const usual = head.treatments.find(({ recipeId }) => recipeId === treatment.recipeId);
  const dose = usual ? doseOfTreatment(treatment, usual) : null;
  return {
    day,
    slot,
    recipeId: treatment.recipeId,
    name: treatment.name,
    kind: treatment.kind,
    strength: treatment.strength,
    minutes: minutesOf(head, draft),
    dose,
    overnight: draft.overnight,
    locked: placedBy(head.decisions, draft) !== undefined,
    batchId,
    cost: batchId === null ? treatment.cost : 0,
    moves: treatment.effect.firmness,
    isGuess: treatment.isGuess,
    humectant: treatment.humectant,
    onlyIfFirm: slot === 'follow-up' && !followsStrong(all, day) && head.choices.afterProtein === 'if-firm',
    reasons: [...reasonsFor(problem, head, all, draft), ...doseReasons(head, all, draft, dose, usual)],
  };
}

function followsStrong(all: readonly PlanDraft[], day: CalendarDay): boolean {
  return all.some((draft) => draft.slot === 'main' && draft.day === day && draft.treatment.strong);
}

function reasonsFor(
  problem: PlanProblem,
  head: HeadProblem,
  all: readonly PlanDraft[],
  draft: PlanDraft,
): Reason[] {
  const own = ((): Reason[] => {
    switch (draft.slot) {
      case 'main':
        return mainReasons(problem, head, all, draft);
      case 'pre-poo':
        return [
          {
            code: 'pre-poo',
            text: t`Oil before the shampoo slows the water, so the strand swells and shrinks less.`,
          },
        ];
      case 'follow-up':
        return [
          {
            code: 'moisture-after-protein',
            text: followsStrong(all, draft.day)
              ? t`Moisture on the same day, because a strong protein comes before it.`
              : t`Moisture on the same day, after the protein.`,
          },
        ];
      case 'refresh':
        return [
          { code: PLAN_RULES.refreshEvery.id, text: t`Some days since the last wash: a mist is enough.` },
        ];
      case 'scalp':
        return [
          {
            code: PLAN_RULES.scalpEvery.id,
            text: t`Once or twice a week, and the next wash takes it out again.`,
          },
        ];
      case 'leave-in':
        return [
          { code: 'leave-in', text: t`It stays in until the next wash; re-wet it, and top it up between.` },
        ];
      case 'mist':
        return [{ code: 'mist', text: t`Daily; it asks for no free day.` }];
      case 'serum':
        return [{ code: 'serum', text: t`For the night, on the ends only.` }];
    }
  })();
  return [...decided(head, draft), ...rhythmReasons(head, draft), ...own, ...shelf(draft)];
}

/** Why it is another dose than the recipe's: what the whole of it would do. */
function doseReasons(
  head: HeadProblem,
  all: readonly PlanDraft[],
  draft: PlanDraft,
  dose: Assignment['dose'],
  usual: Treatment | undefined,
): Reason[] {
  if (!dose || !usual) return [];
  const others = moving(all).filter((other) => other.day <= draft.day && other !== draft);
  const whole = forecastOn(head, 'firmness', [...others, { day: draft.day, treatment: usual }], draft.day);
  const text = t`${{ text: dose.text }} is enough: all of it would leave the hair ${{ place: placeInWords(whole, head.signals.firmness.comfortZone) }} (${{ level: signed(whole.mean) }}).`;
  return [{ code: 'dose', text: `${text.charAt(0).toUpperCase()}${text.slice(1)}` }];
}

/** The rhythms of hers that it is there for. */
function rhythmReasons({ rhythms }: HeadProblem, draft: PlanDraft): Reason[] {
  return rhythms
    .filter(
      (demand) =>
        countsFor(demand.rhythm.of, countedAs(draft)) &&
        (demand.rhythm.when.every === 'wash'
          ? holdsOn(demand.rhythm, draft.day)
          : demand.windows.some(
              ({ from, to, wanted }) => wanted > 0 && draft.day >= from && draft.day <= to,
            )),
    )
    .map(({ says }) => ({ code: 'rhythm', text: t`You asked for it. ${says}.` }));
}

function decided({ decisions, decidedToday }: HeadProblem, draft: PlanDraft): Reason[] {
  if (placedBy(decisions, draft)) return [{ code: 'locked', text: t`You put it here.` }];
  return decidedToday && decidedToday.main === draft.treatment
    ? [{ code: 'decided-today', text: t`Chosen from today’s check.` }]
    : [];
}

function shelf({ batchId, treatment }: PlanDraft): Reason[] {
  const batch = treatment.batches.find((known) => known.batchId === batchId);
  return batch
    ? [
        {
          code: 'batch',
          text: t`It stands ready on the shelf, good until ${{ useBy: formatDay(batch.useBy, 'EEEE d MMMM') }}.`,
        },
      ]
    : [];
}

function mainReasons(
  problem: PlanProblem,
  head: HeadProblem,
  all: readonly PlanDraft[],
  draft: PlanDraft,
): Reason[] {
  const { treatment, day } = draft;
  const free = t`${{ day: formatDay(day, 'EEEE') }} has ${plural({ freeMinutesOn: freeMinutesOn(head, day) }, { one: '# minute', other: '# minutes' })}; this takes ${{ minutes: minutesOf(head, draft) }}.`;
  if (treatment.recipeId === PLAIN_WASH_ID)
    return [
      { code: 'trial', text: t`Your trial asks for a wash without a treatment.` },
      { code: 'free-time', text: free },
    ];
  const others = moving(all).filter((other) => other.day <= day && other !== draft);
  const without = forecastOn(head, 'firmness', others, day);
  const withIt = forecastOn(head, 'firmness', [...others, draft], day);
  const { comfortZone } = head.signals.firmness;
  const reasons: Reason[] = [
    {
      code: 'lane',
      text: t`Without it the hair would be ${{ placeWithout: placeInWords(without, comfortZone) }} that day (${{ levelWithout: signed(without.mean) }}); it should end ${{ placeWith: placeInWords(withIt, comfortZone) }} (${{ levelWith: signed(withIt.mean) }}).`,
    },
  ];
  if (head.trial?.recipeIds.includes(treatment.recipeId))
    reasons.push({ code: 'trial', text: t`Your trial asks for it.` });
  const before = all.filter((other) => other.day < day);
  const protein = daysSince(problem, head, before, day, ({ firms }) => firms);
  if (treatment.firms && Number.isFinite(protein) && head.rules.lightProteinGap !== null) {
    reasons.push({
      code: PLAN_RULES.lightProteinGap.id,
      text: t`The last protein is ${plural(protein, { one: '# day', other: '# days' })} back; ${{ lightProteinGap: head.rules.lightProteinGap }} are needed.`,
    });
  }
  const moisture = daysSince(problem, head, before, day, ({ moistens }) => moistens);
  if (treatment.moistens && moisture >= (head.rules.moistureWithin ?? Infinity)) {
    const text = Number.isFinite(moisture)
      ? t`The last moisture is ${plural(moisture, { one: '# day', other: '# days' })} back.`
      : t`No moisture treatment is on record yet.`;
    reasons.push({ code: PLAN_RULES.moistureWithin.id, text });
  }
  if (treatment.isNew)
    reasons.push({
      code: PLAN_RULES.patchTest.id,
      text: t`New for this person: patch test first, ${{ days: daysText(head.rules.patchTest ?? PLAN_RULES.patchTest.value) }} clear, and no other new one this week.`,
    });
  reasons.push({ code: 'free-time', text: free });
  return reasons;
}

/** Days from the latest use of a sort before the day; Infinity where there was none. */
function daysSince(
  problem: PlanProblem,
  head: HeadProblem,
  before: readonly PlanDraft[],
  day: CalendarDay,
  is: (use: { readonly firms: boolean; readonly moistens: boolean }) => boolean,
): number {
  const at = daysBetween(problem.from, day);
  const planned = moving(before)
    .filter(({ treatment }) => is(treatment))
    .map((draft) => daysBetween(problem.from, draft.day));
  return at - Math.max(lastUse(head.past, is, problem.from), ...planned);
}

function signed(value: number): string {
  const shown = rounded(value, 1);
  return shown > 0 ? t`+${shown}` : String(shown).replace('-', '−');
}

function headlineOf(problem: PlanProblem, assignments: readonly Assignment[]): string {
  const first = assignments.find((assignment) => assignment.slot === 'main');
  if (!first) return t`Nothing planned these days`;
  const kind = {
    protein: t`Protein`,
    moisture: t`Moisture`,
    balanced: t`Balanced care`,
    oil: t`Oil`,
    rinse: t`A rinse`,
  }[first.kind];
  return `${kind} ${whenWords(first.day, problem.from)}`;
}

function unmetRules(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
  answered: PlanSource,
): UnmetRule[] {
  const masks = head.treatments.filter(
    ({ uses, recipeId }) => uses.includes('mask') && recipeId !== PLAIN_WASH_ID,
  );
  if (masks.length === 0)
    return [
      { rule: 'no-recipe', text: t`There is no mask to plan with: save a recipe first, under Recipes.` },
    ];
  const days = dayRange(problem.from, 7 * problem.weeks);
  const mostFree = Math.max(...days.map((day) => freeMinutesOn(head, day)));
  const shortest = Math.min(
    ...masks.map(
      (treatment) =>
        (head.rules.washMinutes ?? 0) +
        treatment.contactMinutes +
        (treatment.batches.length > 0 ? 0 : treatment.makeMinutes),
    ),
  );
  if (mostFree < shortest) {
    const text =
      mostFree === 0
        ? t`No day of the week is free: set the free days under People.`
        : t`No day is long enough: the shortest wash day takes ${plural(shortest, { one: '# minute', other: '# minutes' })}, the freest day has ${mostFree}.`;
    return [{ rule: 'free-time', text }];
  }
  const unmet: UnmetRule[] = [];
  const add = (rule: string, text: string) => unmet.push({ rule, text });
  const { firmHold } = head.rules;
  if (firmHold !== null && chanceTooFirm(head, [], problem.from) > firmHold)
    add(PLAN_RULES.firmHold.id, heldBack(head, problem.from, firmHold));
  const firmness = forecastOn(head, 'firmness', [], problem.from);
  const plansProtein = drafts.some((draft) => draft.treatment.firms);
  if (firmness.mean < (head.signals.firmness.comfortZone.low ?? 0) && !plansProtein)
    add('protein-wanted', proteinWanted(problem, head, masks, answered));
  if (head.rules.moistureWithin !== null && !masks.some((treatment) => treatment.moistens))
    add(PLAN_RULES.moistureWithin.id, t`No moisture treatment is saved: add one under Recipes.`);
  return unmet;
}

/** Why no protein: the hair is too firm, or it may be, and nobody knows well enough. */
function heldBack(head: HeadProblem, from: CalendarDay, firmHold: number): string {
  const { mean } = forecastOn(head, 'firmness', [], from);
  if (mean > (head.signals.firmness.comfortZone.high ?? Infinity))
    return t`Protein is held back until the hair is no longer too firm.`;
  const chance = Math.round(100 * chanceTooFirm(head, [], from));
  return t`Protein waits: the chance that the hair is too firm already is ${chance} %, and the limit is ${{ firmHold: Math.round(100 * firmHold) }} %. A stretch test would settle it.`;
}

const WAITS: ReadonlySet<string> = new Set([
  PLAN_RULES.lightProteinGap.id,
  PLAN_RULES.strongProteinGap.id,
  PLAN_RULES.firmHold.id,
  PLAN_RULES.patchTest.id,
]);

/** Why hair that is too soft gets no protein in this plan. */
function proteinWanted(
  problem: PlanProblem,
  head: HeadProblem,
  masks: HeadProblem['treatments'],
  { planner, gap }: PlanSource,
): string {
  const firming = masks.filter(({ firms }) => firms);
  if (firming.length === 0)
    return t`The hair is too soft and no protein treatment is saved: add one under Recipes.`;
  if (head.trial !== null)
    return t`The hair is too soft, but a trial is running: protein would spoil its answer.`;
  const allowed = firming.filter(({ strong }) => !strong || !takesNoStrong(head));
  if (allowed.length === 0)
    return t`The hair is too soft, but every protein that is saved is too strong for this hair: add a light one under Recipes.`;
  const last = addDays(problem.from, 7 * problem.weeks - 1);
  const rule = allowed
    .map((treatment) => draftOf(last, treatment, 'main'))
    .map(
      (assignment) =>
        breachesOf(problem, head, [assignment], assignment).find(({ rule: broken }) => WAITS.has(broken))
          ?.rule,
    )
    .find(Boolean);
  const because = Object.values(PLAN_RULES).find(({ id }) => id === rule);
  if (because)
    return t`The hair is too soft, but protein has to wait: ${{ firstLetter: because.why.charAt(0).toLowerCase() }}${{ reason: because.why.slice(1) }}`;
  return planner === 'week-search' || gap === Infinity
    ? t`The hair is too soft, and no place for protein was found yet: a better plan may exist.`
    : t`The hair is too soft, but no protein treatment fits these days.`;
}
