const { readdirSync } = require('node:fs');
const { default: babelExtractor } = require('@lingui/cli/api/extractors/babel');
const { formatter } = require('@lingui/format-po');

const locales = readdirSync('data/languages')
  .filter((name) => name.endsWith('.po'))
  .map((name) => name.slice(0, -3));

/** The fields of data files that are shown: names, labels, cautions, reasons, where figures come from. */
const SHOWN = {
  'data/ingredients/preparations.json': ['label', 'text'],
  'data/ingredients/sources.json': ['title'],
  'data/cautions.json': ['text', 'act'],
  'data/keeping.json': ['label', 'why', 'signs'],
  'data/methods.json': ['label', 'text', 'textIn', 'survives', 'wrong'],
  'data/starters.json': ['name', 'needs', 'lines'],
};
const CATALOGUE = [
  'cosmetic',
  'dairyEgg',
  'grainSeed',
  'herbs',
  'humectants',
  'oils',
  'proteins',
  'produce',
].map((name) => `data/ingredients/${name}.json`);
for (const file of CATALOGUE) SHOWN[file] = ['name'];

const shownIn = (value, fields) => {
  if (Array.isArray(value)) return value.flatMap((each) => shownIn(each, fields));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([field, inside]) =>
    fields.includes(field) ? inside : shownIn(inside, fields),
  );
};

const nameOf = (file) => Object.keys(SHOWN).find((name) => file.endsWith(name));

/** Texts of data files are their own ids: {@link file://./src/core/base/language/speech.ts} looks them up by what they say. */
const dataExtractor = {
  match: (file) => nameOf(file) !== undefined,
  extract(file, code, onMessageExtracted) {
    const name = nameOf(file);
    for (const id of shownIn(JSON.parse(code), SHOWN[name])) onMessageExtracted({ id, origin: [name, 1] });
  },
};

module.exports = {
  sourceLocale: 'en',
  locales,
  catalogs: [
    {
      path: '<rootDir>/data/languages/{locale}',
      include: ['src', 'app', 'data'],
      exclude: ['**/*.test.*'],
    },
  ],
  extractors: [babelExtractor, dataExtractor],
  // Where a text stands is told by its file: with lines, every change of code would change the catalogues.
  format: formatter({ lineNumbers: false }),
  orderBy: 'messageId',
  compileNamespace: 'ts',
  runtimeConfigModule: ['@/core/base/language', 'i18n'],
};
