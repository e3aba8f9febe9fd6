import type { ParsedRecipe, Stretch, ToldStep } from '../../recipe/larder';
import type { Deed, SavedStep } from '../../records/shapes';
import { unbraced, type Part } from './parts';
import { coolBelow, isHotDeed, isPowder, stepOf } from './shortest';

/** Deeds that are done on the hair or after it, not in the kitchen. */
const ON_HAIR: ReadonlySet<Deed> = new Set<Deed>(['apply', 'rinse', 'follow', 'keep']);
/** Deeds whose told minutes pass without her hands. */
const WAITS: ReadonlySet<Deed> = new Set<Deed>(['soak', 'boil', 'heat', 'cool']);
/** Minutes of hands where nothing is told (working assumptions). */
const HANDS: Readonly<Record<Deed, number>> = {
  mix: 1,
  take: 1,
  blend: 2,
  heat: 2,
  boil: 2,
  soak: 1,
  strain: 2,
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
/** So long nobody presses a cloth, minutes. */
const DRIPS_FROM = 8;

/**
 * The steps of a telling that are done in the kitchen; those that end in the middle of a sentence go on in one. "Beaten"
 * behind an egg in a list says what the egg is, and is none.
 */
export function kitchenSteps({ steps, lines }: ParsedRecipe): ToldStep[] {
  const places = lines.flatMap((line) => (line.status === 'read' ? line.at.slice(0, 1) : []));
  const isOfLine = ({ text, minutes, overnight }: ToldStep) =>
    minutes === null &&
    !overnight &&
    text.trim().split(/\s+/).length <= WORDS_OF_A_LINE &&
    lines.some((line) => line.status === 'read' && line.text.includes(text.trim()));
  return inSentences(steps.filter((step) => isOfKitchen(step, places))).filter((step) => !isOfLine(step));
}

/** "Rinse cool" and "pour it over after the wash" are done on the hair, though the words are those of the kitchen. */
function isOfKitchen(step: ToldStep, places: readonly Stretch[]): boolean {
  const { deeds } = step;
  const own = deeds.filter((deed) => !ON_HAIR.has(deed));
  if (own.length === deeds.length || own.length === 0) return own.length > 0;
  const isLight = own.every((deed) => LIGHT.has(deed));
  // “Keep warm over hot water” keeps nothing for later.
  if (deeds.includes('heat') && deeds.every((deed) => deed === 'keep' || !ON_HAIR.has(deed))) return true;
  return !isLight || deeds[0] === 'heat' || places.some((at) => overlap(step, at));
}

/** Deeds that go with others on the hair: pouring, warming, cooling. */
const LIGHT: ReadonlySet<Deed> = new Set<Deed>(['mix', 'take', 'heat', 'cool']);

/** So few words behind a name belong to it. */
const WORDS_OF_A_LINE = 2;
/** A temperature under this is waited for, °C. */
const LUKEWARM_C = 45;

/** "squeezed through tights", "stir in when cool" go on with what stands before them. */
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
      text: `${before.text}${' '.repeat(Math.max(0, gap))}${step.text.slice(Math.max(0, -gap))}`,
      deeds: [...new Set([...before.deeds, ...step.deeds])],
      minutes: before.minutes === null ? step.minutes : before.minutes + (step.minutes ?? 0),
      overnight: before.overnight || step.overnight,
      byHand: before.byHand || step.byHand,
      takesRest: before.takesRest || step.takesRest,
      notIn: [...before.notIn, ...step.notIn],
      names: [...before.names, ...step.names],
    };
  }
  return whole;
}

/** A told step takes what it names; what none names goes in where things are first brought together. */
export function toldMethod(told: readonly ToldStep[], parts: readonly Part[]): SavedStep[] {
  const end = Math.max(...told.map((step) => step.end));
  const last = parts.filter((part) => isAfterAll(part, told, parts, end));
  const places = parts
    .filter((part) => !last.includes(part))
    .map((part) => ({ part, place: placeOf(part, told, parts) }));
  let isHot = false;
  const steps = told.flatMap((step, index): SavedStep[] => {
    const own = places.filter(({ place }) => place === index).map(({ part }) => part);
    const deeds = deedsOf(step);
    const before = mixedBefore(step, own);
    const lines = before.length > 0 ? [] : own;
    const saved: SavedStep = {
      text: textOf(step, lines),
      lines: lines.map(({ line }) => line),
      ...minutesOf(step, deeds, isHot),
      by: 'told',
      deeds,
    };
    isHot = !deeds.includes('cool') && (isHot || deeds.some(isHotDeed));
    return [...before, saved];
  });
  return last.length > 0 ? [...steps, stepOf('stir-in', last)] : steps;
}

/** “Juice of a lime last”: told behind all steps, and named in none. */
function isAfterAll(part: Part, told: readonly ToldStep[], all: readonly Part[], end: number): boolean {
  const isNamed = told.some((step) => isWithin(part, step)) || namedIn(part, told, all) >= 0;
  return !isNamed && (part.at[0]?.start ?? 0) >= end;
}

/** "Cover and leave overnight" after a list: the list is stirred together first. What soaks or brews is put in as it is. */
function mixedBefore(step: ToldStep, own: readonly Part[]): SavedStep[] {
  const isRest = step.deeds.every((deed) => deed === 'soak' || deed === 'cool');
  const isNamedThere = own.some((part) => isWithin(part, step) || namedIn(part, [step], own) >= 0);
  const isPutIn = own.some(({ preparation }) => preparation?.stages.some((stage) => PUT_IN.has(stage.do)));
  return isRest && own.length > 1 && !isNamedThere && (!isPutIn || own.some(isPowder))
    ? [stepOf('stir-together', own)]
    : [];
}

const PUT_IN: ReadonlySet<string> = new Set(['soak', 'steep', 'boil', 'bloom', 'ferment']);

function deedsOf({ deeds, celsius, byHand }: ToldStep): Deed[] {
  const own = deeds.filter((deed) => !ON_HAIR.has(deed));
  // No blender to wash up.
  const done = own.map((deed) => (deed === 'blend' && byHand ? 'mix' : deed));
  // "Press it while still warm" heats nothing.
  const isWarmOnly = done.includes('strain') && !done.includes('boil') && celsius === null;
  const heated = isWarmOnly ? done.filter((deed) => deed !== 'heat') : done;
  const isWaited = celsius !== null && celsius <= LUKEWARM_C && !heated.includes('heat');
  return [...new Set<Deed>([...heated, ...(isWaited ? (['cool'] as const) : [])])];
}

const overlap = (step: Stretch, at: Stretch): boolean => at.start < step.end && at.end > step.start;

function isWithin({ at }: Part, step: Stretch): boolean {
  const [first] = at;
  return first !== undefined && overlap(step, first);
}

/** What a step may call a line: its name, without its last word, or by a word of it that no other line has. */
function termsOf(part: Part, all: readonly Part[]): string[] {
  const whole = part.name.toLowerCase();
  const words = whole.split(' ');
  const others = new Set(all.filter((other) => other !== part).flatMap(nounsOf));
  return [
    whole,
    ...(words.length > 1 ? [words.slice(0, -1).join(' ')] : []),
    ...nounsOf(part).filter((noun) => !others.has(noun)),
  ];
}

/** Words that may stand for a thing: the last of its name, and in her own words the last two and what stands before “de”. */
function nounsOf({ name, told }: Part): string[] {
  const last = name.toLowerCase().split(' ').at(-1) ?? '';
  const own = (told?.words ?? '')
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2 || word === 'de');
  const beforeDe = own[own.lastIndexOf('de') - 1];
  return [...new Set([last, ...own.slice(-2), ...(beforeDe === undefined ? [] : [beforeDe])])].filter(
    (word) => word.length > 2,
  );
}

function says({ text, start, notIn }: ToldStep, term: string): boolean {
  const at = wordAt(text.toLowerCase(), term);
  return term.length > 2 && at >= 0 && goesIn(notIn, start + at);
}

/** Where it stands as words of their own, with an ending: "bananas", not "oil" in "boil". */
function wordAt(told: string, term: string): number {
  for (let at = told.indexOf(term); at >= 0; at = told.indexOf(term, at + 1))
    if (!/\p{L}/u.test(told.charAt(at - 1))) return at;
  return -1;
}

/** Named as what goes in, not as what others go into or as the one thing that does not. */
const goesIn = (notIn: ToldStep['notIn'], at: number): boolean =>
  !notIn.some(({ start, end }) => at >= start && at < end);

/** A cloth takes nothing in. */
const onlyStrains = ({ deeds }: ToldStep): boolean =>
  deeds.every((deed) => deed === 'strain' || deed === 'cool' || ON_HAIR.has(deed));

/** Named at all: as what goes in, or as what others go into. */
const mentions = (step: ToldStep, part: Part): boolean =>
  step.names.some(({ ingredientId }) => ingredientId === part.ingredient?.id);

/** Index of the first step that names a line as going in, by what is read there or by its words; -1 where none does. */
function namedIn(part: Part, told: readonly ToldStep[], all: readonly Part[]): number {
  const read = told.findIndex(
    (step) =>
      !onlyStrains(step) &&
      step.names.some(
        ({ ingredientId, at }) => ingredientId === part.ingredient?.id && goesIn(step.notIn, at.start),
      ),
  );
  if (read >= 0) return read;
  for (const term of termsOf(part, all)) {
    const said = told.findIndex((step) => says(step, term) && !onlyStrains(step));
    if (said >= 0) return said;
  }
  return -1;
}

function placeOf(part: Part, told: readonly ToldStep[], all: readonly Part[]): number {
  const inside = told.findIndex((step) => isWithin(part, step));
  if (inside >= 0) return inside;
  const named = namedIn(part, told, all);
  if (named >= 0) return named;
  const rest = told.findIndex(({ takesRest }) => takesRest);
  if (rest >= 0 && !told.some((step) => mentions(step, part))) return rest;
  // Told before a step, it is what that step is done with; what heat would spoil goes into the first that is not hot.
  const end = part.at[0]?.end ?? 0;
  const next = told.findIndex((step) => step.start >= end);
  const place = next >= 0 ? next : told.length - 1;
  if (coolBelow(part) === undefined || !isHotStep(told[place])) return place;
  const cold = told.findIndex(
    (step, index) => index > place && !isHotStep(step) && step.deeds.some((deed) => STIRS.has(deed)),
  );
  return cold >= 0 ? cold : place;
}

const STIRS: ReadonlySet<Deed> = new Set<Deed>(['mix', 'whip', 'blend', 'take']);
const isHotStep = (step: ToldStep | undefined): boolean => step !== undefined && step.deeds.some(isHotDeed);

/** Her words, with {0} for a line that is named there; the others stand behind in brackets. */
function textOf(step: ToldStep, parts: readonly Part[]): string {
  const inside = parts.filter((part) => isWithin(part, step));
  const cuts = [
    ...inside.flatMap(({ at, line }) => (at[0] ? [{ ...at[0], by: `{${line}}` }] : [])),
    // An amount that is said once for several stands with each of them now.
    ...inside.flatMap(({ at }) => at.slice(1)).map((stretch) => ({ ...stretch, by: '' })),
  ]
    .filter(
      (cut, index, all) => overlap(step, cut) && all.findIndex(({ start }) => start === cut.start) === index,
    )
    .map(({ start, end, by }) => ({ start: Math.max(start, step.start), end: Math.min(end, step.end), by }))
    .sort((a, b) => a.start - b.start);
  let text = '';
  let at = 0;
  for (const { start, end, by } of cuts) {
    // What stands within another stands behind it.
    text +=
      unbraced(step.text.slice(at, Math.max(at, start - step.start))) +
      (start - step.start < at ? ` ${by}` : by);
    at = Math.max(at, end - step.start);
  }
  text += unbraced(step.text.slice(at));
  const tidy = text
    .replace(/ {2,}/g, ' ')
    .replace(/^[\s,;:–-]+/, '')
    .replace(/[\s,;:–-]+$/, '')
    .replace(/\s+(?:and|then|e|y|et|und)$/i, '')
    .replace(/[\s,;]+$/, '');
  const sentence = tidy === '' || /[.!?…)]$/.test(tidy) ? tidy : `${tidy}.`;
  return withLines(
    sentence,
    parts.filter((part) => !inside.includes(part)).map(({ line }) => line),
  );
}

/** A step's text with the lines that it does not name, in brackets behind it. */
export function withLines(text: string, lines: readonly number[]): string {
  if (lines.length === 0) return text;
  return `${text.replace(/[.!\s]+$/, '')} (${lines.map((line) => `{${line}}`).join(', ')}).`;
}

/** @param isHot what stands before left the bowl hot: only then does cooling take its time */
function minutesOf(
  { minutes, overnight, deeds: all }: ToldStep,
  deeds: readonly Deed[],
  isHot: boolean,
): Pick<SavedStep, 'handsMinutes' | 'waitMinutes'> {
  const waits = deeds.some((deed) => WAITS.has(deed));
  // A time behind “warm it, under a cap” is that of the hair; that of a soak or a pot is the kitchen's.
  const isKept = all.includes('keep') && !deeds.includes('heat');
  const isOnHair =
    (isKept || all.some((deed) => deed !== 'keep' && ON_HAIR.has(deed))) &&
    !deeds.some((deed) => deed === 'soak' || deed === 'boil');
  const hands = Math.max(0, ...deeds.map((deed) => HANDS[deed]));
  if (overnight && waits && !isOnHair) return { handsMinutes: hands, waitMinutes: NIGHT_MINUTES };
  if (minutes !== null && !isOnHair) {
    const whole = Math.round(minutes);
    // A cloth that is told to drip for long drips by itself.
    const drips = deeds.includes('strain') && whole > DRIPS_FROM;
    return waits || drips
      ? { handsMinutes: Math.min(hands, whole), waitMinutes: Math.max(0, whole - hands) }
      : { handsMinutes: whole, waitMinutes: 0 };
  }
  const waiting = deeds.map((deed) => (deed === 'cool' && !isHot ? 0 : (WAITING[deed] ?? 0)));
  return { handsMinutes: hands, waitMinutes: Math.max(0, ...waiting) };
}
