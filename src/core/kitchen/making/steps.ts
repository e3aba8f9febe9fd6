import { t } from '@lingui/core/macro';
import { rounded } from '../../base/measures';
import type { WeighedLine } from '../../recipe/larder';
import type { Stage } from '../../records/shapes';
import { JOINING_C } from '../formulation';
import { weighable } from './kitchenAmount';

/** One thing to do in making a batch. */
export interface MakingStep {
  readonly id: string;
  readonly do: Stage['do'] | 'weigh' | 'combine' | 'heat' | 'join' | 'add' | 'check' | 'fill';
  readonly text: string;
  /** From its start to its end. */
  readonly minutes: number;
  /** Of those, how many take her hands, at the start. */
  readonly hands: number;
  readonly after: readonly string[];
  /** The list does not go on without it. */
  readonly mustDo: boolean;
  /** Index of the recipe line that it weighs; its real weight is asked for. */
  readonly line: number | null;
}

/** Minutes of the steps that no preparation brings (working assumptions). */
const MINUTES = { weigh: 1, combine: 5, heat: 10, join: 5, cool: 25, add: 3, check: 2, fill: 5 } as const;
/** Stages whose result must not be forgotten: bits stay in the hair, hot gel burns. */
const MUST: ReadonlySet<Stage['do']> = new Set<Stage['do']>(['strain', 'cool']);

/** The phases of a formula by line index, from the recipe; null for a plain recipe. */
export type Phases = ReadonlyMap<number, string>;

interface LinePart {
  readonly line: WeighedLine;
  /** The step after which this ingredient is ready. */
  readonly ready: string;
}

/**
 * Everything to do for a batch, with what must come before what. Lines of a recipe that is used as an ingredient are
 * weighed as its parts.
 * @param lines scaled to the batch
 */
export function makingSteps(lines: readonly WeighedLine[], phases: Phases | null): MakingStep[] {
  const steps: MakingStep[] = [];
  const add = (step: Omit<MakingStep, 'id'>): string => {
    const id = `s${steps.length + 1}`;
    steps.push({ id, ...step });
    return id;
  };
  // What others are soaked or boiled in is measured out before them.
  const water = lines.find(isWater);
  const inWater = water ? [prepared(water, add, [])] : [];
  const parts = lines.map((line): LinePart => ({
    line,
    ready: line === water && inWater[0] !== undefined ? inWater[0] : prepared(line, add, inWater),
  }));
  const joined = phases ? emulsion(parts, phases, add) : combined(parts, add);
  const checked = add({
    do: 'check',
    text: t`Look and feel: no bits, lukewarm on the wrist, thick enough to stay? Water goes in bit by bit; write down how much.`,
    minutes: MINUTES.check,
    hands: MINUTES.check,
    after: [joined],
    mustDo: true,
    line: null,
  });
  add({
    do: 'fill',
    text: t`Fill portions and label them: what, when, use by, not food.`,
    minutes: MINUTES.fill,
    hands: MINUTES.fill,
    after: [checked],
    mustDo: false,
    line: null,
  });
  return steps;
}

/** Share of water, g in 100 g, from which a carrier is what others are soaked in. */
const WATERY = 95;

function isWater({ ingredient }: WeighedLine): boolean {
  return ingredient.roles.includes('carrier') && ingredient.composition.water >= WATERY;
}

type Add = (step: Omit<MakingStep, 'id'>) => string;

/** Weighing, then the stages of its preparation one after the other. */
function prepared(line: WeighedLine, add: Add, water: readonly string[]): string {
  const { ingredient, preparation, grams, via } = line;
  const inside = via.length > 0 ? t` (for the ${{ via: via.at(-1) ?? '' }})` : '';
  let last = add({
    do: 'weigh',
    text: t`Weigh ${{ weighable: weighable(grams).text }} ${{ ingredientName: ingredient.name }}${inside}.`,
    minutes: MINUTES.weigh,
    hands: MINUTES.weigh,
    after: [],
    mustDo: true,
    line: via.length > 0 ? null : line.line,
  });
  for (const stage of preparation?.stages ?? []) {
    last = add({
      do: stage.do,
      text: stage.text.replaceAll('{name}', ingredient.name),
      minutes: stage.minutes,
      hands: stage.hands,
      after: [last, ...(stage.inWater ? water : [])],
      mustDo: MUST.has(stage.do),
      line: null,
    });
  }
  return last;
}

/** A plain recipe: what is ready comes together, what heat would spoil last. */
function combined(parts: readonly LinePart[], add: Add): string {
  const late = parts.filter(({ line }) => line.ingredient.coolBelowC !== undefined && isHot(parts, line));
  const early = parts.filter((part) => !late.includes(part));
  const mixedIn = add({
    do: 'combine',
    text: t`Bring it together: the thickest first, then the rest a little at a time, stirred smooth.`,
    minutes: MINUTES.combine,
    hands: MINUTES.combine,
    after: early.map(({ ready }) => ready),
    mustDo: false,
    line: null,
  });
  return late.length === 0 ? mixedIn : addedCool(late, mixedIn, add);
}

/** Whether something else in the bowl comes hot from the stove. */
function isHot(parts: readonly LinePart[], than: WeighedLine): boolean {
  return parts.some(
    ({ line }) =>
      line !== than &&
      line.preparation?.stages.some(({ do: what }) => what === 'boil' || what === 'steep' || what === 'melt'),
  );
}

function addedCool(late: readonly LinePart[], after: string, add: Add): string {
  const coolest = Math.min(...late.map(({ line }) => line.ingredient.coolBelowC ?? JOINING_C));
  return add({
    do: 'add',
    text: t`Below ${{ coolest: rounded(coolest) }} °C stir in ${{ late: late.map(({ line }) => line.ingredient.name).join(', ') }}.`,
    minutes: MINUTES.add,
    hands: MINUTES.add,
    after: [after, ...late.map(({ ready }) => ready)],
    mustDo: true,
    line: null,
  });
}

/** A formula: phases heated apart, joined hot, the rest in the cool-down. */
function emulsion(parts: readonly LinePart[], phases: Phases, add: Add): string {
  const inPhase = (phase: string) => parts.filter(({ line }) => (phases.get(line.line) ?? 'A') === phase);
  const heated = ['A', 'B'].flatMap((phase) => {
    const members = inPhase(phase);
    if (members.length === 0) return [];
    return [
      add({
        do: 'heat',
        text: t`Heat phase ${phase} to ${{ degrees: JOINING_C }} °C and hold it there.`,
        minutes: MINUTES.heat,
        hands: 2,
        after: members.map(({ ready }) => ready),
        mustDo: true,
        line: null,
      }),
    ];
  });
  const joined = add({
    do: 'join',
    text: t`Pour B into A, both hot, and stir until it is white and even.`,
    minutes: MINUTES.join,
    hands: MINUTES.join,
    after: heated,
    mustDo: true,
    line: null,
  });
  const cool = add({
    do: 'cool',
    text: t`Stir now and then until it is lukewarm.`,
    minutes: MINUTES.cool,
    hands: 3,
    after: [joined],
    mustDo: true,
    line: null,
  });
  const late = parts.filter(({ line }) => !['A', 'B'].includes(phases.get(line.line) ?? 'A'));
  return late.length === 0 ? cool : addedCool(late, cool, add);
}
