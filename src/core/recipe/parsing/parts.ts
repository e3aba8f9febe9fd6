import type { Larder } from '../larder';

/** One thing of a row, as a line of its own. */
export interface RowPart {
  readonly plain: string;
  /** Its amount is a part of a mixture whose size is not said. */
  readonly equalPart: boolean;
}

const AMOUNT = String.raw`(?:\d[\d./\s⁄-]*|[¼½¾⅓⅔⅛])\s*[a-z]*\.?`;
const EQUAL_PARTS =
  /^(?:equal (?:parts?|amounts?)|(?:1 part|same amount) (?:each|of each)|partes iguais|partes iguales|gleiche teile|parts égales)\s*(?:of|de|von)?\s*:?\s*(.+)$/i;
const EQUAL_PARTS_AFTER = /^(.+?)[\s,:(-]+(?:(?:in|of) )?equal (?:parts?|amounts?|quantit(?:y|ies))\)?$/i;
const EACH_AFTER = new RegExp(
  String.raw`^(.+?)[,:(\s-]+(${AMOUNT}(?:\s*(?:tbsp|tsp|cups?|drops?|grams?))?)\s*(?:each|of each|cada|je)\)?$`,
  'i',
);
const EACH_BEFORE = new RegExp(String.raw`^(${AMOUNT})\s+(?:each|of each)\s*(?:of)?[:,]?\s+(.+)$`, 'i');
const LIST =
  /\s*(?:,|;|\+|&|\/|\band\b|\bplus\b|\bwith\b|\be\b|\by\b|\bet\b|\bund\b|\bcom\b|\bcon\b|\bmit\b)\s*/i;
/** Between two amounts: "1 cup milk and 2 tbsp honey", "1 cup rice soaked in 3 cups water". */
const BEFORE_AMOUNT =
  /\s*(?:,|;|\+|&|\band\b|\bplus\b|\bwith\b|\bin(?:to)?\b|\be\b|\by\b|\bet\b|\bund\b)\s*(?=(?:\d|[¼½¾⅓⅔⅛]|half\b|an?\s|one\s|two\s|three\s|(?:the )?juice of))/i;
/** Between the things of a list, not inside brackets. */
const SIDES = /(?:\s*[,;+&]\s*|\s\/\s)(?![^()]*\))/;
const HAS_AMOUNT = /[\d¼½¾⅓⅔⅛]|\b(?:half|an?|one|few|couple)\b/i;
const DURATION = /\b\d+(?:\s*-\s*\d+)?\s*(?:h|hrs?|hours?|min|mins|minutes?|days?|degrees)\b/gi;
/** "blorbium 2 %": a word beside a percent or before an amount that is no measure. */
const UNKNOWN_NAME = /^\p{L}{4,}[\p{L} -]*\s+\d[\d.]*\s*(?:%|percent|g|ml|drops?|tsp|tbsp)/iu;

/**
 * Takes a row apart that names several things: "honey and olive oil, 1 tbsp each", "equal parts of …", "1 banana and
 * 1 egg". A row is only taken apart when every part names something, or brings an amount beside at least two that do.
 */
export function rowParts(plain: string, larder: Larder): RowPart[] {
  const whole: RowPart[] = [{ plain, equalPart: false }];
  const names = (text: string) => larder.inText(text).length;
  const listed = (text: string) => withSharedNoun(itemsOf(text), names);
  const all = (parts: readonly string[]) => parts.length > 1 && parts.every((part) => names(part) > 0);

  const equal = EQUAL_PARTS.exec(plain) ?? EQUAL_PARTS_AFTER.exec(plain);
  if (equal) {
    const items = listed(equal[1] ?? '');
    return items.length > 0 ? items.map((item) => ({ plain: `1 part ${item}`, equalPart: true })) : whole;
  }
  const before = EACH_BEFORE.exec(plain);
  const after = before ?? EACH_AFTER.exec(plain);
  if (after) {
    const [amount, list] = before ? [after[1], after[2]] : [after[2], after[1]];
    const items = listed(list ?? '');
    if (all(items)) return items.map((item) => ({ plain: `${amount?.trim()} ${item}`, equalPart: false }));
  }
  const splits = [plain.split(SIDES), plain.split(BEFORE_AMOUNT)].filter((pieces) => pieces.length > 1);
  // Most rows name one thing and have nothing to split at.
  if (splits.length === 0) return whole;
  const split = splits
    .map((pieces) => joined(pieces, names))
    .reduce((best, pieces) => (pieces.length > best.length ? pieces : best));
  return split.filter((part) => names(part) > 0).length > 1
    ? split.map((part) => ({ plain: part, equalPart: false }))
    : whole;
}

/**
 * Pieces that can be read alone: what lacks a name or an amount belongs to the piece before it, or at the beginning to the
 * one after it. A piece with an amount and a word that names nothing stays alone, so that it is said.
 */
function joined(pieces: readonly string[], names: (text: string) => number): string[] {
  const found: string[] = [];
  let held = '';
  for (const piece of pieces.map((each) => each.trim()).filter(Boolean)) {
    const text = held === '' ? piece : `${held}, ${piece}`;
    const hasAmount = HAS_AMOUNT.test(text.replace(DURATION, ' '));
    if (hasAmount && (names(text) > 0 || UNKNOWN_NAME.test(piece))) {
      found.push(text);
      held = '';
    } else if (found.length === 0) held = text;
    else found.push(`${found.pop() ?? ''}, ${piece}`);
  }
  if (held !== '') found.push(held);
  return found;
}

function itemsOf(text: string): string[] {
  return text
    .split(LIST)
    .map((item) => item.trim())
    .filter(Boolean);
}

/** "coconut and castor oil": what names nothing alone takes the last word of the list. */
function withSharedNoun(items: readonly string[], names: (text: string) => number): string[] {
  const noun = items.at(-1)?.split(' ').at(-1) ?? '';
  return items.map((item) => (names(item) === 0 && names(`${item} ${noun}`) > 0 ? `${item} ${noun}` : item));
}

const SUM =
  /^((?:\d[\d./\s⁄]*|[¼½¾⅓⅔⅛]) ?(?:tbsp|tsp|cups?|ml|g|oz))\.?\s*(?:\+|plus|and|&)\s*((?:\d[\d./\s⁄]*|[¼½¾⅓⅔⅛]|a ) ?(?:tbsp|tsp|cups?|ml|g|oz|splash|pinch|dash))\.?\s+(?:of )?(.+)$/i;

/** Both amounts of "1/2 cup plus 2 tbsp water", each with the name. */
export function summedAmounts(plain: string): readonly [string, string] | undefined {
  const [, first, second, name] = SUM.exec(plain) ?? [];
  return first && second && name
    ? [`${first} ${name}`, `${second.replace(/^a /i, '1 ')} ${name}`]
    : undefined;
}

/** The amounts with their names inside an instruction: "Stir 2 tbsp honey into 1 cup warm milk". */
export function amountsInInstruction(plain: string): string[] {
  return plain
    .split(/\b(?:into|in|to|over|with|and|then|until|for)\b|[,;.](?!\d)/i)
    .map((piece) => piece.trim().replace(/^[a-z]+ (?:up |together |the )?(?=\d)/i, ''))
    .filter((piece) => /^[\d¼½¾⅓⅔⅛]/.test(piece));
}
