import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { TookTooLong } from '@/core/base/measures';
import { asWritten, partText, withReplaced, type Substitute } from '@/core/kitchen/making';
import { verdictHeadline, type Verdict } from '@/core/recipe/classification';
import type { WeighedLine } from '@/core/recipe/larder';
import type { School, RecipeVersion } from '@/core/records/shapes';
import { Body, Button, Problem, Small } from '@/ui';
import { askSolver } from '@/workers';
import { useLarder } from '../shared/useLarder';
import { useStock } from '../shared/useStock';

interface SubstitutesProps {
  readonly recipe: RecipeVersion;
  /** How many times the recipe as written the lines are. */
  readonly factor: number;
  readonly lines: readonly WeighedLine[];
  /** Index of the line that is missing. */
  readonly replaced: number;
  readonly verdict: Verdict;
  readonly school: School;
}

/** A miss from which a substitute is called another recipe. */
const FAR_MISS = 0.6;

/** What can take the place of one line, from the pantry, with what changes. */
export function Substitutes({ recipe, factor, lines, replaced, verdict, school }: SubstitutesProps) {
  const stock = useStock();
  const larder = useLarder();
  const [found, setFound] = useState<readonly Substitute[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    askSolver('substitutes', { lines, replaced, stock, school, science: larder.science }).then(
      (answer) => current && setFound(answer),
      (error: unknown) =>
        current &&
        setFailure(
          error instanceof TookTooLong
            ? error.message
            : t`The solver could not be started: ${{ error: String(error) }}`,
        ),
    );
    return () => {
      current = false;
    };
  }, [lines, replaced, stock, school, larder.science]);

  if (failure) return <Problem live>{failure}</Problem>;
  if (!found) return <Small>{t`Looking through the pantry …`}</Small>;
  if (found.length === 0)
    return <Small>{t`Nothing in the pantry does the same. Tell the Pantry what you have.`}</Small>;
  return (
    <View className="gap-2 border-l-4 border-line pl-3" role="list" aria-label={t`Instead, from the pantry`}>
      {found.map((substitute) => (
        <View key={namesOf(substitute)} role="listitem" className="gap-1">
          <Body>{namesOf(substitute)}</Body>
          <Small>{changeWords(verdict, substitute)}</Small>
          <View className="items-start">
            <Button
              tone="quiet"
              label={t`Write it into the recipe`}
              hint={t`Write ${{ names: namesOf(substitute) }} into the recipe`}
              onPress={() =>
                router.push({
                  pathname: '/recipes/edit/[recipeId]',
                  params: {
                    recipeId: recipe.recipeId,
                    text: withReplaced(recipe, replaced, asWritten(substitute.parts, factor), larder),
                  },
                })
              }
            />
          </View>
        </View>
      ))}
    </View>
  );
}

function namesOf({ parts }: Substitute): string {
  return parts.map(partText).join(t` and `);
}

/** What changes in the verdict, in words. */
function changeWords(before: Verdict, { verdict, miss }: Substitute): string {
  const [was, is] = [verdictHeadline(before), verdictHeadline(verdict)];
  const kind =
    was === is
      ? t`Stays: ${{ is: is.toLowerCase() }}`
      : t`Becomes: ${{ is: is.toLowerCase() }} (was ${{ was: was.toLowerCase() }})`;
  const strength = t`strength ${{ strengthBefore: before.strength }} → ${{ strengthAfter: verdict.strength }}`;
  return `${kind}, ${strength}${miss > FAR_MISS ? t`. It is rather another recipe` : ''}.`;
}
