import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { sum } from '../../base/measures';
import { isOil, preparationMinutes } from '../../recipe/ingredients';
import type { Deed, SavedStep, Stage } from '../../records/shapes';
import { JOINING_C } from '../formulation';
import { methodKind } from './kinds';
import { isReadyGel, type Part } from './parts';

/** Ways whose lines share pot, soak, melting or blender and are one step, in the order in which they are done. */
const TOGETHER = {
  'made-water': ['made-water'],
  ferment: ['ferment'],
  soak: ['cold-soak', 'hot-soak'],
  brew: ['brew'],
  pot: ['gel', 'decoction', 'boiled-soft'],
  bloom: ['bloom'],
  starch: ['cooked-paste'],
  melt: ['melt'],
  gum: ['gum'],
  blender: ['puree'],
  bowl: ['paste', 'stir-in'],
} as const satisfies Readonly<Record<string, readonly string[]>>;
type Group = keyof typeof TOGETHER;
const IN_ORDER = Object.keys(TOGETHER) as Group[];
/** Where a liquid goes first: into the pot, the soak, the blender, else the bowl. */
const TAKES_LIQUID: readonly Group[] = [
  'pot',
  'ferment',
  'soak',
  'brew',
  'starch',
  'bloom',
  'gum',
  'blender',
];
/** What leaves the bowl hot for the rest. */
const HEATED: readonly Group[] = ['soak', 'pot', 'bloom', 'starch', 'melt'];
/** Soaks beyond this are a choice: without a word of it a hot one is as good, minutes (working assumption). */
const LONG_SOAK = 60;
/** Share of its slip that a preparation leaves in, from which it is made for that. */
export const SLIPPERY = 0.5;
/** Mucilage of a gum, g in 100 g. */
const MOSTLY_GUM = 50;
/** Water, g in 100 g, from which a carrier is what others are soaked in. */
const WATERY = 85;
/** Share of a mixture without water from which butter is whipped rather than poured. */
const WHIPPED_FROM = 0.5;

const stagesOf = (part: Part): readonly Stage['do'][] =>
  isReadyGel(part) ? [] : (part.preparation?.stages.map((stage) => stage.do) ?? []);
const does = (part: Part, ...what: readonly Stage['do'][]): boolean =>
  stagesOf(part).some((stage) => what.includes(stage));

/** Below this temperature it is stirred in, °C; undefined where heat does it no harm. */
export const coolBelow = ({ ingredient }: Part): number | undefined => ingredient?.coolBelowC;

export const isFresh = ({ ingredient }: Part): boolean =>
  ingredient !== null && ingredient.composition.water > 50 && ingredient.composition.fibre > 0.5;

const isCarrier = (part: Part): boolean => isWatery(part) && !isMadeWater(part);
/** Rice water and the like: measured as it is poured, made before. */
export const isMadeWater = (part: Part): boolean => isWatery(part) && does(part, 'soak', 'boil', 'ferment');
const isWatery = ({ ingredient }: Part): boolean =>
  ingredient !== null && ingredient.roles.includes('carrier') && ingredient.composition.water >= WATERY;
/** Waxes, fatty alcohols and emulsifiers do nothing before they have melted. */
export const isSolid = ({ ingredient }: Part): boolean =>
  ingredient !== null &&
  ingredient.composition.water < 15 &&
  (ingredient.actives.emollient ?? 0) + (ingredient.actives.emulsifier ?? 0) > 50 &&
  ingredient.coolBelowC === undefined;
export const isPowder = (part: Part): boolean =>
  (part.ingredient?.composition.water ?? 100) < 15 && does(part, 'sift', 'rest', 'grind');

export const isGum = ({ ingredient }: Part): boolean => (ingredient?.actives.mucilage ?? 0) > MOSTLY_GUM;

function boiledKind(part: Part): string {
  if (does(part, 'blend')) return 'boiled-soft';
  if (part.preparation?.strain !== true) return 'cooked-paste';
  return (part.preparation.survives.mucilage ?? 0) >= SLIPPERY ? 'gel' : 'decoction';
}

/** Soaks: long ones only where they are told. */
function soakedKind({ preparation, isPreparationTold }: Part): string | null {
  const soak = preparation?.stages.find((stage) => stage.do === 'soak');
  if (!soak) return null;
  return isPreparationTold || soak.minutes <= LONG_SOAK ? 'cold-soak' : 'hot-soak';
}

/** The way in which a line is made ready when nobody told one. */
function kindOf(part: Part): string {
  if (isMadeWater(part)) return 'made-water';
  if (part.preparation?.fromMl !== undefined) return 'brew';
  if (does(part, 'ferment') || part.isFermentTold) return 'ferment';
  if (does(part, 'bloom')) return 'bloom';
  if (does(part, 'boil', 'bake')) return boiledKind(part);
  if (does(part, 'steep')) return 'hot-soak';
  return soakedKind(part) ?? coldKind(part);
}

function coldKind(part: Part): string {
  if (does(part, 'melt') || isSolid(part)) return 'melt';
  if (does(part, 'blend', 'grate')) return 'puree';
  if (isGum(part) && does(part, 'rest')) return 'gum';
  return isPowder(part) ? 'paste' : 'stir-in';
}

/** Swirling and straining, minutes. */
const HANDS_OF_WATER = 8;

/** Minutes without hands of the way, from the preparation where the way leaves them open. */
function waitOf(id: string, { preparation }: Part): number {
  const { waitMinutes } = methodKind(id);
  const stage = preparation?.stages.find(
    ({ do: what }) => what === 'soak' || what === 'boil' || what === 'steep',
  );
  if (id === 'made-water')
    return preparation ? Math.max(0, preparationMinutes(preparation) - HANDS_OF_WATER) : 0;
  if (id === 'hot-soak') return Math.max(waitMinutes ?? 0, Math.min(LONG_SOAK / 2, stage?.minutes ?? 0));
  return waitMinutes ?? Math.max(0, (stage?.minutes ?? 0) - (stage?.hands ?? 0));
}

const placed = (parts: readonly Part[]): string => listed(parts.map(({ line }) => `{${line}}`));

interface Filled {
  readonly liquid?: Part | undefined;
  readonly degrees?: number;
  readonly waitMinutes?: number;
}

/** A step of one way with its lines. */
export function stepOf(id: string, parts: readonly Part[], filled: Filled = {}): SavedStep {
  const kind = methodKind(id);
  const { liquid, degrees } = filled;
  const text = (liquid ? kind.textIn : kind.text)
    .replace('{what}', placed(parts))
    .replace('{liquid}', liquid ? placed([liquid]) : '')
    .replace('{degrees}', String(degrees ?? ''))
    .replace('{how}', listed(parts.map(({ preparation }) => preparation?.label ?? '')));
  const all = liquid ? [...parts, liquid] : parts;
  return {
    text,
    lines: all.map(({ line }) => line),
    handsMinutes: kind.handsMinutes + Math.max(0, all.length - 2),
    waitMinutes: filled.waitMinutes ?? kind.waitMinutes ?? 0,
    by: 'added',
    deeds: [...(kind.isHot ? (['heat'] as const) : []), kind.deed],
    way: id,
  };
}

/** Told in no steps: what shares pot, soak, melting or blender is one step, the rest is stirred in. */
export function shortestMethod(parts: readonly Part[]): SavedStep[] {
  const phases = phasesOf(parts);
  if (phases) return emulsionMethod(parts, phases);
  const whipped = whippedMethod(parts);
  if (whipped) return whipped;
  const liquid = parts.find(isCarrier);
  const oils = parts.filter(({ ingredient }) => ingredient !== null && isOil(ingredient));
  const others = parts.filter((part) => part !== liquid);
  const herbs = others.filter((part) => !oils.includes(part) && does(part, 'soak', 'steep', 'boil'));
  const [oil, ...moreOils] = oils;
  if (!liquid && oil && herbs.length > 0 && herbs.length + oils.length === parts.filter(isBulk).length)
    return [
      stepOf('oil-warm', herbs, { liquid: oil }),
      ...grouped([...moreOils, ...others.filter((part) => !isBulk(part))], undefined),
    ];
  return grouped(others, liquid);
}

/** Drops beside are no part of what is infused. */
const isBulk = ({ ingredient }: Part): boolean =>
  ingredient === null ||
  (!ingredient.roles.includes('essential-oil') && !ingredient.roles.includes('preservative'));

function grouped(parts: readonly Part[], liquid: Part | undefined): SavedStep[] {
  const kinds = new Map(parts.map((part) => [part, kindOf(part)]));
  const groups = new Map<Group, readonly Part[]>(
    IN_ORDER.map((group) => {
      const together: readonly string[] = TOGETHER[group];
      return [group, parts.filter((part) => together.includes(kinds.get(part) ?? ''))];
    }),
  );
  const inGroup = (group: Group) => groups.get(group) ?? [];
  const isHot = HEATED.some((group) => inGroup(group).some((part) => kinds.get(part) !== 'cold-soak'));
  // Everything cold goes into a blender that is in use anyway: there is nothing else to wash up.
  if (!isHot && inGroup('blender').length > 0) {
    groups.set('blender', [...inGroup('blender'), ...inGroup('bowl')]);
    groups.set('bowl', []);
  }
  const liquidAt = TAKES_LIQUID.find((group) => inGroup(group).length > 0) ?? 'bowl';
  const isOnly = IN_ORDER.filter((group) => inGroup(group).length > 0).length === 1;
  const steps = IN_ORDER.flatMap((group): SavedStep[] => {
    const own = inGroup(group);
    const poured = group === liquidAt ? liquid : undefined;
    if (own.length === 0) return poured ? [stepOf('stir-together', [poured])] : [];
    if (group === 'bowl') {
      const isPaste = own.some((part) => kinds.get(part) === 'paste');
      return [stirred(own, poured, { isHot, isOnly, isPaste })];
    }
    const { id, waitMinutes } = longest(own, kinds);
    return [stepOf(id, own, { liquid: poured, waitMinutes })];
  });
  return withBlending(steps, parts, inGroup('blender'));
}

/** Of several ways in one step, the one that takes the longest says how. */
function longest(
  own: readonly Part[],
  kinds: ReadonlyMap<Part, string>,
): { id: string; waitMinutes: number } {
  const ways = own.map((part) => {
    const id = kinds.get(part) ?? 'stir-in';
    return { id, waitMinutes: waitOf(id, part) };
  });
  const slowest = ways.reduce((best, way) => (way.waitMinutes > best.waitMinutes ? way : best));
  // Threads say when a pot is done, whatever else is in it.
  return ways.some(({ id }) => id === 'gel') ? { ...slowest, id: 'gel' } : slowest;
}

/** Much butter without water: it melts with the oils, and is whipped as it cools. */
function whippedMethod(parts: readonly Part[]): SavedStep[] | null {
  const isDry = parts.every(({ ingredient }) => ingredient !== null && ingredient.composition.water < 15);
  const butters = parts.filter((part) => does(part, 'melt'));
  const share = sum(butters.map(({ grams }) => grams)) / sum(parts.map(({ grams }) => grams));
  if (!isDry || !(share > WHIPPED_FROM) || parts.some((part) => part.preparation?.strain)) return null;
  const late = parts.filter((part) => coolBelow(part) !== undefined);
  const early = parts.filter((part) => !late.includes(part));
  const whip = stepOf('whip', late);
  return [
    stepOf('melt', early),
    {
      ...whip,
      text:
        late.length > 0
          ? t`Let it cool until it goes cloudy, add ${{ late: placed(late) }}, then whip it light.`
          : whip.text,
      deeds: ['cool', 'whip'],
    },
  ];
}

interface Stirring {
  readonly isHot: boolean;
  readonly isOnly: boolean;
  readonly isPaste: boolean;
}

function stirred(
  own: readonly Part[],
  liquid: Part | undefined,
  { isHot, isOnly, isPaste }: Stirring,
): SavedStep {
  const coolest = Math.min(...own.map((part) => coolBelow(part) ?? Infinity));
  if (isHot && Number.isFinite(coolest))
    return stepOf('stir-cool', liquid ? [...own, liquid] : own, { degrees: coolest });
  if (isPaste && liquid) return stepOf('paste', own, { liquid });
  return stepOf(isOnly ? 'stir-together' : 'stir-in', own, { liquid });
}

/** What is boiled soft or soaked for its milk is blended after. */
function withBlending(
  steps: readonly SavedStep[],
  parts: readonly Part[],
  blended: readonly Part[],
): SavedStep[] {
  const isWanted = parts.some((part) => does(part, 'blend') && !blended.includes(part));
  if (!isWanted || blended.length > 0) return [...steps];
  const at = steps.findLastIndex(({ deeds }) => deeds.includes('boil') || deeds.includes('soak')) + 1;
  const blend: SavedStep = { ...stepOf('puree', []), text: t`Blend it until no piece is left.` };
  return [...steps.slice(0, at), blend, ...steps.slice(at)];
}

type Phases = ReadonlyMap<Part, string>;

/** Those of a formula; else, where there is an emulsifier to melt and water, by what each is. */
function phasesOf(parts: readonly Part[]): Phases | null {
  if (parts.some(({ phase }) => phase !== null))
    return new Map(parts.map((part) => [part, part.phase ?? 'A'] as const));
  const isEmulsion =
    parts.some(isCarrier) &&
    parts.some((part) => isSolid(part) && (part.ingredient?.actives.emulsifier ?? 0) > 0);
  return isEmulsion ? new Map(parts.map((part) => [part, phaseOf(part)] as const)) : null;
}

function phaseOf(part: Part): string {
  if ((coolBelow(part) ?? Infinity) < JOINING_C) return 'C';
  const isFat = (part.ingredient?.composition.fat ?? 0) > 50;
  return isFat || isSolid(part) ? 'B' : 'A';
}

/** Phases heated apart, joined hot, the rest in the cool-down. */
function emulsionMethod(parts: readonly Part[], phases: Phases): SavedStep[] {
  const inPhase = (phase: string) => parts.filter((part) => phases.get(part) === phase);
  const [water, oil] = [inPhase('A'), inPhase('B')];
  const late = parts.filter((part) => !water.includes(part) && !oil.includes(part));
  const gums = water.filter(isGum);
  const [gum] = gums;
  const rest = water.filter((part) => part !== gum);
  const degrees = JOINING_C;
  const coolTo = Math.min(COOL_C, ...late.map((part) => coolBelow(part) ?? COOL_C));
  return [
    ...(water.length > 0
      ? [
          stepOf('heat-water', gum && rest.length > 0 ? rest : water, {
            liquid: rest.length > 0 ? gum : undefined,
            degrees,
          }),
        ]
      : []),
    ...(oil.length > 0 ? [stepOf('heat-oil', oil, { degrees }), stepOf('join', [])] : []),
    stepOf('cool-stirred', [], { degrees: coolTo }),
    ...(late.length > 0 ? [stepOf('stir-cool', late, { degrees: coolTo })] : []),
  ];
}

/** What heat would spoil goes in under this, °C (working assumption: suppliers say 40 to 45). */
const COOL_C = 40;

/** Deeds that leave the bowl hot. */
export const isHotDeed = (deed: Deed): boolean => deed === 'boil' || deed === 'heat';
