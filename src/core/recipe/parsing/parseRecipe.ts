import { t } from '@lingui/core/macro';
import { grouped } from '../../base/language';
import { failed, ok, rounded, type CupKind, type Problem, type Result } from '../../base/measures';
import { RECIPE_LIMITS } from '../../records/shapes';
import { plainWords } from '../ingredients';
import { CATALOGUE_LARDER, type Larder, type ParsedLine, type ParsedRecipe, type ReadLine } from '../larder';
import { lineAmount, type LineAmount } from './lineAmount';
import { amountsInInstruction, rowParts, summedAmounts } from './parts';
import { readPart, unreadPart, type ReadingOptions, type ReadPart } from './readPart';
import { rewritten, rewrittenPart } from './rewrites';
import { BALANCE, balanced, withShares } from './shares';

/** First words of an instruction line. */
const INSTRUCTION =
  /^(?:add|allow|apply|blend|boil|bring|combine|cook|cool|cover|cut|dissolve|divide|drain|fold|grate|grind|heat|keep|leave|let|mash|massage|melt|mix|once|peel|place|pour|put|remove|rest|rinse|section|set|sieve|simmer|slowly|soak|sprinkle|steep|stir|store|strain|take|then|transfer|use|warm|wash|whip|whisk|work|misture|bata|coe|ferva|aplique|mezcla|licúa|hierve|mischen|kochen|mélanger)\b/i;
const METHOD_HEADING =
  /^(?:method|directions?|instructions?|steps?|how to\b.*|preparation|procedure|to (?:make|use|apply|prepare)\b.*|modo de (?:preparo|usar|fazer)|preparo|preparaci[óo]n|instrucciones|zubereitung|anwendung|pr[ée]paration)\s*:?$/i;
const INGREDIENT_HEADING =
  /^(?:ingredients?|you(?: wi)?ll need|what you need|ingredientes|zutaten|ingr[ée]dients?|for the\b.*|shopping list)\s*:?$/i;
/** "Phase A", "Water phase (A)", "B. Oil phase", "Cool-down phase". */
const PHASE_HEADING =
  /^(?:phase\s+([a-d])\b.*|([a-d])[.):]?\s*[-–]?\s*(?:water|oil|heated|heat|cool[- ]?down|cooling)?\s*phase\b.*|(water|aqueous|oil|fat|cool[- ]?down|cooling)\s+phase\s*(?:\(?([a-d])\)?)?)\s*:?$/i;
/** "Phase A: water 77 %, glycerin 3 %": heading and ingredients in one row. */
const INLINE_PHASE = /^[#*\s]*phase\s+([a-d])\s*[:.)–-]\s*(.*\d.*)$/i;
const PHASE_OF_WORD: Record<string, string> = { water: 'A', aqueous: 'A', oil: 'B', fat: 'B' };

/** Where in the text the reader is. */
interface Place {
  method: boolean;
  phase: string | null;
}

/**
 * Reads a recipe, one row at a time. No row is ever lost: each comes back as read, as a note, or as not understood with
 * the reason; a row that names several things comes back as several lines. Blank rows are left out.
 * @returns a problem only when the text as a whole cannot be a recipe: empty, or beyond the limits
 */
export function parseRecipe(
  text: string,
  { larder = CATALOGUE_LARDER, cup = 'us' }: { larder?: Larder; cup?: CupKind } = {},
): Result<ParsedRecipe> {
  const rows = text.split(/\r\n|\r|\n/).filter((row) => row.trim() !== '');
  if (rows.length === 0) {
    return failed(
      'empty',
      t`There is no recipe yet: write one ingredient to a line, for example "2 tbsp honey".`,
    );
  }
  if (rows.length > RECIPE_LIMITS.lines || text.length > RECIPE_LIMITS.characters) {
    return failed(
      'too-long',
      t`This text has ${{ lineCount: grouped(rows.length) }} lines and ${{ characterCount: grouped(text.length) }} characters; ` +
        t`one recipe may have ${{ lines: RECIPE_LIMITS.lines }} lines and ${{ characters: grouped(RECIPE_LIMITS.characters) }} characters. ` +
        t`Paste one recipe at a time.`,
    );
  }
  const options = { larder, cup };
  const place: Place = { method: false, phase: null };
  const lines = rows.flatMap((row, index) => readRow(row.trim(), index, place, options));
  return ok({ lines: balanced(withShares(fromInstructions(lines, options))) });
}

function readRow(text: string, row: number, place: Place, options: ReadingOptions): ParsedLine[] {
  const at = { text, row };
  if (text.length > RECIPE_LIMITS.lineCharacters) {
    return [
      {
        ...at,
        ...unreadPart(
          'line-too-long',
          t`One line may have ${{ lineCharacters: RECIPE_LIMITS.lineCharacters }} characters; break it up.`,
        ),
      },
    ];
  }
  const inline = INLINE_PHASE.exec(text);
  const named = inline !== null && options.larder.inText(inline[2] ?? '').length > 0;
  if (named) [place.phase, place.method] = [inline[1]?.toUpperCase() ?? 'A', false];
  else if (isPlaceHeading(text, place)) return [{ ...at, status: 'note' }];
  const plain = rewritten(named ? (inline[2] ?? '') : text);
  if (plain === '')
    return [
      { ...at, ...unreadPart('no-words', t`There are no words in this line that name an ingredient.`) },
    ];
  const badNumber = problemOfNumber(plain);
  if (badNumber) return [{ ...at, status: 'unread', problem: badNumber, suggestions: [] }];
  const names = options.larder.inText(plain).length;
  const amount = lineAmount(plain);
  if ((row === 0 && isTitle(text, names)) || isNote(plain, amount, names, place))
    return [{ ...at, status: 'note' }];
  const added = summedAmounts(plain);
  if (added) return [lineOf(at, place, readSum(added, options))];
  return rowParts(plain, options.larder).map((part) =>
    BALANCE.test(part.plain)
      ? balancingLine(at, part.plain, place, options)
      : lineOf(at, place, readPart(rewrittenPart(part.plain), options, part.equalPart)),
  );
}

function lineOf(at: { text: string; row: number }, place: Place, part: ReadPart): ParsedLine {
  return part.status === 'read' ? { ...at, ...part, phase: place.phase } : { ...at, ...part };
}

/** "1 tbsp + 1 tsp honey": two amounts of one thing, as grams. */
function readSum([first, second]: readonly [string, string], options: ReadingOptions): ReadPart {
  const [one, two] = [readPart(first, options), readPart(second, options)];
  if (one.status !== 'read' || two.status !== 'read') return one.status === 'read' ? two : one;
  const grams = one.grams + two.grams;
  return { ...one, quantity: grams, unit: 'g', grams };
}

/** Headings that tell what follows; the place is moved on. */
function isPlaceHeading(text: string, place: Place): boolean {
  const plain = text.replace(/^[#*\s]+|[*\s]+$/g, '');
  const phase = PHASE_HEADING.exec(plain);
  if (phase) {
    const word = phase[3]?.toLowerCase();
    const letter = phase[1] ?? phase[2] ?? phase[4];
    place.phase = letter?.toUpperCase() ?? (word && PHASE_OF_WORD[word]) ?? 'C';
    place.method = false;
    return true;
  }
  if (METHOD_HEADING.test(plain)) {
    place.method = true;
    return true;
  }
  if (INGREDIENT_HEADING.test(plain)) {
    place.method = false;
    return true;
  }
  return false;
}

/** "Water to 100": what is left over is read once the others are known. */
function balancingLine(
  at: { text: string; row: number },
  plain: string,
  place: Place,
  options: ReadingOptions,
): ParsedLine {
  const part = readPart(`1 percent ${plain.replace(BALANCE, ' ').trim()}`, options);
  if (part.status !== 'read') return { ...at, ...part };
  return {
    ...at,
    ...part,
    phase: place.phase,
    assumptions: [...part.assumptions, { code: 'to-balance', text: t`Fills up to 100 %.`, alternatives: [] }],
  };
}

/** What is wrong with the number itself, before any word is looked at. */
function problemOfNumber(plain: string): Problem | undefined {
  if (/^[-−]\s*\d/.test(plain)) {
    return {
      code: 'negative-amount',
      message: t`An amount cannot be negative: take the minus sign away.`,
      path: '',
    };
  }
  if (/\d\s*[/⁄]\s*0+(?![\d.])/.test(plain)) {
    return { code: 'bad-fraction', message: t`A fraction cannot have 0 below the line.`, path: '' };
  }
  return undefined;
}

const TITLE_WORDS = 8;

/** The first row of a recipe, when it names nothing and counts nothing, is what the recipe is called. */
function isTitle(text: string, names: number): boolean {
  return names === 0 && !/[\d¼½¾⅓⅔⅛]/.test(text) && plainWords(text).length <= TITLE_WORDS;
}

function isNote(plain: string, amount: LineAmount, names: number, place: Place): boolean {
  if (amount.isHeading) return true;
  const words = plainWords(plain).length;
  const leadsWithAmount = /^[\d¼½¾⅓⅔⅛.]/.test(plain);
  if (place.method) return !(leadsWithAmount && amount.unit !== null && names > 0 && words < 8);
  // "30 minutes under a cap", "350 degrees": numbers that weigh nothing.
  if (
    leadsWithAmount &&
    names === 0 &&
    /^[\d\s./-]+(?:min|minutes?|hours?|hrs?|h|days?|degrees)\b/i.test(plain)
  )
    return true;
  if (leadsWithAmount) return false;
  if (INSTRUCTION.test(plain)) return names === 0 || words > 6 || amount.unit === null;
  // A sentence that names nothing and gives no amount.
  return names === 0 && amount.quantity === null && words > 5;
}

/**
 * Instructions that bring an ingredient of their own: "Stir 2 tbsp honey into the milk". What other rows name already is
 * not counted again.
 */
function fromInstructions(lines: readonly ParsedLine[], options: ReadingOptions): ParsedLine[] {
  const named = new Set(lines.flatMap((line) => (line.status === 'read' ? [line.name] : [])));
  return lines.flatMap((line): ParsedLine[] => {
    if (line.status !== 'note') return [line];
    const parts = amountsInInstruction(rewritten(line.text))
      .map((piece) => readPart(rewrittenPart(piece), options))
      .filter((part): part is Extract<typeof part, { status: 'read' }> => part.status === 'read')
      .filter((part) => part.unit !== 'piece' && !named.has(part.name));
    if (parts.length === 0) return [line];
    parts.forEach(({ name }) => named.add(name));
    return parts.map((part): ReadLine => ({
      ...part,
      text: line.text,
      row: line.row,
      phase: null,
      assumptions: [
        ...part.assumptions,
        {
          code: 'from-instruction',
          text: t`Taken from an instruction: ${{ grams: rounded(part.grams, 1) }} g ${{ partName: part.name }}.`,
          alternatives: [],
        },
      ],
    }));
  });
}
