/**
 * A language is one file, data/languages/LANGUAGE.po: its header says what the language calls itself and its tag. This
 * writes what the code reads of it beside the compiled catalogues, because a bundler wants its imports spelled out.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

const folder = 'data/languages';
const require = createRequire(import.meta.url);

function header(language, name) {
  const text = readFileSync(path.join(folder, `${language}.po`), 'utf8');
  const found = new RegExp(`^"${name}: (.+)\\\\n"$`, 'm').exec(text)?.[1];
  if (!found) throw new Error(`${folder}/${language}.po: its header says no ${name}.`);
  return found;
}

/** The first of a package's files that is there: of the very tag, of the language, English. */
function oneOf(tag, fileOf) {
  const names = [tag, tag.split('-')[0], tag === 'en' ? 'en-US' : 'en'];
  const found = names.map(fileOf).find((file) => {
    try {
      return require.resolve(file);
    } catch {
      return false;
    }
  });
  if (!found) throw new Error(`Nothing is known of the language ${tag}.`);
  return found;
}

const languages = readdirSync(folder)
  .filter((name) => name.endsWith('.po'))
  .map((name) => name.slice(0, -3))
  // English first: it stands in the code.
  .sort((a, b) => (a === 'en' ? -1 : b === 'en' ? 1 : a.localeCompare(b)))
  .map((id) => ({ id, name: header(id, 'X-Language-Name'), tag: header(id, 'X-Language-Tag') }));
const others = languages.filter(({ id }) => id !== 'en');

const said = '// Made by scripts/listLanguages.mjs.\n';
const rows = (each) => others.map(each).join('\n');

writeFileSync(
  path.join(folder, 'spoken.ts'),
  `${said}export const LANGUAGES = {
${languages.map(({ id, name, tag }) => `  ${id}: { name: '${name}', tag: '${tag}' },`).join('\n')}
} as const;
`,
);
writeFileSync(
  path.join(folder, 'catalogues.ts'),
  `${said}export const CATALOGUES = {
${rows(({ id }) => `  ${id}: () => import('./${id}'),`)}
};
`,
);
writeFileSync(
  path.join(folder, 'wordings.ts'),
  `${said}${rows(({ id, tag }) => {
    const dates = oneOf(tag, (name) => `date-fns/locale/${name}`);
    return `import { ${path.basename(dates).replace('-', '')} as ${id}Dates } from '${dates}';
import ${id}Problems from '${oneOf(tag, (name) => `zod/v4/locales/${name}.js`)}';`;
  })}

/** Names of days and months, and what a schema says that has no words of its own. */
export const WORDINGS = {
${rows(({ id }) => `  ${id}: { dates: ${id}Dates, problems: ${id}Problems },`)}
};
`,
);
