import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** One text as the code has it. */
export interface CodeText {
  /** As it stands in a language file: {{0}}, {{1}} … where values come. */
  readonly text: string;
  /** Of a word that goes with a count; null where there is no count. */
  readonly one: string | null;
  readonly place: string;
  /** What the values are, as written in the code: for who translates. */
  readonly values: readonly string[];
}

const FOLDERS = ['app', 'src'];
const isCode = (file: string) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file);

/** Every text that the code says with `t` or `plural`, in the order of files and lines. */
export function textsOfCode(root: string): CodeText[] {
  return FOLDERS.flatMap((folder) =>
    readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter(isCode)
      .sort()
      .flatMap((file) => textsOfFile(path.join(root, folder, file), `${folder}/${file}`)),
  );
}

function textsOfFile(file: string, name: string): CodeText[] {
  const source = ts.createSourceFile(name, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const texts: CodeText[] = [];
  const visit = (node: ts.Node): void => {
    const place = () => `${name}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
    if (ts.isTaggedTemplateExpression(node) && node.tag.getText() === 't') {
      texts.push({ ...ofTemplate(node.template), one: null, place: place() });
    }
    if (ts.isCallExpression(node) && node.expression.getText() === 'plural') {
      const [, one, other] = node.arguments;
      if (one && other && ts.isStringLiteral(one) && ts.isStringLiteral(other)) {
        texts.push({ text: other.text, one: one.text, place: place(), values: [] });
      }
    }
    if (ts.isCallExpression(node) && /^format(?:Day|Instant)$/.test(node.expression.getText())) {
      const [, pattern] = node.arguments;
      for (const text of pattern ? patternsIn(pattern) : []) {
        texts.push({ text, one: null, place: place(), values: [] });
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return texts;
}

/** Patterns of dates, of which some are chosen between. */
function patternsIn(node: ts.Expression): string[] {
  if (ts.isStringLiteral(node)) return [node.text];
  if (ts.isConditionalExpression(node)) return [...patternsIn(node.whenTrue), ...patternsIn(node.whenFalse)];
  return [];
}

function ofTemplate(template: ts.TemplateLiteral): Pick<CodeText, 'text' | 'values'> {
  if (ts.isNoSubstitutionTemplateLiteral(template)) return { text: template.text, values: [] };
  return {
    text: template.templateSpans.reduce(
      (text, span, index) => `${text}{{${index}}}${span.literal.text}`,
      template.head.text,
    ),
    values: template.templateSpans.map(({ expression }) => expression.getText().replace(/\s+/g, ' ')),
  };
}

const DATA = 'data';
const INGREDIENTS = path.join(DATA, 'ingredients');
const CATALOGUE = ['cosmetic', 'dairyEgg', 'grainSeed', 'herbs', 'humectants', 'oils', 'proteins', 'produce'];

interface DataText {
  readonly [field: string]: unknown;
}

/** Every text of the data files that is shown: names, labels, cautions, reasons, where figures come from. */
export function textsOfData(root: string): string[] {
  const read = <Content>(file: string) => JSON.parse(readFileSync(path.join(root, file), 'utf8')) as Content;
  const fields = (file: string, names: readonly string[]) =>
    read<DataText[]>(file).flatMap((entry) => names.flatMap((name) => entry[name] as string | string[]));
  const preparations = read<Record<string, { label: string; stages: readonly { text: string }[] }>>(
    path.join(INGREDIENTS, 'preparations.json'),
  );
  return [
    ...CATALOGUE.flatMap((name) => fields(path.join(INGREDIENTS, `${name}.json`), ['name'])),
    ...Object.values(preparations).flatMap(({ label, stages }) => [label, ...stages.map(({ text }) => text)]),
    ...fields(path.join(INGREDIENTS, 'sources.json'), ['title']),
    ...fields(path.join(DATA, 'cautions.json'), ['text', 'act']),
    ...fields(path.join(DATA, 'keeping.json'), ['label', 'why']),
    ...fields(path.join(DATA, 'starters.json'), ['name', 'needs', 'lines']),
  ];
}

/** What a plural's forms are called in a language file, as i18next looks for them. */
const FORMS = ['one', 'many', 'other'] as const;

/** The keys of a complete language file, each with its English text; English has no form of its own for many. */
export function englishTexts(root: string): Record<string, string> {
  const texts: Record<string, string> = {};
  for (const { text, one } of textsOfCode(root)) {
    if (one === null) texts[text] = text;
    else for (const form of FORMS) texts[`${text}_${form}`] = form === 'one' ? one : text;
  }
  for (const text of textsOfData(root)) texts[text] = text;
  return texts;
}
