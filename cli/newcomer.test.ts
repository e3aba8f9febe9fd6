import { existsSync, readdirSync, readFileSync } from 'node:fs';

/** What somebody who is new here has to touch for a change; docs/architecture.md says it in “Where a change goes”. */

const code = (folder: string) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => `${folder}/${name}`);
const SOURCES = [...code('src'), ...code('app'), ...code('cli'), ...code('server')].map((file) => ({
  file,
  text: readFileSync(file, 'utf8'),
}));
const filesWith = (what: RegExp) => SOURCES.filter(({ text }) => what.test(text)).map(({ file }) => file);

const rows = new Map(
  readFileSync('docs/architecture.md', 'utf8')
    .split('### Where a change goes')[1]!
    .split('\n## ')[0]!
    .split('\n')
    .filter((line) => line.startsWith('| '))
    .map((line) => line.split(' | ').map((cell) => cell.replace(/^\| | \|$/g, '')))
    .map(([change, files]) => [
      change!,
      [...files!.matchAll(/`([^`*]+\/[^`*]+\.\w+)`/g)].map(([, file]) => file!),
    ]),
);

it('names files that are there', () => {
  expect([...rows.values()].flat().filter((file) => !existsSync(file) && !file.includes('LANGUAGE'))).toEqual(
    [],
  );
});

it('how much protein is half a load stands in one file', () => {
  expect(filesWith(/\bfirm: 1\.2\b/)).toEqual(rows.get('how much protein is half a load'));
});

it('the wording of a caution stands in one file', () => {
  const cautions = JSON.parse(readFileSync('data/cautions.json', 'utf8')) as { text: string; act: string }[];
  expect(cautions.length).toBeGreaterThan(20);
  const again = cautions.filter(({ text, act }) =>
    SOURCES.some((source) => source.text.includes(text) || source.text.includes(act)),
  );
  expect(again).toEqual([]);
});

it('an ingredient stands in one file', () => {
  const ids = readdirSync('data/ingredients').flatMap((name) => {
    const all = JSON.parse(readFileSync(`data/ingredients/${name}`, 'utf8')) as unknown;
    return Array.isArray(all) ? (all as { id: string; composition?: unknown }[]) : [];
  });
  const known = ids.filter(({ composition }) => composition !== undefined).map(({ id }) => id);
  expect(known.length).toBeGreaterThan(150);
  expect(new Set(known).size).toBe(known.length);
});

it('a screen is known to its own file, the list of its feature and its route, and hardly to another', () => {
  const screens = SOURCES.filter(({ file }) => file.endsWith('/screens.ts')).flatMap(({ text }) => [
    ...text.matchAll(/\b(\w+Screen)\b(?= \})/g),
  ]);
  const names = [...new Set(screens.map(([, name]) => name!))];
  expect(names.length).toBeGreaterThan(20);
  const many = names
    .map((name) => filesWith(new RegExp(`\\b${name}\\b`)))
    .filter((files) => files.length > 4);
  expect(many).toEqual([]);
});

it('a kind of check is eight files: those in the list, its screen and its route', () => {
  const listed = rows.get('a kind of check')!;
  expect(listed.length + 2).toBeLessThanOrEqual(8);
  // The check of length, as one that came last: every listed file knows it, and no other screen has to.
  const route = 'app/hair/length.tsx';
  const known = filesWith(/\blengths\b|LengthScreen|'length'/);
  expect(
    [...listed, route, 'src/features/hair/LengthScreen.tsx'].filter((file) => !known.includes(file)),
  ).toEqual([]);
});
