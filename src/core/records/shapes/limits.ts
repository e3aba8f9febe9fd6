/** What a measurement by hand can be. */
export const READING_LIMITS = {
  strands: 20,
  restMm: { least: 20, most: 600 },
  /** Hair breaks long before it is three times its length. */
  mostStretchFactor: 3,
  pieces: 5000,
  /** Of one detangle. */
  sections: 12,
  days: 60,
  mistSeconds: { least: 1, most: 3600 },
  /** Thick hair can take a day to dry. */
  dryMinutes: { least: 5, most: 1440 },
  feelSteps: 3,
  /** Of slip, tangles, shine, clumping and residue. */
  markSteps: 4,
  lengthCm: { least: 0.5, most: 250 },
} as const;

/** Bounds on what a recipe may be; each names its unit and why it stands there. */
export const RECIPE_LIMITS = {
  /** Lines; the longest formulas people share have about thirty. */
  lines: 200,
  /** Lines kept of them: a row that names several things gives one each. */
  savedLines: 600,
  /** Recipes that may stand within one another: a gel in a cream in a mask is three. */
  nesting: 8,
  /** Characters of the whole text: about fifty to a line. */
  characters: 20_000,
  /** Characters of one line. */
  lineCharacters: 300,
  /** Grams of one line: more than this is a bucket, not a bowl. */
  gramsPerLine: 20_000,
  /** Grams under which a line cannot be weighed or dropped at home. */
  leastGrams: 0.001,
  /** Characters of a recipe's name. */
  nameCharacters: 80,
  /** Steps of making it: the longest told have about twenty. */
  steps: 60,
  /** Characters of one step, its lines as {0}. */
  stepCharacters: 1000,
  /** Minutes of one step: herbs stand in oil for six weeks. */
  stepMinutes: 60_480,
} as const;
