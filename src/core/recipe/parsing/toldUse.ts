import type { Deed } from '../../records/shapes';
import { plainWords } from '../ingredients';
import type { ToldStep, ToldUse } from '../larder';
import { isMark, says, type Mark } from './marks';
import { DAY_MINUTES, NOT_ON_HAIR } from './steps';
import { strainedThroughAt } from './strained';
import { isSign, isWord, touches, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** The longest time on the hair, minutes: twelve hours. */
const LONGEST_CONTACT = 720;
/** From this on it is a night, minutes. */
const NIGHT_FROM = 240;
const NIGHT_MINUTES = 480;
/** A leave-in that is re-wetted stays a week at most. */
const LONGEST_WORN = 8 * DAY_MINUTES;

/** "on for 20": on the hair, though nobody names it. */
const ON_FOR = 'on for';
const saysMark = (text: string, mark: Mark): boolean => plainWords(text).some((word) => isMark(word, mark));
const isOnHair = (text: string): boolean =>
  saysMark(text, 'onHair') || plainWords(text).join(' ').includes(ON_FOR);
/** Told behind, done before: "strain first", "Strain!!"; or done only then: "Bits? Sieve it." */
const isReminder = ({ text, start }: ToldStep, told: string): boolean =>
  saysMark(text, 'reminds') || text.trimEnd().endsWith('!!') || told.slice(0, start).trimEnd().endsWith('?');
/** What is said in its sentence before a place in the text. */
function sentenceTo(text: string, at: number): string {
  let from = at;
  while (from > 0 && !'.!?\n'.includes(text[from - 1] ?? '')) from--;
  return text.slice(from, at);
}

/** What is done in the bowl. */
const IN_BOWL: ReadonlySet<Deed> = new Set<Deed>(['mix', 'blend', 'strain', 'heat', 'boil', 'whip']);

/**
 * "Cover and leave overnight. In the morning stir in an egg": what rests before it is mixed rests in the bowl. So does what
 * is left for days, and what is left before the last thing goes in, where there is a later time on the hair.
 * @param lastAdded where the last measured thing stands in the text
 */
export function restsTold(steps: readonly ToldStep[], text: string, lastAdded = 0): ToldStep[] {
  return steps.map((given, index) => {
    const step = withHair(given, steps, index, lastAdded);
    // "Gloss (2 hrs): …": how long it is on.
    const isOfTitle = index === 0 && step.text.startsWith('(');
    const isBare = step.deeds.every((deed) => deed === 'apply') && !isOfTitle && !isOnHair(step.text);
    const isTimed = step.overnight || step.minutes !== null;
    if (!isBare || !isTimed) return step;
    const isLong = (step.minutes ?? 0) > LONGEST_WORN;
    const later = steps.slice(index + 1);
    const rinsed = later.findIndex(({ deeds }) => deeds.includes('rinse'));
    const inTime = later.slice(0, rinsed < 0 ? later.length : rinsed);
    // "15 minutes et eau tiède": nothing is warmed last.
    const isMixedLater = inTime.some(
      (later, at) =>
        later.deeds.some((deed) => IN_BOWL.has(deed) && (deed !== 'heat' || at + 1 < inTime.length)) &&
        !isReminder(later, text) &&
        // "It rinses clean if you sieve it."
        !saysMark(later.text, 'if') &&
        // "If you must use bananas, push them through a sieve."
        !isMark(plainWords(sentenceTo(text, later.start))[0] ?? '', 'onlyIf'),
    );
    // "sit it for 4 hours, then apply and keep on 3 hours"
    const isPutOnLater =
      !saysMark(step.text, 'putsOn') &&
      inTime.some(
        // "Sits 6 hours. On for 3."
        ({ text, minutes, overnight }) =>
          (minutes !== null || overnight) &&
          (saysMark(text, 'putsOn') || plainWords(text).join(' ').startsWith(ON_FOR)),
      );
    const isAddedLater =
      step.end <= lastAdded &&
      inTime.some(
        ({ deeds, minutes, overnight, start }) =>
          deeds.includes('apply') && (minutes !== null || overnight) && start >= lastAdded,
      );
    const isOfBowl = isMixedLater || isLong || isPutOnLater || isAddedLater;
    return isOfBowl ? { ...step, deeds: ['soak'] } : step;
  });
}

function withHair(step: ToldStep, steps: readonly ToldStep[], index: number, lastAdded: number): ToldStep {
  const isLast = index + 1 === steps.length;
  const isUnsaid = steps.every(({ deeds }) => !deeds.includes('apply') && !deeds.includes('rinse'));
  if (isHeatedOn(step, steps[index - 1]) || (isLast && isUnsaid && isWornWarm(step)))
    return { ...step, deeds: ['apply', 'heat'] };
  if (isSoakedHair(step, steps, index, lastAdded)) return { ...step, deeds: ['apply'] };
  // "Strain, cool, 20 min.": nothing else is said of the hair.
  const isApart = step.deeds.join() === 'cool' && step.text.includes(',');
  const isCooled = isApart && isLast && (step.minutes ?? 0) >= LEAST_HEATED_ON;
  return isCooled && isUnsaid ? { ...step, deeds: ['cool', 'apply'] } : step;
}

/** "… in a basin of warm water. Soak fifteen minutes, rinse": the hair, where nothing else goes in and nothing else is on it. */
const isSoakedHair = (
  { deeds, minutes, overnight, start }: ToldStep,
  steps: readonly ToldStep[],
  index: number,
  lastAdded: number,
): boolean =>
  deeds.join() === 'soak' &&
  minutes !== null &&
  minutes <= LONGEST_SOAKED &&
  !overnight &&
  start > lastAdded &&
  index + 2 === steps.length &&
  (steps[index + 1]?.deeds.includes('rinse') ?? false) &&
  !steps.some((other) => other.deeds.includes('apply') && other.minutes !== null);
/** Minutes. */
const LONGEST_SOAKED = 60;

/** "45 mins warm": where nothing else is said of the hair. */
const isWornWarm = ({ deeds, minutes, text }: ToldStep): boolean =>
  deeds.join() === 'heat' &&
  (minutes ?? 0) >= LEAST_HEATED_ON &&
  isMark(plainWords(text).at(-1) ?? '', 'waterState');

/** "Apply warm. Heat 15 min.": on the hair. */
const isHeatedOn = ({ deeds, minutes }: ToldStep, before: ToldStep | undefined): boolean =>
  deeds.join() === 'heat' && (minutes ?? 0) >= LEAST_HEATED_ON && (before?.deeds.includes('apply') ?? false);
const LEAST_HEATED_ON = 5;

/** What all steps set together. */
export function toldUse(
  steps: readonly ToldStep[],
  tokens: readonly Token[],
  words: Vocabulary,
  title: string | null,
): ToldUse {
  const has = (role: 'cap' | 'warm' | 'beforeWash') =>
    tokens.some(
      (token, index) =>
        isWord(token) &&
        words.roles[role].at(tokens, index) !== undefined &&
        // "no shampoo after"
        !words.roles.not.endsAt(tokens, index, 2) &&
        // "through a tea towel": strained.
        !(role === 'cap' && (isStrainedThrough(tokens, index) || isHowMuch(tokens, index, words))),
    );
  const does = (deed: Deed) => steps.some(({ deeds }) => deeds.includes(deed));
  const onHair = steps.filter(
    ({ deeds }) => deeds.includes('apply') && !deeds.some((deed) => NOT_ON_HAIR.has(deed)),
  );
  const times = onHair.flatMap(({ minutes }) =>
    minutes === null || minutes > LONGEST_CONTACT ? [] : [minutes],
  );
  const isOvernightUse = isOfNight(title, tokens, words) || isWashedAtDawn(tokens, words);
  const overnight =
    isWashedInMorning(tokens, words) ||
    (times.length === 0 && isOvernightUse) ||
    onHair.some(
      ({ overnight: isNight, minutes }) =>
        isNight || ((minutes ?? 0) > NIGHT_FROM && (minutes ?? 0) <= DAY_MINUTES),
    );
  const keeps = steps.find(({ deeds, minutes }) => deeds.includes('keep') && (minutes ?? 0) >= DAY_MINUTES);
  const isCap = has('cap');
  const untimed = overnight ? NIGHT_MINUTES : null;
  return {
    minutes: times.length > 0 ? Math.round(Math.max(...times)) : untimed,
    warmth:
      has('warm') || steps.some((step, at) => isWithHeat(step, steps[at - 1]))
        ? 'warm'
        : isCap || times.length > 0
          ? 'room'
          : null,
    overnight,
    cap: isCap,
    strained: does('strain'),
    beforeWash: has('beforeWash') || isShampooedThen(tokens, words),
    coolRinse: isCoolRinse(tokens, words, { isRinsed: does('rinse'), isTimed: times.length > 0 }),
    keepsDays: keeps ? Math.round((keeps.minutes ?? 0) / DAY_MINUTES) : null,
    claim: claimIn(title, tokens, words),
  };
}

/** Cold water at the end: beside words for rinsing, or alone behind a time. */
function isCoolRinse(
  tokens: readonly Token[],
  words: Vocabulary,
  { isRinsed, isTimed }: { readonly isRinsed: boolean; readonly isTimed: boolean },
): boolean {
  const coolAt = [...tokens.keys()].filter(
    (index) => isWord(tokens[index]) && words.roles.coolRinse.at(tokens, index) !== undefined,
  );
  // "60 ml cold water" goes in.
  // "num copo de água fria"
  const isMeasured = (index: number) =>
    words.roles.of.endsAt(tokens, index, 1) && words.units.endsAt(tokens, index - 1, 3);
  const isFree = coolAt.some(
    (index) =>
      ([1, 2].every((back) => tokens[index - back]?.kind !== 'number') && !isMeasured(index)) ||
      // "leave 20, rinse cold"
      words.deeds.at(tokens, index)?.value === 'rinse' ||
      // "nach 20 Minuten kalt ausspülen"
      words.time.endsAt(tokens, index, 1) ||
      // "leave 15 and cold water"
      words.roles.and.endsAt(tokens, index, 1),
  );
  // "20 minutes, cold water always"
  const isAlone = coolAt.some(
    (index) =>
      tokens[index - 1]?.kind === 'sign' ||
      tokens[index - 1]?.kind === 'break' ||
      // "Then cold water.", "fifteen minutes at most and cold water"
      (words.roles.and.endsAt(tokens, index, 1) &&
        (tokens[index - 2]?.kind === 'sign' ||
          tokens[index - 2]?.kind === 'number' ||
          words.time.isWithin(tokens, Math.max(0, index - TIME_WITHIN), index))) ||
      tokens.slice(index + 1, index + AT_END_WITHIN).some((next) => says(next, 'atEnd')),
  );
  return isFree && (isRinsed || (isAlone && isTimed));
}

/** "Then a proper shampoo.", "40 mins, shampoo.", "Danach ganz normal waschen." */
const isShampooedThen = (tokens: readonly Token[], { time }: Vocabulary): boolean =>
  tokens.some((token, at) => {
    const isShampoo = says(token, 'shampoo');
    const isWashedLast = says(token, 'washes') && (tokens[at + 1]?.kind ?? 'break') !== 'word';
    return (
      (isShampoo && isBehindTime(tokens, at, time)) || ((isShampoo || isWashedLast) && saysThen(tokens, at))
    );
  });

/** A clause of its own, right behind a time. */
const isBehindTime = (tokens: readonly Token[], at: number, time: Vocabulary['time']): boolean =>
  tokens[at - 1]?.kind === 'sign' &&
  (tokens[at + 1]?.kind ?? 'sign') === 'sign' &&
  time.isWithin(tokens, Math.max(0, at - TIMED_WITHIN), at);

/** "then" before it in its sentence. */
function saysThen(tokens: readonly Token[], at: number): boolean {
  const near = tokens.slice(Math.max(0, at - SHAMPOO_WITHIN), at);
  const stop = near.findLastIndex((word) => isSign(word, '.', '!', ';'));
  return near.slice(stop + 1).some((word) => says(word, 'then'));
}
/** Tokens between "then" and it: "Then I rinse it with lukewarm water and use my usual shampoo". */
const SHAMPOO_WITHIN = 12;
/** Tokens of a time right before it. */
const TIMED_WITHIN = 4;

/** "Apply warm. Heat 15 min.", "Forty minutes, heat." */
const isWithHeat = ({ deeds, minutes, text }: ToldStep, before: ToldStep | undefined): boolean =>
  deeds.join() === 'apply,heat' ||
  (deeds.join() === 'heat' &&
    minutes === null &&
    before !== undefined &&
    before.minutes !== null &&
    before.deeds.includes('apply') &&
    plainWords(text).length === 1);

/** "Wash in the morning" */
const isWashedInMorning = (tokens: readonly Token[], { deeds, roles }: Vocabulary): boolean =>
  tokens.some(
    (_, at) => deeds.at(tokens, at)?.value === 'rinse' && roles.overnight.at(tokens, at) !== undefined,
  );

/** "bonnet, wash next morning", "no dia seguinte de manhã, lavo": what washes, and when, in one clause. */
const isWashedAtDawn = (tokens: readonly Token[], { deeds }: Vocabulary): boolean =>
  tokens.some((token, at) => {
    if (!says(token, 'morning')) return false;
    const clause = (near: readonly Token[]) => {
      const end = near.findIndex(({ kind }) => kind === 'sign' || kind === 'break');
      return near.slice(0, end < 0 ? near.length : end);
    };
    const before = clause(tokens.slice(Math.max(0, at - DAWN_WITHIN), at).reverse());
    const behind = clause(tokens.slice(at + 1, at + 1 + DAWN_WITHIN));
    return [...before.map((_, back) => at - 1 - back), ...behind.map((_, ahead) => at + 1 + ahead)].some(
      (near) => deeds.at(tokens, near)?.value === 'rinse',
    );
  });
/** Tokens between the two. */
const DAWN_WITHIN = 4;

/** "Overnight oil: …", "Óleo pra dormir: …" */
const isOfNight = (title: string | null, tokens: readonly Token[], { roles }: Vocabulary): boolean =>
  title !== null &&
  tokens
    .slice(0, title.split(/\s+/).length)
    .some((token, at) => isWord(token) && roles.overnight.at(tokens, at) !== undefined);

const AT_END_WITHIN = 6;
/** Tokens between the time on the hair and what it is rinsed with. */
const TIME_WITHIN = 6;

/** How many tokens before a cloth "through" may stand. */
const THROUGH_WITHIN = 3;

/** "oil, enough to cover my hair" */
const isHowMuch = (tokens: readonly Token[], index: number, { deeds }: Vocabulary): boolean =>
  deeds.at(tokens, index) !== undefined &&
  (says(tokens[index - 1], 'reaches') || says(tokens[index - 1], 'purpose'));

const isStrainedThrough = (tokens: readonly Token[], index: number): boolean =>
  Array.from({ length: THROUGH_WITHIN }, (_, back) => index - 1 - back).some(
    (at) => (strainedThroughAt(tokens, at)?.to ?? 0) > index,
  );

/** How many words before a claim may tell that it is of the next treatment. */
const NEXT_WITHIN = 5;

/** "… then you do a moisture mask": of another one. */
const isOfNext = (tokens: readonly Token[], index: number, { deeds }: Vocabulary): boolean =>
  tokens
    .slice(Math.max(0, index - NEXT_WITHIN), index)
    .some(
      (token, back, before) =>
        says(token, 'then') || deeds.at(tokens, index - before.length + back)?.value === 'follow',
    );

/** Within so many words of "mask" and the like it says what the mixture is. */
const CLAIM_WITHIN = 3;

/** "protein mask", "máscara de proteína": what she calls it, in the title before anywhere else. */
function claimIn(title: string | null, tokens: readonly Token[], words: Vocabulary): ToldUse['claim'] {
  const claims = tokens.flatMap((token, index) => {
    const found = isWord(token) ? words.claims.at(tokens, index) : undefined;
    return found ? [{ claim: found.value, index, raw: token.raw.toLowerCase() }] : [];
  });
  const inTitle = claims.find(({ raw }) => title !== null && title.toLowerCase().includes(raw));
  const isBeside = (index: number) =>
    Array.from({ length: 2 * CLAIM_WITHIN }, (_, at) => index - CLAIM_WITHIN + at).some(
      (at) =>
        at >= 0 &&
        (words.roles.kinds.at(tokens, at) !== undefined ||
          (at < index && says(tokens[at], 'calls')) ||
          (at > index && says(tokens[at], 'calledSo'))),
    );
  // "protein-ish" is none of it.
  const isDenied = (index: number) =>
    words.roles.not.endsAt(tokens, index, 2) ||
    (isSign(tokens[index + 1], '-') && touches(tokens[index], tokens[index + 1]));
  const beside = claims.find(
    ({ index }) => isBeside(index) && !isDenied(index) && !isOfNext(tokens, index, words),
  );
  return (inTitle ?? beside)?.claim ?? null;
}
