import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { STRONG_FROM, type TreatmentKind } from '../../recipe/classification';
import { isChild } from '../../recipe/safety';
import type { WashStep } from '../../records/shapes';
import { cautionAt, hands, step } from './parts';
import { traitsOf, type Traits } from './traits';
import type { DayUse, WashPlan, WashSides } from './washPlan';

const ONCE_MORE_MINUTES = 3;
const heatHow = perLanguage(
  () => t`Under the cap with the dryer on warm, or a warm towel changed when it cools.`,
);

/** A treatment with what its mixture asks for. */
interface Wear {
  readonly plan: WashPlan;
  readonly use: DayUse;
  readonly slot: 'main' | 'follow-up';
  readonly traits: Traits;
  readonly onlyIfFirm: boolean;
}

/** On, under cover for its time, and out again. */
export function worn(
  plan: WashPlan,
  slot: Wear['slot'],
  use: DayUse,
  { onlyIfFirm = false }: { readonly onlyIfFirm?: boolean } = {},
): WashStep[] {
  const wear: Wear = { plan, use, slot, onlyIfFirm, traits: traitsOf(use.lines, use.verdict) };
  const { hardens, gritty, oily } = wear.traits;
  return [
    ...(slot === 'main' && plan.sides ? onSides(wear, plan.sides) : [on(wear)]),
    ...(slot === 'main' ? [cover(wear)] : []),
    works(wear),
    ...(hardens ? [softened(wear)] : []),
    rinsed(wear),
    ...(gritty || oily ? [rinsedAgain(wear)] : []),
  ];
}

const of = ({ slot, use, onlyIfFirm }: Wear) => ({ slot, recipeId: use.version.recipeId, onlyIfFirm });

/** What follows goes on in half the time: the parts are there, and it need not soak in so far. */
const handsOf = ({ plan, slot }: Wear, part: 'apply' | 'rinse') =>
  slot === 'main' ? hands(plan, part) : Math.max(2, Math.round(hands(plan, part) / 2));

function on(wear: Wear): WashStep {
  const { plan, use, slot, traits } = wear;
  const { kind } = use.verdict;
  return step({
    ...of(wear),
    id: `${slot}-apply`,
    phase: 'apply',
    title: t`On with ${{ versionName: use.version.name }}`,
    how: [
      ...amountTexts(use),
      t`${{ zone: zoneText(plan, use.version, kind, traits) }} Section by section; comb it through with your fingers and twist each one when it's done.`,
    ].join(' '),
    why: zoneWhy(kind, traits),
    minutes: handsOf(wear, 'apply'),
    sections: plan.sections,
    caution: cautionAt(plan, use, 'apply'),
  });
}

/** One half after the other, each with its own, for a trial of two sides. */
function onSides(wear: Wear, { left, right }: WashSides): WashStep[] {
  const { plan, use: main } = wear;
  const half = Math.max(1, Math.round(handsOf(wear, 'apply') / 2));
  const sides = [
    // What goes on the other half is next.
    { side: t`Left side`, given: left, next: right },
    { side: t`Right side`, given: right, next: null },
  ];
  return sides.map(({ side, given, next }) => {
    const isMain = given?.version.recipeId === main.version.recipeId;
    // With what was changed of it since.
    const use = isMain ? main : given;
    return step({
      // What is worn is known by the main one; the other is put down with the trial.
      ...(isMain
        ? { ...of(wear), id: 'main-apply' }
        : { id: 'other-apply', recipeId: use?.version.recipeId ?? null }),
      phase: 'apply',
      title: use ? t`${side}: ${{ versionName: use.version.name }}` : t`${side}: nothing`,
      how: use
        ? [
            t`On this half only, up to the parting.`,
            ...(next
              ? [t`Then rinse your hands and the comb: ${{ versionName: next.version.name }} comes next.`]
              : []),
          ].join(' ')
        : t`This half stays as the shampoo left it; keep it clipped away.`,
      why: t`Both go on the same day, so whatever the day does to the hair is on both.`,
      minutes: half,
      caution: use ? cautionAt(plan, use, 'apply') : null,
    });
  });
}

/** What to take, where it is not all of it; a little protein goes further in conditioner. */
function amountTexts({ amount = 1, verdict }: DayUse): string[] {
  if (amount >= 1) return [];
  return [
    verdict.kind === 'protein'
      ? t`Half the usual amount, stirred into plain conditioner.`
      : t`Half the usual amount.`,
  ];
}

function cover({ plan, use, traits }: Wear): WashStep {
  const { withHeat } = use;
  const cautions = [
    ...(withHeat ? [t`Test the heat on your wrist first; warm, never hot.`] : []),
    ...(isChild(plan.head) ? [t`Never a cap on a child that sleeps.`] : []),
  ];
  return step({
    id: 'cover',
    phase: 'apply',
    title: traits.hardens ? t`Cover, and leave it still` : t`Cover it`,
    how: traits.hardens
      ? t`Lay the hair the way it shall set; a loose cap. From now on nothing is combed, bent or twisted.`
      : [t`A cap over all of it, a towel over the cap.`, ...(withHeat ? [heatHow()] : [])].join(' '),
    why: traits.hardens
      ? t`It sets like a shell, and set hair snaps when it is bent.`
      : t`It works as long as it stays wet and warm.`,
    minutes: hands(plan, 'cover'),
    caution: cautions.length > 0 ? cautions.join(' ') : null,
  });
}

function works(wear: Wear): WashStep {
  const { use, slot, traits, plan } = wear;
  const { kind, strength } = use.verdict;
  const sides = slot === 'main' ? plan.sides : null;
  return step({
    ...of(wear),
    id: `${slot}-wait`,
    phase: 'wait',
    title: sides ? t`Both sides work` : t`${{ versionName: use.version.name }} works`,
    how: use.withHeat ? heatHow() : t`Leave it under the cap. Your hands are free.`,
    why: waitWhy(kind, use.withHeat),
    minutes: Math.max(use.minutes, sides?.left?.minutes ?? 0, sides?.right?.minutes ?? 0),
    waits: true,
    late: lateText(kind, strength, traits),
  });
}

function softened(wear: Wear): WashStep {
  return step({
    ...of(wear),
    id: `${wear.slot}-soften`,
    phase: 'rinse',
    title: t`Soften it before anything else`,
    how: t`Let warm, not hot, water run over it without touching until it is slippery again; only then move it.`,
    why: t`What has set breaks the strand with it when it is bent dry.`,
    minutes: ONCE_MORE_MINUTES,
  });
}

function rinsed(wear: Wear): WashStep {
  const { plan, use, slot, traits } = wear;
  return step({
    ...of(wear),
    id: `${slot}-rinse`,
    phase: 'rinse',
    title: rinseTitle(plan, traits),
    how: [
      ...(slot === 'main' && plan.sides
        ? [t`One half after the other, leaning to its side. Nothing drips across then.`]
        : []),
      rinseHow(plan, traits),
    ].join(' '),
    why: rinseWhy(traits),
    minutes: handsOf(wear, 'rinse'),
    caution: cautionAt(plan, use, 'rinse'),
  });
}

function rinsedAgain(wear: Wear): WashStep {
  const { gritty } = wear.traits;
  return step({
    ...of(wear),
    id: `${wear.slot}-rinse-again`,
    phase: 'rinse',
    title: t`Feel for what is left, and rinse again`,
    how: gritty
      ? t`Run a lock through two fingers: where it is sandy, more conditioner and more water, until the water runs clear.`
      : t`Run a lock through two fingers: where it is greasy, a little diluted shampoo, once.`,
    why: gritty
      ? t`Grit that dries in is combed out together with hair.`
      : t`What is left of the oil keeps the next water out.`,
    minutes: ONCE_MORE_MINUTES,
  });
}

/** Her word for this recipe goes before the school, but not before grit, and not on a scalp that is ill. */
export function goesOnScalp(
  { head }: Pick<WashPlan, 'head'>,
  version: DayUse['version'],
  gritty: boolean,
): boolean {
  return version.onScalp === true && !gritty && !head.health.includes('scalp-condition');
}

function zoneText(
  plan: WashPlan,
  version: DayUse['version'],
  kind: TreatmentKind,
  { gritty, oily, egg }: Traits,
): string {
  const { zones } = plan.choices;
  if (goesOnScalp(plan, version, gritty)) return t`Scalp, lengths and ends.`;
  const mayTouchScalp = zones === 'scalp-too' && !gritty && !oily && !egg && kind !== 'protein';
  if (mayTouchScalp) return t`Scalp, lengths and ends.`;
  if (zones === 'ends-first')
    return t`The ends first, they are the oldest; then up the lengths. Not on the scalp.`;
  return t`Lengths and ends, not on the scalp.`;
}

function zoneWhy(kind: TreatmentKind, { gritty }: Traits): string {
  if (gritty) return t`Powder on the scalp clogs and itches; on the lengths it comes out with conditioner.`;
  if (kind === 'protein')
    return t`The ends have lost most; the hair at the roots is new and needs no strengthening.`;
  return t`The oldest hair takes up most, and the scalp makes its own oil.`;
}

function waitWhy(kind: TreatmentKind, withHeat: boolean): string {
  const doing =
    kind === 'protein'
      ? t`What firms has to settle on the strand`
      : t`Water and what holds it need time to go in`;
  return withHeat ? t`${doing}; warmth shortens it.` : t`${doing}; without heat it takes longer.`;
}

/** From when on being late matters, and what it does. */
function lateText(kind: TreatmentKind, strength: number, { hardens, egg, sour }: Traits): WashStep['late'] {
  if (hardens)
    return {
      afterMinutes: 10,
      text: t`It has set harder than planned. Soften it long under warm water before you touch it, and let moisture follow.`,
    };
  if (sour)
    return {
      afterMinutes: 5,
      text: t`It is sour: rinse it now, sour mixtures roughen hair that they sit on.`,
    };
  if (egg) return { afterMinutes: 15, text: t`Egg has dried on: cool water, no heat, and take your time.` };
  if (kind === 'protein')
    return {
      afterMinutes: strength >= STRONG_FROM ? 15 : 30,
      text: t`It has firmed more than planned. It is counted as long as it was; moisture after it is wise.`,
    };
  return {
    afterMinutes: 60,
    text: t`More than an hour longer adds little; hair that stays soaked for hours gets limp.`,
  };
}

function rinseTitle({ choices }: WashPlan, { egg, gritty }: Traits): string {
  if (egg) return t`Rinse cool`;
  if (gritty) return t`Rinse with much conditioner`;
  return choices.rinse === 'water'
    ? t`Rinse`
    : choices.rinse === 'conditioner'
      ? t`Rinse with conditioner`
      : t`Rinse with a mild shampoo`;
}

function rinseHow({ choices }: WashPlan, { egg, gritty, hardens }: Traits): string {
  const water = egg
    ? t`Cool water only, until nothing slippery is left.`
    : hardens
      ? t`Lukewarm water, long, until it feels like hair again.`
      : t`Warm water, lifting the sections, until it runs clear.`;
  const helped =
    gritty || choices.rinse === 'conditioner'
      ? t` Work conditioner through and comb it out under the water.`
      : choices.rinse === 'mild-shampoo'
        ? t` A little mild shampoo on the lengths first.`
        : '';
  const last = !egg && choices.finish === 'warm-then-cold' ? t` The last water cold.` : '';
  return `${water}${helped}${last}`;
}

function rinseWhy({ egg, gritty }: Traits): string {
  if (egg) return t`In warm water egg cooks, and cooked egg does not come out.`;
  if (gritty) return t`Conditioner carries the powder out; water alone leaves it.`;
  return t`What stays in dulls the hair and spoils the next check.`;
}
