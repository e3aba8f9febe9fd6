import type { Deed, ToldStep, ToldUse } from '../larder';
import type { Element } from './elements';
import type { TokenRange } from './items';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** A step before its text is cut out. */
export interface StepAt extends TokenRange {
  readonly deeds: readonly Deed[];
  readonly minutes: number | null;
  readonly overnight: boolean;
  readonly celsius: number | null;
}

/** Deeds that belong to the hair: they go on in one step, with its minutes and its cap. */
const ON_HAIR: ReadonlySet<Deed> = new Set<Deed>(['apply']);
/** A wait that belongs to these is none on the hair. */
const BEFORE_HAIR: ReadonlySet<Deed> = new Set<Deed>([
  'soak',
  'boil',
  'heat',
  'cool',
  'whip',
  'blend',
  'mix',
  'strain',
  'keep',
]);
/** The longest time on the hair, minutes: twelve hours. */
const LONGEST_CONTACT = 720;
const NIGHT_MINUTES = 480;

interface Draft {
  from: number;
  to: number;
  deeds: Deed[];
  minutes: number | null;
  overnight: boolean;
  celsius: number | null;
}

/**
 * The steps of one sentence. A chunk between commas that does something else begins a new one; times, temperatures and
 * what is put over the hair belong to the step they stand in.
 */
export function stepsOf(
  elements: readonly Element[],
  tokens: readonly Token[],
  words: Vocabulary,
  { before, isMethod }: { readonly before: Deed | null; readonly isMethod: boolean },
): StepAt[] {
  const steps: Draft[] = [];
  let chunkFrom = elements[0]?.from ?? 0;
  let current: Draft | null = null;
  const begin = (from: number, to: number): Draft => {
    const draft: Draft = { from, to, deeds: [], minutes: null, overnight: false, celsius: null };
    steps.push(draft);
    return draft;
  };
  for (const element of elements) {
    const night = words.roles.overnight.at(tokens, element.from);
    const cover = words.roles.cap.at(tokens, element.from) ?? words.roles.warm.at(tokens, element.from);
    if (element.kind === 'separator' && ['comma', 'and', 'dash', 'colon'].includes(element.separator)) {
      chunkFrom = element.to;
      continue;
    }
    const starts = element.kind === 'deed' && element.deed !== 'take';
    if (starts) {
      const { deed } = element;
      const goesOn =
        current &&
        (current.deeds.includes(deed) ||
          (chunkFrom <= current.from && current.deeds.length > 0 && !ON_HAIR.has(deed)) ||
          current.deeds.length === 0);
      if (!current || !goesOn) {
        const end = current ? Math.max(current.from + 1, Math.min(chunkFrom, element.from)) : chunkFrom;
        if (current) current.to = Math.max(current.to, Math.min(end, element.from));
        current = begin(Math.max(chunkFrom, current?.to ?? 0), element.to);
      }
      if (!current.deeds.includes(deed)) current.deeds.push(deed);
    } else if (element.kind === 'duration' || element.kind === 'temperature' || night || cover) {
      current ??= begin(chunkFrom, element.to);
      if (element.kind === 'duration') {
        // A second time in one breath is that of what comes after.
        if (
          current.minutes !== null &&
          chunkFrom > current.from &&
          current.deeds.some((deed) => BEFORE_HAIR.has(deed))
        )
          current = begin(chunkFrom, element.to);
        current.minutes = Math.max(current.minutes ?? 0, element.duration.minutes);
      }
      if (element.kind === 'temperature') current.celsius = element.celsius;
      if (night) current.overnight = true;
      if (
        cover &&
        !current.deeds.includes('apply') &&
        !current.deeds.some((deed) => deed === 'soak' || deed === 'strain')
      )
        current.deeds.push('apply');
    }
    if (current) current.to = Math.max(current.to, element.to);
  }
  return steps
    .map((step) =>
      step.deeds.length > 0
        ? step
        : {
            ...step,
            deeds: before !== null && BEFORE_HAIR.has(before) && isMethod ? [before] : (['apply'] as Deed[]),
          },
    )
    .map(({ from, to, deeds, minutes, overnight, celsius }) => ({
      from,
      to,
      deeds,
      minutes,
      overnight,
      celsius,
    }));
}

/** What all steps set together. */
export function toldUse(
  steps: readonly ToldStep[],
  tokens: readonly Token[],
  words: Vocabulary,
  title: string | null,
): ToldUse {
  const found = (role: 'cap' | 'warm' | 'coolRinse' | 'beforeWash') =>
    tokens.some((token, index) => token.kind === 'word' && words.roles[role].at(tokens, index) !== undefined);
  const onHair = steps.filter(
    ({ deeds }) =>
      deeds.includes('apply') && !deeds.some((deed) => deed === 'soak' || deed === 'keep' || deed === 'boil'),
  );
  const times = onHair.flatMap(({ minutes }) =>
    minutes === null || minutes > LONGEST_CONTACT ? [] : [minutes],
  );
  const overnight = onHair.some((step) => step.overnight || (step.minutes !== null && step.minutes > 240));
  const isWarm = found('warm');
  const isCap = found('cap');
  const keeps = steps.find(
    ({ deeds, minutes }) => deeds.includes('keep') && minutes !== null && minutes >= 1440,
  );
  const strained = steps.findIndex(({ deeds }) => deeds.includes('strain'));
  const claim = claimIn(title, tokens, words);
  return {
    minutes: times.length > 0 ? Math.round(Math.max(...times)) : overnight ? NIGHT_MINUTES : null,
    warmth: isWarm ? 'warm' : isCap || times.length > 0 ? 'room' : null,
    overnight,
    cap: isCap,
    strained:
      strained >= 0 &&
      steps.slice(0, strained).some(({ deeds }) => deeds.includes('mix') || deeds.includes('blend'))
        ? true
        : strained === 0 && steps[0]!.deeds.includes('blend'),
    beforeWash: found('beforeWash'),
    coolRinse: found('coolRinse') && steps.some(({ deeds }) => deeds.includes('rinse')),
    keepsDays: keeps?.minutes ? Math.round(keeps.minutes / 1440) : null,
    claim,
  };
}

/** "protein mask", "it’s for moisture": what she calls it, in the title before anywhere else. */
function claimIn(title: string | null, tokens: readonly Token[], words: Vocabulary): ToldUse['claim'] {
  const inTitle = title === null ? null : title.toLowerCase();
  let claim: ToldUse['claim'] = null;
  for (const [index, token] of tokens.entries()) {
    if (token.kind !== 'word') continue;
    const found = words.claims.at(tokens, index);
    if (!found) continue;
    if (inTitle?.includes(token.raw.toLowerCase())) return found.value;
    // "protein mask", "mascara de proteina"
    const near = tokens
      .slice(Math.max(0, index - 3), index + 3)
      .some((_, at) => words.roles.kinds.at(tokens, Math.max(0, index - 3) + at) !== undefined);
    if (near) claim ??= found.value;
  }
  return claim;
}
