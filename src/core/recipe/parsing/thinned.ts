import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { rounded } from '../../base/measures';
import type { Assumption, Larder, ParsedLine, ReadLine } from '../larder';
import { TEXTURES, waterFor, type Texture } from './textures';

const textureWords = perLanguage((): Readonly<Record<Texture, string>> => ({
  paste: t`a thick paste`,
  loose: t`a loose paste`,
  yogurt: t`as thick as yogurt`,
  cream: t`as thick as cream`,
  runny: t`runny`,
}));

/** How much thicker or thinner it may be wanted. */
const THICKER = 0.75;
const THINNER = 1.3;

const textureOf = (line: ParsedLine): Texture | undefined => {
  const said = line.status === 'read' && line.assumptions.find(({ code }) => code === 'to-texture');
  return said ? TEXTURES.find((each) => each === said.text) : undefined;
};

/** Gives what a texture is reached with its grams, from what the dry parts beside it take up. */
export function thinned(lines: readonly ParsedLine[], larder: Larder): ParsedLine[] {
  return lines.map((line) => {
    const texture = textureOf(line);
    if (!texture || line.status !== 'read') return line;
    const others = lines.filter(
      (other): other is ReadLine => other !== line && other.status === 'read' && !textureOf(other),
    );
    const parts = others.flatMap(({ ingredientId, grams }) => {
      const ingredient = ingredientId === null ? undefined : larder.ingredient(ingredientId);
      return ingredient ? [{ ingredient, grams }] : [];
    });
    const grams = waterFor(texture, parts);
    if (grams === null) return unsolved(line);
    const own = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
    const brewed = own?.preparations.find(({ id }) => id === 'brewed');
    return solved(
      brewed ? { ...line, preparationId: brewed.id } : line,
      texture,
      Math.max(1, rounded(grams, 0)),
    );
  });
}

function solved(line: ReadLine, texture: Texture, grams: number): ReadLine {
  const other = (label: string, share: number) => ({
    label: `${label}, ${rounded(grams * share, 0)} g`,
    line: `${rounded(grams * share, 0)} g ${line.name}`,
  });
  const assumption: Assumption = {
    code: 'to-texture',
    text: t`As much as makes it ${{ texture: textureWords()[texture] }}: about ${grams} g, from what the dry parts take up.`,
    alternatives: [other(t`thicker`, THICKER), other(t`thinner`, THINNER)],
  };
  return { ...line, quantity: grams, unit: 'g', grams, assumptions: [assumption] };
}

/** Nothing in the bowl swells: the usual amount stays, as a guess. */
function unsolved(line: ReadLine): ReadLine {
  const assumption: Assumption = {
    code: 'guess',
    text: t`Nothing here takes up water: taken as ${{ grams: rounded(line.grams, 0) }} g, as is usual for one use.`,
    alternatives: [],
  };
  return { ...line, assumptions: [assumption] };
}
