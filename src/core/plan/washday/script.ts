import { plural, t } from '@lingui/core/macro';
import { hasStrongProtein } from '../../recipe/classification';
import type { WashStep } from '../../records/shapes';
import { cautionAt, hands, step } from './parts';
import { traitsOf } from './traits';
import type { WashPlan } from './washPlan';
import { goesOnScalp, worn } from './worn';

const GATHER_MINUTES = 3;
const FEEL_MINUTES = 1;
const OIL_ON_MINUTES = 5;
const STYLE_MINUTES = 0;

/** Hours until dry hair shows what a treatment did. */
const LOOK_AGAIN = { fromHours: 24, toHours: 48 } as const;

const LONG_CM = 40;

/** Sections by how much hair there is; more of them are quicker to soak through than fewer and thicker ones. */
export function usualSections({ density, lengthCm, curl }: WashPlan['head']): number {
  const byDensity = { thin: 2, medium: 4, thick: 6 }[density];
  const isMuch = lengthCm > LONG_CM || curl === 'coily';
  return Math.min(8, byDensity + (isMuch ? 2 : 0));
}

/** The steps of a wash day in their order, from what is planned, what the mixtures ask for and the schools in force. */
export function washScript(plan: WashPlan): WashStep[] {
  const { main, choices } = plan;
  const maskFirst = main !== null && choices.maskOrder === 'before-shampoo';
  const beforeWater = [gather(plan), ...prePooSteps(plan), detangle(plan)];
  const wash = [cleanse(plan), ...(choices.conditioner === 'before-mask' && main ? [condition(plan)] : [])];
  const mask = main
    ? [...(maskFirst ? [] : [blot(plan)]), sectioning(plan), ...worn(plan, 'main', main)]
    : [];
  const end = [...followUpSteps(plan), seal(plan), ...dry(plan), ...(main ? [lookAgain()] : [])];
  return maskFirst
    ? [...beforeWater, ...mask, ...wash, feel(plan), ...end]
    : [...beforeWater, ...wash, ...mask, ...(main ? [feel(plan)] : []), ...end];
}

function gather({ main, prePoo, followUp, sides }: WashPlan): WashStep {
  const bowls = [prePoo, main, sides?.left, sides?.right, followUp].flatMap((use) => use ?? []);
  const things = ['shampoo', 'conditioner', t`a wide comb`, 'clips', t`an old towel`];
  const mixed = bowls.map(({ version, fromShelf }) =>
    fromShelf ? t`${{ versionName: version.name }} from the shelf` : version.name,
  );
  const list = [...new Set([...mixed, ...things])].join(', ');
  return step({
    id: 'gather',
    phase: 'gather',
    title: t`Lay everything out`,
    how: bowls.some(({ withHeat }) => withHeat)
      ? t`Within reach of wet hands: ${list}. Warm the cap or the towel.`
      : t`Within reach of wet hands: ${list}.`,
    why: t`Once the hair is wet nothing has to be looked for.`,
    minutes: GATHER_MINUTES,
  });
}

function prePooSteps(plan: WashPlan): WashStep[] {
  const { prePoo } = plan;
  if (!prePoo) return [];
  const { version, minutes } = prePoo;
  return [
    step({
      id: 'pre-poo-apply',
      phase: 'apply',
      title: t`Oil on: ${{ versionName: version.name }}`,
      how: goesOnScalp(plan, version, false)
        ? t`On dry hair: the scalp first, with the fingertips, parting by parting; then the lengths and ends. Just enough that it shines, not drips.`
        : t`On dry hair, from the ends up to a hand below the roots; just enough that it shines, not drips.`,
      why: t`Oil slows the water, so the strand swells and shrinks less in the wash.`,
      minutes: OIL_ON_MINUTES,
      slot: 'pre-poo',
      recipeId: version.recipeId,
      caution: cautionAt(plan, prePoo, 'apply'),
    }),
    step({
      id: 'pre-poo-wait',
      phase: 'wait',
      title: t`The oil works`,
      how: t`Leave it on; a cap keeps the collar clean. Your hands are free.`,
      why: t`Below twenty minutes little of it has gone in.`,
      minutes,
      waits: true,
      slot: 'pre-poo',
      recipeId: version.recipeId,
    }),
  ];
}

/** Curls are never combed dry and bare. */
function detangleBase({ head }: WashPlan, isOiled: boolean): string {
  if (isOiled) return t`With the oil on`;
  return head.curl === 'curly' || head.curl === 'coily'
    ? t`Misted and slippery with conditioner, fingers before the comb`
    : t`Dry, with a little oil or conditioner on the fingers`;
}

function detangle(plan: WashPlan): WashStep {
  const isOiled = plan.prePoo !== null || plan.oiledOvernight;
  return step({
    id: 'detangle',
    phase: 'detangle',
    title: t`Detangle from the ends up`,
    how: t`${{ detangleBase: detangleBase(plan, isOiled) }}: begin at the ends, hold the hair above the comb, and go up a hand at a time to the roots.`,
    why: t`Wet hair stretches and breaks sooner; a knot combed from above only tightens.`,
    minutes: hands(plan, 'detangle'),
    sections: plan.sections,
  });
}

function cleanse(plan: WashPlan): WashStep {
  const { main, prePoo, oiledOvernight, choices } = plan;
  const maskFirst = main !== null && choices.maskOrder === 'before-shampoo';
  const twice = prePoo !== null || oiledOvernight || (maskFirst && traitsOf(main.lines, main.verdict).oily);
  return step({
    id: 'cleanse',
    phase: 'cleanse',
    title: twice ? t`Shampoo the scalp, twice` : t`Shampoo the scalp, once`,
    how: twice
      ? t`A coin of shampoo in ten of water, on the scalp with the fingertips; what runs down is enough for the lengths. Once for the oil, once for the scalp.`
      : t`A coin of shampoo in ten of water, on the scalp with the fingertips; what runs down is enough for the lengths. Once is enough.`,
    why: maskFirst
      ? t`It takes the mask and the old oil out together.`
      : t`A mask reaches hair that is clean; diluted, shampoo does not strip it.`,
    minutes: hands(plan, 'cleanse'),
  });
}

function condition(plan: WashPlan): WashStep {
  return step({
    id: 'condition',
    phase: 'condition',
    title: t`Conditioner, and rinse`,
    how: t`A film of plain conditioner on the lengths, combed through with the fingers and rinsed.`,
    why: t`You chose conditioner before the mask: it lays the hair smooth, and lets a little less of the mask in.`,
    minutes: hands(plan, 'condition'),
  });
}

function blot(plan: WashPlan): WashStep {
  return step({
    id: 'blot',
    phase: 'blot',
    title: t`Press the water out`,
    how: t`With an old towel or a cotton shirt: press, do not rub, until it no longer drips.`,
    why: t`On dripping hair a mask runs off and is thinned.`,
    minutes: hands(plan, 'blot'),
  });
}

function sectioning(plan: WashPlan): WashStep {
  if (plan.sides)
    return step({
      id: 'section',
      phase: 'section',
      title: t`Part it in the middle`,
      how: t`One straight parting from the forehead to the nape; clip one half well away. Within each half, sections as always.`,
      why: t`What crosses the parting tells nothing about either.`,
      minutes: hands(plan, 'section'),
    });
  return step({
    id: 'section',
    phase: 'section',
    title: t`Divide into ${{ sections: plan.sections }}`,
    how: t`Make sections with your fingers or a comb, twist each one loosely and clip it out of the way.`,
    why: t`In sections no strand is forgotten, and none is done twice.`,
    minutes: hands(plan, 'section'),
  });
}

function feel({ main }: WashPlan): WashStep {
  return step({
    id: 'feel',
    phase: 'feel',
    title: t`How does it feel, wet?`,
    how: t`Run a wet lock through your fingers, and bend it round one.`,
    why:
      main?.verdict.kind === 'protein'
        ? t`Firm or rough hair wants moisture on the same day; hair that feels right does not.`
        : t`It is the first sign of what the treatment did; the dry check tells more.`,
    minutes: FEEL_MINUTES,
  });
}

/**
 * After a strong protein always, after a light one as her school says; after anything else where it feels firm, whatever was
 * planned and in every school. Where no mask of hers can follow it is plain conditioner.
 */
function followUpSteps(plan: WashPlan): WashStep[] {
  const { main, followUp, choices } = plan;
  if (!main) return [];
  const always =
    hasStrongProtein(main.verdict) || (main.verdict.kind === 'protein' && choices.afterProtein === 'always');
  if (!followUp) return [softener(plan, !always)];
  return worn(plan, 'follow-up', followUp, { onlyIfFirm: !always });
}

const SOFTENER_MINUTES = 10;

/** What balances it where there is no mask to follow. */
function softener(plan: WashPlan, onlyIfFirm: boolean): WashStep {
  return step({
    id: 'softener',
    phase: 'condition',
    title: t`Plain conditioner, ${SOFTENER_MINUTES} minutes`,
    how: t`On the lengths, combed through with the fingers, then rinsed. One without protein.`,
    why: t`After protein, or where it feels firm, moisture the same day brings it back.`,
    minutes: SOFTENER_MINUTES + hands(plan, 'condition'),
    onlyIfFirm,
  });
}

function seal(plan: WashPlan): WashStep {
  return step({
    id: 'seal',
    phase: 'seal',
    title: t`Leave in, and seal the ends`,
    how: t`A little leave-in on the damp lengths; then a drop of oil or serum on the ends only.`,
    why: t`It keeps the water in while the hair dries; on the roots it would only weigh it down.`,
    minutes: hands(plan, 'seal'),
  });
}

const BLOW_DRY_MINUTES = 25;
const PROTECT_MINUTES = 3;

/** By itself; or with a dryer, never without a heat protectant before it. */
function dry({ drying }: WashPlan): WashStep[] {
  if (drying === 'air') return [style()];
  return [
    step({
      id: 'heat-protectant',
      phase: 'style',
      title: t`Heat protectant on every section`,
      how: t`A bought one made for heat, as its label says, on damp hair from the ends up; comb it through.`,
      why: t`Without it the dryer takes more than the treatment gave.`,
      minutes: PROTECT_MINUTES,
    }),
    step({
      id: 'blow-dry',
      phase: 'style',
      title: t`Blow-dry, on low`,
      how: t`Section by section, on low and moving, a hand’s breadth away, stretched with the fingers or a wide comb, until it is dry.`,
      why: t`A style holds longer on hair that is dry and stretched. Heat in one place is what breaks it.`,
      minutes: BLOW_DRY_MINUTES,
      caution: t`Stop where it hurts or smells singed.`,
    }),
  ];
}

function style(): WashStep {
  return step({
    id: 'style',
    phase: 'style',
    title: t`Let it dry, loosely`,
    how: t`In loose twists, or open. Nothing tight, and no heat today if it can be helped.`,
    why: t`Wet hair that is pulled tight breaks at the roots.`,
    minutes: STYLE_MINUTES,
  });
}

function lookAgain(): WashStep {
  return step({
    id: 'look-again',
    phase: 'look-again',
    title: t`Look again when it is dry`,
    how: t`A minute tomorrow, ${{ fromHours: LOOK_AGAIN.fromHours }} to ${plural({ toHours: LOOK_AGAIN.toHours }, { one: '# hour', other: '# hours' })} from now: check the dry hair. Today will remind you.`,
    why: t`Wet hair flatters; what a treatment did shows when it has dried.`,
    minutes: 0,
  });
}
