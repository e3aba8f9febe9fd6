import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { CalendarDay } from '@/core/base/measures';
import { UNNAMED } from '@/core/recipe/larder';
import { parseRecipe } from '@/core/recipe/parsing';
import type { Head, RecipeVersion, StoredRecord } from '@/core/records/shapes';
import { Body, Button, Chip, Field, Heading, Problem, Screen, Small, Strong } from '@/ui';
import { RememberedFields } from '../shared/KnownUse';
import { draftOfText, saidUse, versionFromDraft } from '../shared/recipeDraft';
import { dayMeant, NOTHING_REMEMBERED, rememberedRecords, type Remembered } from '../shared/remembered';
import { newStamp } from '../shared/stamp';
import { kindInWords, recipeUseWords } from '../shared/treatmentWords';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useReading } from '../shared/useReading';
import { useToday } from '../shared/useToday';
import { verdictOf } from '../shared/verdictOf';
import { Welcome } from '../shared/Welcome';

/** One line of the sheet: something that she uses, or did. */
interface Regular {
  readonly recipe: RecipeVersion;
  /** It is read from what she told here, and not saved yet. */
  readonly isNew: boolean;
}

/** What she used before this application knew her, in one go: so that last time and next time are true from the first minute. */
export function RegularsScreen() {
  const head = useHead();
  return head ? <Regulars key={head.headId} head={head} /> : <Welcome />;
}

function Regulars({ head }: { head: Head }) {
  const add = useAddRecords();
  const today = useToday();
  const { larder, sessions } = useHistory(head.headId);
  const [told, setTold] = useState<readonly RecipeVersion[]>([]);
  const [marked, setMarked] = useState<ReadonlyMap<string, Remembered>>(new Map());
  const [isTried, setIsTried] = useState(false);
  const used = new Set(sessions.map(({ recipeId }) => recipeId));
  const rows: Regular[] = [
    ...told.map((recipe) => ({ recipe, isNew: true })),
    ...larder.recipes
      .filter(({ recipeId }) => !used.has(recipeId))
      .map((recipe) => ({ recipe, isNew: false })),
    ...UNNAMED.flatMap((id) => larder.lastVersion(id) ?? []).map((recipe) => ({ recipe, isNew: false })),
  ];
  const mark = (recipeId: string, remembered: Remembered | null) => {
    const next = new Map(marked);
    if (remembered === null) next.delete(recipeId);
    else next.set(recipeId, remembered);
    setMarked(next);
  };
  const read = (recipes: readonly RecipeVersion[]) => {
    setTold([...told, ...recipes]);
    setMarked(
      new Map([...marked, ...recipes.map(({ recipeId }) => [recipeId, NOTHING_REMEMBERED] as const)]),
    );
  };
  const save = () => {
    setIsTried(true);
    const records = recordsOf(rows, marked, head, today);
    if (records === null) return;
    if (records.length > 0)
      add(
        records,
        plural(
          { count: marked.size },
          {
            one: 'What you use is known: # recipe or treatment, no test needed.',
            other: 'What you use is known: # recipes and treatments, no test needed.',
          },
        ),
      );
    router.navigate('/');
  };
  return (
    <Screen
      over={head.name}
      headline={t`What do you already use?`}
      reason={t`Used before without a reaction, it needs no test, and the plan goes on from there.`}
    >
      <TellRecipes onRead={read} />
      <View role="list" aria-label={t`What you use`}>
        {rows.map(({ recipe, isNew }) => (
          <RegularRow
            key={recipe.recipeId}
            recipe={recipe}
            says={isNew ? sayOf(recipe, head, larder) : ''}
            remembered={marked.get(recipe.recipeId) ?? null}
            isTried={isTried}
            today={today}
            onMark={(remembered) => mark(recipe.recipeId, remembered)}
          />
        ))}
      </View>
      <Body>{t`Test again after bleach, on sore skin, or with a new brand in it.`}</Body>
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save what I use`} onPress={save} testID="save-regulars" />
        <Button label={t`Not now`} onPress={() => router.navigate('/')} />
      </View>
    </Screen>
  );
}

type Larder = ReturnType<typeof useHistory>['larder'];

function sayOf(recipe: RecipeVersion, head: Head, larder: Larder): string {
  const verdict = verdictOf(recipe, head.school, larder);
  return [
    recipeUseWords()[recipe.use],
    ...(verdict ? [kindInWords(verdict.kind, verdict.strength)] : []),
  ].join(', ');
}

/** All of it, or null where a day is missing. */
function recordsOf(
  rows: readonly Regular[],
  marked: ReadonlyMap<string, Remembered>,
  head: Head,
  today: CalendarDay,
): StoredRecord[] | null {
  const records: StoredRecord[] = rows.flatMap(({ recipe, isNew }) => (isNew ? [recipe] : []));
  for (const { recipe } of rows) {
    const remembered = marked.get(recipe.recipeId);
    if (!remembered) continue;
    const lastOn = dayMeant(remembered, today);
    if (lastOn === null) return null;
    records.push(...rememberedRecords(recipe, head, remembered, lastOn, today));
  }
  return records;
}

interface RegularRowProps {
  readonly recipe: RecipeVersion;
  readonly says: string;
  readonly remembered: Remembered | null;
  readonly isTried: boolean;
  readonly today: CalendarDay;
  readonly onMark: (remembered: Remembered | null) => void;
}

function RegularRow({ recipe, says, remembered, isTried, today, onMark }: RegularRowProps) {
  const lacksDay = isTried && remembered !== null && dayMeant(remembered, today) === null;
  return (
    <View role="listitem" className="gap-2 border-t border-line py-3" testID={`regular-${recipe.name}`}>
      <View className="flex-row items-center gap-3">
        <View className="flex-1">
          <Strong>{recipe.name}</Strong>
          {says ? <Small className="text-ink">{says}</Small> : null}
        </View>
        <Chip
          label={t`I use it`}
          hint={t`I use it: ${{ name: recipe.name }}`}
          pressed={remembered !== null}
          onPress={() => onMark(remembered === null ? NOTHING_REMEMBERED : null)}
        />
      </View>
      {remembered ? (
        <RememberedFields
          value={remembered}
          onChange={onMark}
          problem={lacksDay ? t`Choose the day, today or before.` : null}
        />
      ) : null}
    </View>
  );
}

/** One recipe a stretch between blank lines; a title that stands alone belongs to what follows it. */
function tellingsIn(text: string, reading: ReturnType<typeof useReading>): string[] {
  const found: string[] = [];
  let title = '';
  for (const stretch of text.split(/\n\s*\n/).filter((each) => each.trim() !== '')) {
    const told = title === '' ? stretch : `${title}\n${stretch}`;
    const parsed = parseRecipe(told, reading);
    const isTitle = !parsed.ok || parsed.value.lines.every((line) => line.status !== 'read');
    if (!isTitle) found.push(told);
    title = isTitle ? told : '';
  }
  return title === '' ? found : [...found, title];
}

/** Her recipes in her words, several at once. */
function TellRecipes({ onRead }: { onRead: (recipes: readonly RecipeVersion[]) => void }) {
  const reading = useReading();
  const head = useHead();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const read = () => {
    const made = tellingsIn(text, reading).map((own, index) => {
      const parsed = parseRecipe(own, reading);
      if (!parsed.ok) return { own, version: null };
      const stamp = newStamp();
      const draft = draftOfText(own, parsed.value, t`Recipe ${{ number: index + 1 }}`);
      const version = versionFromDraft(draft, { ...stamp, recipeId: stamp.id, version: 1 }, reading);
      if (!version.ok) return { own, version: null };
      // Plain oil goes on before the shampoo, unless its name says otherwise.
      const isOil = verdictOf(version.value, head?.school ?? 'my-hair', reading.larder)?.kind === 'oil';
      return {
        own,
        version:
          isOil && saidUse(draft.name) === undefined
            ? { ...version.value, use: 'pre-poo' as const }
            : version.value,
      };
    });
    onRead(made.flatMap(({ version }) => version ?? []));
    const left = made.filter(({ version }) => version === null).map(({ own }) => own);
    setText(left.join('\n\n'));
    setProblem(
      left.length > 0 ? t`What stands here isn't understood yet. Say what is in it and how much.` : null,
    );
  };
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Your own recipes`}</Heading>
      <Field
        label={t`Tell them your way, a blank line between two`}
        value={text}
        onChange={setText}
        lines={5}
        testID="regulars-text"
      />
      {problem ? <Problem live>{problem}</Problem> : null}
      <View className="items-start">
        <Button label={t`Read recipes`} onPress={read} disabled={text.trim() === ''} testID="read-regulars" />
      </View>
    </View>
  );
}
