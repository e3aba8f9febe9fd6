import { View } from 'react-native';
import { Z90, type HairState, type Response } from '@/core/hair';
import type { Larder } from '@/core/recipes';
import { Heading, Small, Strong } from '@/ui';

/** Uses from which an effect is spoken of without "so far". */
const SETTLED_USES = 5;

/** What each recipe does to firmness on this head, as far as the readings tell. */
export function WhatWorks({ state, larder }: { state: HairState; larder: Larder }) {
  const used = state.signals.firmness.responses
    .filter((response) => response.uses > 0)
    .sort((a, b) => a.mean - b.mean);
  const nameOf = (recipeId: string) => larder.lastVersion(recipeId)?.name ?? recipeId;
  return (
    <View className="gap-3 pt-2">
      <Heading level={2}>What each one does</Heading>
      {used.length === 0 ? <Small>Nothing has been used yet, so there is nothing to tell.</Small> : null}
      {used.map((response) => (
        <View key={response.recipeId}>
          <Strong>{nameOf(response.recipeId)}</Strong>
          <Small>{effectInWords(response)}</Small>
        </View>
      ))}
      {used.length > 0 ? (
        <Small>
          Effect of one use on firmness, where the comfortable lane is one unit wide; intervals hold nine
          times in ten.
        </Small>
      ) : null}
    </View>
  );
}

/** Says no more than the interval allows. */
function effectInWords({ mean, sd, uses }: Response): string {
  const low = mean - Z90 * sd;
  const high = mean + Z90 * sd;
  const span = `${shown(mean)} (${shown(low)} to ${shown(high)}), ${uses} ${uses === 1 ? 'use' : 'uses'}`;
  if (low > 0) return `Firms: ${span}`;
  if (high < 0) return `Softens: ${span}`;
  const leaning = mean > 0 ? 'perhaps firms' : 'perhaps softens';
  return `${uses < SETTLED_USES ? 'Too few uses to tell' : 'Hard to tell'}, ${leaning}: ${span}`;
}

function shown(value: number): string {
  return `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
}
