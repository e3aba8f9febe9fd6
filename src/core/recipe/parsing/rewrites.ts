/** Rewrites of a line before the parser sees it: ways of writing that it would misread, and other languages' units. */
type Rewrite = readonly [RegExp, string];

const SIGNS: readonly Rewrite[] = [
  [/[\u2012-\u2015]/g, '-'],
  [/[\u00a0\t]+/g, ' '],
  // Rows of a table, and dots that lead the eye.
  [/^\s*\||\|\s*$/g, ''],
  [/\s*\|\s*|\.{2,}|…/g, ' '],
  [/^[\s•*·▪–>☐□✓✔]+/u, ''],
  [
    /^(?:ingredients?|you(?:['’]ll| will) need|ingredientes|zutaten|ingr[ée]dients)\s*[:–-]+\s*(?=.*[\d½¼¾⅓⅔⅛])/i,
    '',
  ],
  [/^-\s+/, ''],
  [/^\d{1,2}[.)]\s+/, ''],
  [/^(?:step \d{1,2})\s*[:.)-]\s*/i, ''],
  [/\p{Extended_Pictographic}\uFE0F?/gu, ' '],
  [/[“”"]/g, ''],
  // A comma between thousands of grams, then every other comma between digits as a decimal comma.
  [/(\d),(\d{3})(?=\s*(?:g|gr|grams?|ml)\b)/gi, '$1$2'],
  [/(\d),(\d)/g, '$1.$2'],
  [/(\d)\s*%/g, '$1 percent'],
  [/(\d)(g|gr|mg|kg|ml|cl|dl|oz|l|eggs?|drops?)\b/gi, '$1 $2'],
  [/(\d)(tbsp|tbs|tsp|cups?)(?![a-z])/gi, '$1 $2'],
  [/\b(tbsp|tbs|tsp)\.(?=\p{L})/giu, '$1 '],
  [/^i (?:use|used|take|took|add|added)\s+/i, ''],
  [/\b[dl]['’](?=\p{L})/giu, ''],
  // "250 ml/1 cup water": one of two ways of saying the same.
  [/^(\d[\d.]*\s*(?:ml|g|oz|l))\s*\/\s*[\d./½¼¾⅓⅔\s]+(?:cups?|tbsp|tsp|fl oz|oz|g|ml)\b\.?/i, '$1'],
  [/(\d)\s*(?:°\s*[CF])\b/g, '$1 degrees'],
  // "(fermented 24 h)": how long it takes is no amount.
  [/(\([^()]*?)\s*\b\d+\s*(?:h|hrs?|hours?|min|mins|minutes?|days?)\b/gi, '$1'],
  [/\be\.\s?o\.?(?!\p{L})|\bEO\b/giu, 'essential oil'],
  // "lemon juice few drops": the amount stands behind, in words.
  [
    /^([^\d]+?)[\s,:-]+((?:a )?(?:few|couple of) (?:drops|leaves|sprigs|pinches)|(?:a |one )?(?:pinch|splash|drizzle|dollop|squeeze|handful|glug|dash))$/i,
    '$2 $1',
  ],
];

/** Measures of Portuguese, Spanish, German, French and Italian kitchens, long forms before short ones. */
const UNIT_WORDS: readonly Rewrite[] = [
  [/\bcolher(?:es)?(?: \(?s\)?)? ?\(? ?(?:(?:de|das?) )?sopa\b(?: ?\))?/gi, 'tbsp'],
  [/\bcolher(?:es)? (?:de|das?) sobremesa\b/gi, 'dessertspoon'],
  [/\bcolher(?:es)? ?\(? ?(?:(?:de|das?) )?ch[áa](?!\p{L})(?: ?\))?/giu, 'tsp'],
  [/\bcolher(?:es)? (?:de|das?) caf[ée](?!\p{L})/giu, '0.5 tsp'],
  [/\bc\.? ?(?:de )?sopa\b/gi, 'tbsp'],
  [/\bcolher(?:es)?\b/gi, 'spoon'],
  [/\bx[íi]caras? m[ée]tricas?(?!\p{L})/giu, 'metriccup'],
  [/\bx[íi]caras?(?: (?:de|das?) ch[áa](?!\p{L}))?(?!\p{L})/giu, 'cup'],
  [/\bcopos?\b/gi, 'glass'],
  [/\bpunhados?\b/gi, 'handful'],
  [/\bpitadas?\b/gi, 'pinch'],
  [/\bgotas?\b/gi, 'drops'],
  [/\b(?:pacotes?|sach[êe]s?)(?!\p{L})/giu, 'packet'],
  [/\bdentes? de alho\b/gi, 'garlic cloves'],
  [/^((?:\S+ )?)folhas?\b/i, '$1leaf'],
  [/\bcucharadas?(?: soperas?)?\b/gi, 'tbsp'],
  [/\bcucharaditas?\b/gi, 'tsp'],
  [/\bcdas?\b\.?/gi, 'tbsp'],
  [/\bcditas?\b\.?/gi, 'tsp'],
  [/\bcdtas?\b\.?/gi, 'tsp'],
  [/\btazas?\b/gi, 'cup'],
  [/\bvasos?\b/gi, 'glass'],
  [/\bpu[ñn]ados?\b/gi, 'handful'],
  [/\bpizcas?\b/gi, 'pinch'],
  [/^((?:\S+ )?)hojas?\b/i, '$1leaf'],
  [/\bdientes? de ajo\b/gi, 'garlic cloves'],
  [/\be(?:ß|ss)l(?:ö|oe)ffel\b/gi, 'tbsp'],
  [/\bteel(?:ö|oe)ffel\b/gi, 'tsp'],
  [/(\d)\s*EL\b/g, '$1 tbsp'],
  [/(\d)\s*TL\b/g, '$1 tsp'],
  [/\bEL\b(?= [A-ZÄÖÜ])/g, 'tbsp'],
  [/\bTL\b(?= [A-ZÄÖÜ])/g, 'tsp'],
  [/\btassen?\b/gi, 'cup'],
  [/\bpriesen?|prisen?\b/gi, 'pinch'],
  [/\btropfen\b/gi, 'drops'],
  [/\bhandvoll\b/gi, 'handful'],
  [/\bcuill(?:è|e)res? à soupe\b/gi, 'tbsp'],
  [/\bcuill(?:è|e)res? à (?:caf[ée]|th[ée])(?!\p{L})/giu, 'tsp'],
  [/\bc(?:\.|àc|uil\.)? ?à ?\.? ?s(?:oupe)?\b\.?/gi, 'tbsp'],
  [/\bc(?:\.|uil\.)? ?à ?\.? ?(?:c(?:af[ée])?|th[ée])(?:$|(?=[\s.,]))\.?/gi, 'tsp'],
  [/\bc(?:uil)?\.? ?soupe\b/gi, 'tbsp'],
  [/\bc(?:uil)?\.? ?caf[ée](?!\p{L})/giu, 'tsp'],
  [/\bpinc[ée]es?\b/gi, 'pinch'],
  [/\bpoign[ée]es?\b/gi, 'handful'],
  [/\bgouttes?\b/gi, 'drops'],
  [/\bcucchiai(?:o)?\b/gi, 'tbsp'],
  [/\bcucchiaini?o?\b/gi, 'tsp'],
  [/\b(?:gramos|gramas|gramm|grammes?|gr)(?!\p{L})\.?/giu, 'g'],
  [/\b(?:mililitros?|millilitres?|milliliter)\b/gi, 'ml'],
  [/\bmls\b/gi, 'ml'],
  [/\btable ?spoons?(?:ful)?s?\b/gi, 'tbsp'],
  [/\btea ?spoons?(?:ful)?s?\b/gi, 'tsp'],
  [/\b(?:tbl|tbs|tblsp|tbsps)\b\.?/gi, 'tbsp'],
  [/(\d)\s*T\b\.?(?= [a-z])/g, '$1 tbsp'],
  [/(\d)\s*t\b\.?(?= [a-z])/g, '$1 tsp'],
  [/\bdessert ?spoons?(?:ful)?s?\b/gi, 'dessertspoon'],
  [/\bspoonfuls?\b/gi, 'spoon'],
  [/\bthumb(?:-sized?| sized?)?(?: pieces?| knobs?)?\b/gi, 'piece'],
  [/\b(?:knob|chunk|inch(?:es)?)\b/gi, 'piece'],
  [/\bus cups?\b/gi, 'cup'],
  [/\bmetric cups?\b/gi, 'metriccup'],
  [/\btins?\b/gi, 'can'],
];

const NUMBER_WORDS: readonly Rewrite[] = [
  [
    /^(?:about|approx(?:imately|\.)?|around|ca\.?|circa|etwa|environ|cerca de|roughly|up to|at least)\s+/i,
    '',
  ],
  [/^(?:the )?juice (?:of|from)\b(.*)$/i, '$1 juice'],
  [
    /^(?:suco|jugo|zumo|jus|saft) (?:de|von) (um|uma|un|une|einer?|meio|meia|half an?|medio|1\/2|\d+) /i,
    '$1 ',
  ],
  [/\bone and a half\b/gi, '1 1/2'],
  [/^(\d+) and a half\b/i, '$1 1/2'],
  [/^(\d+) e meia?\b/i, '$1 1/2'],
  [/^(\d+) y medi[oa]\b/i, '$1 1/2'],
  [/^(\d+) and (?:a )?quarter\b/i, '$1 1/4'],
  [/^(?:a |one[- ])?half (?:an? |of an? |of the |of )?/i, '1/2 '],
  [/^(?:mei[oa]|medi[oa]|ein(?:e)? halbe[rs]?|halbe[rs]?|un demi|une demi(?:e)?|½ de|mezz[oa])[ -]/i, '1/2 '],
  [/^(?:a |one )?third (?:of an? )?/i, '1/3 '],
  [/^(?:a |one )?quarter (?:of an? |an? )?/i, '1/4 '],
  [/^two thirds (?:of an? )?/i, '2/3 '],
  [/^three quarters (?:of an? )?/i, '3/4 '],
  [/^(?:a |one )?couple (?:of )?/i, '2 '],
  [/^(?:a )?few (?:of )?/i, '3 '],
  [/^(?:some|several|algumas|algunas|einige|quelques) (?=drops|leaf|leaves)/i, '5 '],
  [/^(\d+)\s*(?:or|oder|ou|o)\s*(\d+)\b/i, '$1-$2'],
  [/^one or two\b/i, '1-2'],
  [/^two or three\b/i, '2-3'],
  [/^(?:an?|one|uma?|una?|une|eine[rns]?|ein)\s+/i, '1 '],
  [/^(?:two|dois|duas|dos|deux|zwei)\s+/i, '2 '],
  [/^(?:three|tr[êe]s|trois|drei)\s+/i, '3 '],
  [/^(?:four|quatro|cuatro|quatre|vier)\s+/i, '4 '],
  [/^(?:five|cinco|cinq|fünf)\s+/i, '5 '],
  [/^(?:six|seis|sechs)\s+/i, '6 '],
  [/^seven\s+/i, '7 '],
  [/^eight\s+/i, '8 '],
  [/^nine\s+/i, '9 '],
  [/^(?:ten|dez|diez|dix|zehn)\s+/i, '10 '],
  [/^(?:twelve|a dozen)\s+/i, '12 '],
  [/^(\d+)\s*(?:x|×)\s*(?=\d)/i, '$1 x '],
  [
    /^(?:good |big |generous |large |small |tiny )(?=(?:handful|pinch|splash|drizzle|dollop|squeeze|glug|spoon|scoop|bowl|glass|mug|bunch)\b)/i,
    '1 ',
  ],
  [
    /^1 (?:good |big |generous |large |small |tiny )(?=(?:handful|pinch|splash|drizzle|dollop|squeeze|glug|spoon|scoop|bowl|glass|mug|bunch)\b)/i,
    '1 ',
  ],
  [/^(?=(?:handful|pinch|splash|drizzle|dollop|squeeze|glug|dash|spoon|scoop|bunch)s?\b)/i, '1 '],
];

const AMOUNT_BEHIND: readonly Rewrite[] = [
  // "gram flour: 10 g"
  [/^([^\d():½¼¾⅓⅔⅛]+?)\s*:\s*((?:\d[\d./⁄]*|[½¼¾⅓⅔⅛])\s*[a-z]+\.?)$/i, '$2 $1'],
  // "coconut milk (1 can)": the amount stands behind the name.
  [/^([^\d()½¼¾⅓⅔]+)\(\s*((?:\d|[½¼¾⅓⅔])[^)]*)\)$/, '$2 $1'],
  // "Quinoa 1/2 cup cooked": an amount in the middle goes to the front.
  [
    /^([^\d()½¼¾⅓⅔⅛]+?)[\s,:-]+((?:\d[\d./⁄]*|[½¼¾⅓⅔⅛])\s*(?:cups?|tbsp|tsp|ml|g|oz|drops?|glass|pinch|handful|bags?|leaves|cloves|sheets?))[.,]?\s+(?!(?:of )?each\b|cada\b|je\b)([^\d()½¼¾⅓⅔⅛]+)$/i,
    '$2 $1, $3',
  ],
];

const REWRITES = [...SIGNS, ...UNIT_WORDS, ...NUMBER_WORDS];

function applied(rewrites: readonly Rewrite[], line: string): string {
  return rewrites.reduce((text, [pattern, by]) => text.replace(pattern, by), line);
}

/** The line as the parser takes it: plain signs, English units, digits. */
export function rewritten(line: string): string {
  // Number words are looked at twice: "a couple of handfuls" and "juice of one lemon" leave one behind.
  return rewrittenPart(applied(REWRITES, line).replace(/\s+/g, ' '));
}

/** A part of a line, after it was split: its number words are looked at again. */
export function rewrittenPart(part: string): string {
  return applied([...NUMBER_WORDS, ...AMOUNT_BEHIND], part.trim())
    .replace(/\s+/g, ' ')
    .trim();
}
