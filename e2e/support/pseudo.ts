import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { Messages } from '@lingui/core';
import pseudolocale from 'pseudolocale';
import { messages as english } from '../../data/languages/en';

const PATTERN_OF_DATES = /^[EdMyH:, ]+$/;

/** English with a sign on every letter, and longer: what stands on a screen without signs is no text of a catalogue. */
function pseudo(text: unknown, longer: number): unknown {
  if (Array.isArray(text)) return text.map((each) => pseudo(each, longer));
  if (typeof text !== 'string' || PATTERN_OF_DATES.test(text)) return text;
  const [, before = '', words = '', after = ''] = /^(\s*)(.*?)(\s*)$/s.exec(text) ?? [];
  return words === ''
    ? text
    : before + pseudolocale(words, { prepend: '', append: '', extend: longer }) + after;
}

/** The forms of a value have texts; its name, and what is asked of it, have none. */
function pseudoMessage(message: unknown, longer: number): unknown {
  if (!Array.isArray(message)) return pseudo(message, longer);
  return (message as unknown[]).map((token) => {
    if (!Array.isArray(token)) return pseudo(token, longer);
    const [name, kind, forms] = token as [string, string?, Record<string, unknown>?];
    if (!forms) return token as unknown;
    const said = Object.entries(forms).map(([form, text]) => [form, pseudoMessage(text, longer)]);
    return [name, kind, Object.fromEntries(said)];
  });
}

const SCRIPTS = path.resolve('dist/_expo/static/js/web');

/**
 * The file of the Portuguese catalogue with English in it, every letter signed.
 * @param longer share by which each text grows, from 0
 * @param stays texts that get no signs
 */
export function pseudoCatalogue(
  longer: number,
  stays: ReadonlySet<string> = new Set(),
): readonly [place: string, script: string] {
  const messages = Object.fromEntries(
    Object.entries(english).map(([id, message]) => [
      id,
      stays.has(String(message)) ? message : pseudoMessage(message, longer),
    ]),
  ) as Messages;
  const name = readdirSync(SCRIPTS).find((each) => /^pt-\w+\.js$/.test(each)) ?? '';
  const script = readFileSync(path.join(SCRIPTS, name), 'utf8');
  const text = JSON.stringify(JSON.stringify(messages));
  return [
    `/_expo/static/js/web/${name}`,
    script.replace(/JSON\.parse\((?:"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*')\)/s, () => `JSON.parse(${text})`),
  ];
}
