import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { sum } from '../../base/measures';
import { isOil } from '../../recipe/ingredients';
import {
  readLines,
  type Deed,
  type ParsedRecipe,
  type ToldStep,
  type WeighedLine,
} from '../../recipe/larder';
import type { Stage } from '../../records/shapes';
import { JOINING_C } from '../formulation';
import { measuredOut } from './measure';

/** One line as it goes into a step. */
export interface MethodLine {
  /** Index among the lines that are read. */
  readonly line: number;
  readonly name: string;
  /** As it is measured out. */
  readonly amount: string;
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

/** What has to be washed up. */
export type Tool = 'bowl' | 'pot' | 'blender' | 'cloth';

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

/** Deeds that are done on the hair or after it, not in the kitchen. */
const ON_HAIR: ReadonlySet<Deed> = new Set<Deed>(['apply', 'rinse', 'follow', 'keep']);
/** Deeds whose told minutes pass without her hands. */
const WAITS: ReadonlySet<Deed> = new Set<Deed>(['soak', 'boil', 'heat', 'cool']);
/** Minutes of hands where nothing is told (working assumptions). */
const HANDS: Readonly<Record<Deed, number>> = {
  mix: 2,
  take: 1,
  blend: 3,
  heat: 2,
  boil: 2,
  soak: 1,
  strain: 3,
  cool: 0,
  whip: 4,
  apply: 0,
  rinse: 0,
  keep: 0,
  follow: 0,
};
/** Minutes of waiting where a deed takes some and none are told (working assumptions). */
const WAITING: Partial<Record<Deed, number>> = { soak: 20, boil: 10, heat: 3, cool: 15 };
const NIGHT_MINUTES = 480;
const TOOLS: Partial<Record<Deed, Tool>> = {
  mix: 'bowl',
  whip: 'bowl',
  soak: 'bowl',
  blend: 'blender',
  heat: 'pot',
  boil: 'pot',
  strain: 'cloth',
};

interface Part extends MethodLine {
  readonly weighed: WeighedLine;
  /** Where it stands in the text. */
  readonly start: number;
  readonly end: number;
}

/**
 * How a recipe is made: her own steps in her order where she told any, with what is missing added; else the shortest
 * honest way, in which lines share pot, blender and cloth.
 * @param lines of the recipe, scaled to the batch; each goes into exactly one step
 */
export function methodOf(
  recipe: ParsedRecipe,
  lines: readonly WeighedLine[],
  options: MethodOptions,
): Method {
  const read = readLines(recipe);
  const parts = lines.map((weighed): Part => {
    const own = read[weighed.line];
    const told = own && { quantity: own.quantity, unit: own.unit };
    return {
      line: weighed.line,
      name: weighed.ingredient.name,
      amount: measuredOut(weighed, told, options.factor, options.hasScale),
      weighed,
      start: own?.at[0]?.start ?? 0,
      end: own?.at[0]?.end ?? 0,
    };
  });
  const phases = new Map(read.flatMap(({ phase }, line) => (phase === null ? [] : [[line, phase] as const])));
  const told = inSentences(recipe.steps.filter(({ deeds }) => deeds.some((deed) => !ON_HAIR.has(deed))));
  const untold = phases.size > 0 ? emulsionMethod(parts, phases) : shortestMethod(parts);
  const drafts = told.length > 0 ? toldMethod(told, parts) : untold;
  const steps = withMissing(drafts, parts);
  return {
    steps: steps.map(({ deeds: _, ...step }) => step),
    handsMinutes: sum(steps.map((step) => step.handsMinutes)),
    totalMinutes: sum(steps.map((step) => step.handsMinutes + step.waitMinutes)),
    washUp: [
      ...new Set<Tool>(['bowl', ...steps.flatMap(({ deeds }) => deeds.flatMap((deed) => TOOLS[deed] ?? []))]),
    ],
  };
}

/** Where one ends in the middle of a sentence, the next goes on with it: "squeezed through tights", "stir in when cool". */
function inSentences(steps: readonly ToldStep[]): ToldStep[] {
  const whole: ToldStep[] = [];
  for (const step of steps) {
    const before = whole.at(-1);
    const gap = before ? step.start - before.end : Infinity;
    if (!before || gap > 2 || /[.;,!:]\s*$/.test(before.text)) {
      whole.push(step);
      continue;
    }
    whole[whole.length - 1] = {
      ...before,
      end: step.end,
      text: `${before.text}${' '.repeat(gap)}${step.text}`,
      deeds: [...new Set([...before.deeds, ...step.deeds])],
      minutes: before.minutes === null ? step.minutes : before.minutes + (step.minutes ?? 0),
      overnight: before.overnight || step.overnight,
    };
  }
  return whole;
}

interface Draft extends MethodStep {
  readonly deeds: readonly Deed[];
}

const linesOf = (parts: readonly Part[]): MethodLine[] =>
  parts.map(({ line, name, amount }) => ({ line, name, amount }));
const said = (parts: readonly MethodLine[]): string =>
  listed(parts.map(({ name, amount }) => `${amount} ${name}`));

/** A told step takes what it names; what none names goes in where things are first brought together. */
function toldMethod(told: readonly ToldStep[], parts: readonly Part[]): Draft[] {
  const within = (step: ToldStep, part: Part) => part.start >= step.start && part.end <= step.end;
  const names = (step: ToldStep, { name, weighed }: Part) => {
    const text = step.text.toLowerCase();
    const [last = name] = [...weighed.ingredient.name.split(' ')].reverse();
    return text.includes(name.toLowerCase()) || text.includes(last.toLowerCase());
  };
  const placeOf = (part: Part): number => {
    const inside = told.findIndex((step) => within(step, part));
    if (inside >= 0) return inside;
    const named = told.findIndex((step) => names(step, part));
    if (named >= 0) return named;
    // Told before a step, it is what that step is done with.
    const next = told.findIndex((step) => step.start >= part.end);
    return next >= 0 ? next : told.length - 1;
  };
  const places = parts.map((part) => ({ part, place: placeOf(part) }));
  return told.map((step, index): Draft => {
    const own = places.filter(({ place }) => place === index).map(({ part }) => part);
    const { handsMinutes, waitMinutes } = minutesOf(step);
    return {
      text: textOf(step, own),
      lines: linesOf(own),
      handsMinutes,
      waitMinutes,
      told: true,
      deeds: step.deeds.filter((deed) => !ON_HAIR.has(deed)),
    };
  });
}

/** Her words, with the amounts of this batch in place of those of the recipe. */
function textOf(step: ToldStep, parts: readonly Part[]): string {
  const inside = parts
    .filter(({ start, end }) => start >= step.start && end <= step.end)
    .sort((a, b) => b.start - a.start);
  const text = inside.reduce((changed, { start, end, amount, name }) => {
    const from = start - step.start;
    return `${changed.slice(0, from)}${amount} ${name}${changed.slice(from + end - start)}`;
  }, step.text);
  const beside = parts.filter((part) => !inside.includes(part));
  const told = text.replace(/[\s,;:–-]+$/, '').replace(/\s+(?:and|then|e|y|et|und)$/i, '');
  return beside.length === 0 ? told : `${told.replace(/[.!\s]+$/, '')} (${said(beside)}).`;
}

function minutesOf({
  deeds,
  minutes,
  overnight,
}: ToldStep): Pick<MethodStep, 'handsMinutes' | 'waitMinutes'> {
  const own = deeds.filter((deed) => !ON_HAIR.has(deed));
  const waits = own.some((deed) => WAITS.has(deed));
  const isOnHair = deeds.some((deed) => ON_HAIR.has(deed)) && !waits;
  const hands = Math.max(0, ...own.map((deed) => HANDS[deed]));
  if (overnight && waits) return { handsMinutes: hands, waitMinutes: NIGHT_MINUTES };
  if (minutes !== null && !isOnHair)
    return waits
      ? { handsMinutes: Math.min(hands, minutes), waitMinutes: Math.max(0, minutes - hands) }
      : { handsMinutes: minutes, waitMinutes: 0 };
  return { handsMinutes: hands, waitMinutes: Math.max(0, ...own.map((deed) => WAITING[deed] ?? 0)) };
}

/** Stages that share a step: each line goes with the first of them that its preparation has. */
const SHARED: readonly { readonly deed: Deed; readonly stages: readonly Stage['do'][] }[] = [
  { deed: 'boil', stages: ['boil', 'bake'] },
  { deed: 'soak', stages: ['steep', 'soak', 'ferment', 'bloom'] },
  { deed: 'heat', stages: ['melt'] },
  { deed: 'blend', stages: ['blend', 'grate', 'grind'] },
];

/** Told in no steps: what shares pot, soak, melting or blender is one step, the rest is stirred in. */
function shortestMethod(parts: readonly Part[]): Draft[] {
  const groupOf = ({ weighed }: Part): Deed => {
    const stages = weighed.preparation?.stages.map((stage) => stage.do) ?? [];
    return SHARED.find((shared) => shared.stages.some((stage) => stages.includes(stage)))?.deed ?? 'mix';
  };
  const liquid = parts.find(({ weighed }) => isCarrier(weighed));
  const groups = new Map<Deed, Part[]>();
  for (const part of parts) {
    if (part === liquid) continue;
    const deed = groupOf(part);
    groups.set(deed, [...(groups.get(deed) ?? []), part]);
  }
  const oils = parts.filter(({ weighed }) => isOil(weighed.ingredient));
  const soaked = groups.get('soak');
  if (soaked && !liquid && oils.length > 0)
    return [oilInfusion(soaked, oils), ...restOf(groups, new Set([...soaked, ...oils]))];
  // The liquid goes where it is needed first: into the pot, the soak, the blender, else the bowl.
  const takesLiquid = (['boil', 'soak', 'blend', 'mix'] as const).find((deed) => groups.has(deed)) ?? 'mix';
  if (liquid) groups.set(takesLiquid, [...(groups.get(takesLiquid) ?? []), liquid]);
  return restOf(groups, new Set());
}

/** Dry herbs in warm oil, minutes; cold it takes weeks (working assumption). */
const OIL_INFUSION_MINUTES = 120;

/** Herbs in oil see no water: it would spoil there. */
function oilInfusion(herbs: readonly Part[], oils: readonly Part[]): Draft {
  return {
    text: t`Keep ${{ herbs: said(herbs) }}, dry, in ${{ oils: said(oils) }} over warm water for two hours, no hotter than a hand bears; or two weeks in the dark.`,
    lines: linesOf([...herbs, ...oils]),
    handsMinutes: 5,
    waitMinutes: OIL_INFUSION_MINUTES,
    told: false,
    deeds: ['soak', 'heat'],
  };
}

/** The groups in the order in which they are done, without those that are done already. */
function restOf(groups: ReadonlyMap<Deed, readonly Part[]>, done: ReadonlySet<Part>): Draft[] {
  const inOrder = [...SHARED.map(({ deed }) => deed), 'mix' as const];
  return inOrder.flatMap((deed): Draft[] => {
    const own = (groups.get(deed) ?? []).filter((part) => !done.has(part));
    if (own.length === 0) return [];
    const waits = own.map(({ weighed }) => waitOf(weighed));
    return [
      {
        text: sentenceOf(deed, own),
        lines: linesOf(own),
        handsMinutes: HANDS[deed] + Math.max(0, own.length - 1),
        waitMinutes: deed === 'mix' || deed === 'blend' ? 0 : Math.max(0, ...waits),
        told: false,
        deeds: [deed],
      },
    ];
  });
}

/** Phases heated apart, joined hot, the rest in the cool-down. */
function emulsionMethod(parts: readonly Part[], phases: ReadonlyMap<number, string>): Draft[] {
  const inPhase = (phase: string) => parts.filter(({ line }) => (phases.get(line) ?? 'A') === phase);
  const [water, oil] = [inPhase('A'), inPhase('B')];
  const late = parts.filter((part) => !water.includes(part) && !oil.includes(part));
  const isGum = ({ weighed }: Part) => (weighed.ingredient.actives.mucilage ?? 0) > 50;
  const gums = water.filter(isGum);
  const heat = (own: readonly Part[], text: string): Draft[] =>
    own.length === 0
      ? []
      : [{ text, lines: linesOf(own), handsMinutes: 3, waitMinutes: 7, told: false, deeds: ['heat'] }];
  const step = (text: string, own: readonly Part[], hands: number, waits: number, deed: Deed): Draft => ({
    text,
    lines: linesOf(own),
    handsMinutes: hands,
    waitMinutes: waits,
    told: false,
    deeds: [deed],
  });
  return [
    ...heat(
      water,
      gums.length > 0
        ? t`Stir ${{ gums: said(gums) }} smooth first, then heat with ${{ water: said(water.filter((part) => !gums.includes(part))) }} to ${{ degrees: JOINING_C }} °C.`
        : t`Heat ${{ water: said(water) }} to ${{ degrees: JOINING_C }} °C.`,
    ),
    ...heat(oil, t`In a second jug heat ${{ oil: said(oil) }} to ${{ degrees: JOINING_C }} °C.`),
    ...(oil.length > 0
      ? [
          step(
            t`Pour the oils into the water, both hot, and stir until it is white and even.`,
            [],
            5,
            0,
            'mix',
          ),
        ]
      : []),
    step(t`Stir now and then until it is under 40 °C.`, [], 3, 22, 'cool'),
    ...(late.length > 0 ? [step(t`Under 40 °C stir in ${{ late: said(late) }}.`, late, 3, 0, 'mix')] : []),
  ];
}

const isCarrier = ({ ingredient }: WeighedLine): boolean =>
  ingredient.roles.includes('carrier') && ingredient.composition.water >= 85;

/** Of its first stage that takes time without hands; cooling comes later, once for all. */
function waitOf({ preparation }: WeighedLine): number {
  const stage = preparation?.stages.find(({ do: what }) =>
    SHARED.some(({ stages }) => stages.includes(what)),
  );
  return stage ? Math.max(0, stage.minutes - stage.hands) : 0;
}

function sentenceOf(deed: Deed, parts: readonly MethodLine[]): string {
  const what = said(parts);
  switch (deed) {
    case 'boil':
      return t`Simmer ${what} until soft or slippery.`;
    case 'soak':
      return t`Soak ${what}.`;
    case 'heat':
      return t`Melt ${what} over warm water.`;
    case 'blend':
      return t`Blend ${what} until no piece is left.`;
    default:
      return t`Stir in ${what}, the thickest first, a little at a time.`;
  }
}

/** Straining and cooling that nobody told and the bowl needs; both in one step. */
function withMissing(drafts: readonly Draft[], parts: readonly Part[]): Draft[] {
  const does = (deed: Deed) => drafts.some(({ deeds }) => deeds.includes(deed));
  const isHot =
    does('boil') || does('heat') || drafts.some(({ deeds }) => deeds.includes('soak') && isSteeped(parts));
  const strains = !does('strain') && parts.some(leavesBits);
  const cools = isHot && !does('cool');
  if (!strains && !cools) return [...drafts];
  const text =
    strains && cools
      ? t`Press it through a fine cloth while still warm, then let it cool until the wrist finds it lukewarm.`
      : strains
        ? t`Press it through a fine cloth or a sieve: bits stay in the hair.`
        : t`Let it cool until the wrist finds it lukewarm.`;
  const added: Draft = {
    text,
    lines: [],
    handsMinutes: strains ? HANDS.strain : 0,
    waitMinutes: cools ? (WAITING.cool ?? 0) : 0,
    told: false,
    deeds: [...(strains ? (['strain'] as const) : []), ...(cools ? (['cool'] as const) : [])],
  };
  const at = drafts.findLastIndex(({ deeds }) =>
    deeds.some((deed) => deed !== 'mix' && deed !== 'take' && deed !== 'whip'),
  );
  return [...drafts.slice(0, at + 1), added, ...drafts.slice(at + 1)];
}

/** A whisked egg is poured through a strainer where it is whisked, and a tea where it is brewed: neither needs a cloth for all. */
const leavesBits = ({ weighed: { preparation } }: Part): boolean =>
  preparation?.strain === true &&
  preparation.fromMl === undefined &&
  !preparation.stages.some((stage) => stage.do === 'whisk');

const isSteeped = (parts: readonly Part[]): boolean =>
  parts.some(
    ({ weighed: { preparation } }) =>
      preparation?.fromMl === undefined && preparation?.stages.some((stage) => stage.do === 'steep'),
  );
