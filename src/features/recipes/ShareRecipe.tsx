import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { recipeJsonLd, recipeText, writeRecipes } from '@/core/files/sharing';
import { methodOfRecipe, shownMethod } from '@/core/kitchen/methods';
import { ofKind, type RecipeVersion } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { fileNameOf, saveTextFile } from '../shared/browserFiles';
import { useLarder } from '../shared/useLarder';

/** A recipe for somebody else: as words, for this program, or for any other. */
export function ShareRecipe({ recipe }: { recipe: RecipeVersion }) {
  const [isOpen, setIsOpen] = useState(false);
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const { recipeId, name } = recipe;
  const file = fileNameOf(name);
  const send = async () => {
    const text = recipeText(recipe);
    // A phone offers what it can send with; where nothing can, the words are a file.
    if (typeof navigator.share !== 'function') return saveTextFile(`${file}.txt`, text, 'text/plain');
    // She may think better of it.
    await navigator.share({ title: name, text }).catch(() => undefined);
  };
  const forUs = () =>
    saveTextFile(
      `${file}.json`,
      writeRecipes(larder, [recipeId], ofKind(records, 'ingredient'), new Date().toISOString()),
      'application/json',
    );
  const forOthers = () => {
    const { steps } = shownMethod(methodOfRecipe(recipe, larder), recipe.lines, larder, {
      factor: 1,
      hasScale: true,
    });
    saveTextFile(
      `${file}.jsonld`,
      recipeJsonLd(
        recipe,
        steps.map(({ text }) => text),
      ),
      'application/ld+json',
    );
  };
  return (
    <>
      <Button
        label={t`Share`}
        hint={t`Ways to share ${name}`}
        expanded={isOpen}
        onPress={() => setIsOpen(!isOpen)}
        testID="pass-on"
      />
      {isOpen ? (
        <View className="basis-full flex-row flex-wrap gap-2" role="group" aria-label={t`Share`}>
          <Button label={t`As words`} onPress={() => void send()} testID="pass-words" />
          <Button label={t`For Velvet Rhythm`} onPress={forUs} testID="pass-file" />
          <Button label={t`For other programs`} onPress={forOthers} testID="pass-jsonld" />
        </View>
      ) : null}
    </>
  );
}
