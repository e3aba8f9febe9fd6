import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { parseRecipe } from '@/core/recipe/parsing';
import type { RecipeVersion } from '@/core/records/shapes';
import { draftOfText, versionFromDraft } from '../shared/recipeDraft';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useReading } from '../shared/useReading';
import { BackToAll, SeveralRecipes } from './Questions';

const readEach = (recipes: readonly string[], reading: ReturnType<typeof useReading>) =>
  recipes.map((text, index) => {
    const parsed = parseRecipe(text, reading);
    const fallback = t`Recipe ${{ number: index + 1 }}`;
    return { text, parsed, name: (parsed.ok ? parsed.value.title : null) ?? fallback };
  });

interface SplitPasteProps {
  /** The recipes that the text holds. */
  readonly recipes: readonly string[];
  readonly text: string;
  readonly onText: (text: string) => void;
  /** She says that it is one recipe. */
  readonly onAsOne: () => void;
  /** All of it is saved. */
  readonly onSaved: () => void;
}

/** A paste of several recipes: saved each as its own, or gone on with one, the whole kept within reach. */
export function SplitPaste({ recipes, text, onText, onAsOne, onSaved }: SplitPasteProps) {
  const reading = useReading();
  const add = useAddRecords();
  const [whole, setWhole] = useState<string | null>(null);
  const read = useMemo(() => (recipes.length < 2 ? [] : readEach(recipes, reading)), [recipes, reading]);
  if (recipes.length < 2)
    return whole === null || whole === text ? null : (
      <BackToAll
        onPress={() => {
          setWhole(null);
          onText(whole);
        }}
      />
    );
  const saveAll = () => {
    const made = read.map(({ parsed, text: own, name }) => {
      const stamp = newStamp();
      const version = parsed.ok
        ? versionFromDraft(
            draftOfText(own, parsed.value, name),
            { ...stamp, recipeId: stamp.id, version: 1 },
            reading,
          )
        : parsed;
      return { own, version };
    });
    const saved = made.flatMap(({ version }): RecipeVersion[] => (version.ok ? [version.value] : []));
    const left = made.filter(({ version }) => !version.ok).map(({ own }) => own);
    if (saved.length === 0) return;
    add(saved, plural({ count: saved.length }, { one: '# recipe is saved.', other: '# recipes are saved.' }));
    if (left.length === 0) {
      onSaved();
      router.navigate('/recipes');
    } else onText(left.join('\n\n'));
  };
  return (
    <SeveralRecipes
      names={read.map(({ name }) => name)}
      onAll={saveAll}
      onAsOne={onAsOne}
      onOne={(index) => {
        setWhole(text);
        onText(recipes[index] ?? text);
      }}
    />
  );
}
