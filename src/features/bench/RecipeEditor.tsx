import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { memo, useCallback, useEffect, useState } from 'react';
import { useForm, useWatch, type Control, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { CUPS, VIEWS } from '@/core/base/measures';
import { writeRecipes } from '@/core/files/sharing';
import { hairMassGrams } from '@/core/hair/state';
import { isTooGuessed, toldHeadline, type Judged, type JudgedText } from '@/core/kitchen/formulation';
import { rewriteIn } from '@/core/kitchen/making';
import type { ParsedLine } from '@/core/recipe/larder';
import { withLineSaid } from '@/core/recipe/parsing';
import { ofKind } from '@/core/records/shapes';
import { RECIPE_USES, type RecipeVersion } from '@/core/records/shapes';
import {
  NEW_RECIPE,
  prefsChanged,
  selectLiveRecords,
  selectPrefs,
  useAppDispatch,
  useAppSelector,
  type RecipeDraft,
} from '@/store';
import { Body, Button, Choice, Problem, Screen, Small, useWide } from '@/ui';
import { recipeUseWords } from '../shared/beatWords';
import { fileNameOf, saveTextFile } from '../shared/browserFiles';
import { FormChoice, FormField, resolverOf, NotSavedYet } from '../shared/form';
import { cupKinds, viewWords } from '../shared/settingWords';
import { newStamp, withdrawing } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHairState } from '../shared/useHairAnswer';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { draftOf, EMPTY_RECIPE, versionFromDraft } from './recipeDraft';
import { OneLine, RecipeLines } from './RecipeLines';
import { ToldText } from './ToldText';
import { useJudged } from './useJudged';
import { isSameDraft, useKeptDraft } from './useKeptDraft';
import { VerdictPane } from './VerdictPane';

const example = () => t`2 tbsp soaked linseed\nhalf a papaya\n1 tsp honey\n100 ml oat milk`;

const viewOptions = perLanguage(() => VIEWS.map((value) => ({ value, label: viewWords()[value].label })));
const cupOptions = perLanguage(() =>
  cupKinds().map((value) => ({ value, label: t`cup ${{ millilitres: CUPS[value].millilitres }} ml` })),
);

/** Paste or type a recipe; the verdict follows. Saving an existing one writes its next version. */
export function RecipeEditor({ existing, text }: { existing?: RecipeVersion; text?: string | undefined }) {
  const add = useAddRecords();
  const larder = useLarder();
  const { cup } = useAppSelector(selectPrefs);
  const head = useHead();
  const hairGrams = head && hairMassGrams(head);
  const stamped = (draft: RecipeDraft) => {
    const stamp = newStamp();
    const own = { recipeId: existing?.recipeId ?? stamp.id, version: (existing?.version ?? 0) + 1 };
    return versionFromDraft(draft, { ...stamp, ...own }, { larder, cup, hairGrams });
  };
  const saved = existing ? draftOf(existing) : EMPTY_RECIPE;
  const { start, keep, drop } = useKeptDraft(existing?.recipeId ?? NEW_RECIPE, saved);
  const begun = text === undefined ? start : { ...saved, text };
  const { control, handleSubmit, setValue, getValues, getFieldState, subscribe, reset, formState } =
    useForm<RecipeDraft>({
      defaultValues: begun,
      resolver: resolverOf(stamped),
    });
  const wide = useWide();
  // A key draws its field and what asks for the whole draft; the rest is drawn when it has been read.
  const [typed] = useState(() => ({
    start: begun.text,
    now: () => getValues('text'),
    onChange: (changed: (text: string) => void) =>
      subscribe({
        name: 'text',
        formState: { values: true },
        callback: ({ values }) => changed(values.text),
      }),
  }));
  const read = useJudged(typed);
  const { judged } = read;
  const setText = useCallback((changed: string) => setValue('text', changed), [setValue]);
  const replaceLine = useCallback(
    (line: ParsedLine, by: string) => {
      const now = getValues('text');
      // What was read lies a step behind what is typed.
      const start = now === read.text ? -1 : now.indexOf(line.text);
      const moved = start < 0 ? line : { ...line, at: [{ start, end: start + line.text.length }] };
      setText(withLineSaid(now, moved, by));
    },
    [setText, getValues, read.text],
  );
  useTold(read, { getFieldState, setValue }, !existing);

  const pane = judged.ok ? (
    <EditorPane control={control} judged={judged.value} recipeId={existing?.recipeId} />
  ) : undefined;

  const save = handleSubmit((checked) => {
    const version = stamped(checked);
    if (!version.ok) return;
    drop();
    const { name, version: number } = version.value;
    add([version.value], existing ? t`${name} is saved as version ${number}.` : t`${name} is saved.`);
    router.navigate('/bench');
  });

  return (
    <Screen
      over={
        existing
          ? t`${{ existingName: existing.name }} · version ${{ versionName: larder.versionName(existing) }}`
          : t`New recipe`
      }
      {...headOf(read)}
      sideShare="half"
      side={wide ? pane : undefined}
    >
      {existing ? <SavedActions recipe={existing} /> : null}
      <RecipeText control={control} />
      <ReadRows read={read} onText={setText} onReplace={replaceLine} />
      {wide ? null : pane}
      <RecipeFields control={control} />
      <EditorActions
        control={control}
        saved={saved}
        isNew={!existing}
        onKeep={keep}
        onSave={save}
        onReset={() => reset(saved)}
      />
      <NotSavedYet state={formState} />
      {existing ? <Small>{t`Past sessions and batches keep the version they used.`}</Small> : null}
    </Screen>
  );
}

/** What it is, where enough of it is understood; else what would have to be said. */
function headOf(read: JudgedText): { headline: string; reason?: string } {
  if (!read.judged.ok)
    return {
      headline: t`Tell it your way`,
      reason: t`As a list or as you would say it. The verdict follows as you type.`,
    };
  const headline = toldHeadline(read.judged.value.verdict, read);
  return isTooGuessed(read)
    ? { headline, reason: t`Say how much of what is marked, and the verdict follows.` }
    : { headline };
}

const RecipeText = memo(function RecipeText({ control }: { control: Control<RecipeDraft> }) {
  return (
    <FormField
      control={control}
      name="text"
      label={t`Your recipe`}
      placeholder={example()}
      lines={7}
      testID="recipe-text"
    />
  );
});

/** What is said of a recipe beside its lines. */
const RecipeFields = memo(function RecipeFields({ control }: { control: Control<RecipeDraft> }) {
  return (
    <>
      <FormField control={control} name="name" label={t`Name`} testID="recipe-name" />
      <FormChoice
        control={control}
        name="use"
        label={t`Used as`}
        options={RECIPE_USES.map((value) => ({ value, label: recipeUseWords()[value] }))}
      />
      <View className="flex-row flex-wrap items-start gap-4">
        <FormField
          control={control}
          name="contactMinutes"
          className="w-field-l"
          label={t`Minutes on the hair`}
          numeric
        />
        <FormChoice
          control={control}
          name="warmth"
          label={t`Warmth`}
          options={[
            { value: 'room', label: t`room` },
            { value: 'warm', label: t`warm, under a cap` },
          ]}
        />
      </View>
    </>
  );
});

interface EditorPaneProps {
  readonly control: Control<RecipeDraft>;
  readonly judged: Judged;
  readonly recipeId: string | undefined;
}

/** The verdict for the minutes and the warmth that are chosen beside it. */
const EditorPane = memo(function EditorPane({ control, judged, recipeId }: EditorPaneProps) {
  const head = useHead();
  const [contactMinutes, warmth] = useWatch({ control, name: ['contactMinutes', 'warmth'] });
  const response = useHairState()?.signals.firmness.responses.find((each) => each.recipeId === recipeId);
  return (
    <VerdictPane
      {...judged}
      head={head}
      contactMinutes={Number(contactMinutes) || 30}
      warmth={warmth}
      response={response}
    />
  );
});

interface EditorActionsProps {
  readonly control: Control<RecipeDraft>;
  readonly saved: RecipeDraft;
  readonly isNew: boolean;
  readonly onKeep: (draft: RecipeDraft) => void;
  readonly onSave: () => void;
  readonly onReset: () => void;
}

/** What is typed is kept as it is typed, and said to be. */
function EditorActions({ control, saved, isNew, onKeep, onSave, onReset }: EditorActionsProps) {
  const draft = useWatch({ control }) as RecipeDraft;
  const isChanged = !isSameDraft(draft, saved);
  useEffect(() => onKeep(draft), [draft, onKeep]);
  return (
    <>
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={isNew ? t`Save recipe` : t`Save as a new version`}
          onPress={onSave}
          testID="save-recipe"
        />
        <Button label={t`Back`} onPress={() => router.navigate('/bench')} />
        {isChanged ? (
          <Button
            tone="quiet"
            label={isNew ? t`Start over` : t`As it was saved`}
            hint={t`Put away what is typed here and not saved`}
            onPress={onReset}
            testID="start-over"
          />
        ) : null}
      </View>
      {isChanged ? <Small>{t`What you type stays here until you save it or put it away.`}</Small> : null}
    </>
  );
}

/** What can be done with a recipe that is saved. */
function SavedActions({ recipe }: { recipe: RecipeVersion }) {
  const { recipeId, name } = recipe;
  const add = useAddRecords();
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const takeOut = () => {
    const versions = records.filter((record) => record.kind === 'recipe' && record.recipeId === recipeId);
    add(
      withdrawing(versions.map(({ id }) => id)),
      t`${name} is taken out; what was made and done with it stays.`,
    );
    router.navigate('/bench');
  };
  const passOn = () =>
    saveTextFile(
      `${fileNameOf(name)}.json`,
      writeRecipes(larder, [recipeId], ofKind(records, 'ingredient'), new Date().toISOString()),
      'application/json',
    );
  const [twin] = larder.twinsOf(recipe);
  return (
    <View className="flex-row flex-wrap gap-3">
      {twin ? (
        <Body className="basis-full">
          {t`Version ${{ version: recipe.version }} was written in two places: ${{ otherNumber: larder.versionName(twin) }} and ${{ versionNumber: larder.versionName(recipe) }} are both kept, and “Compare” shows what differs. This is ${{ versionNumber: larder.versionName(recipe) }}.`}
        </Body>
      ) : null}
      <Button
        label={t`Make it`}
        onPress={() => router.push({ pathname: '/bench/make/[recipeId]', params: { recipeId } })}
        testID="make-recipe"
      />
      <Button
        label={t`Compare`}
        hint={t`Compare ${{ recipeName: recipe.name }} with another version or recipe`}
        onPress={() => router.push({ pathname: '/bench/compare', params: { a: recipeId } })}
      />
      <Button
        label={t`A card to print`}
        hint={t`A card of ${name} to print`}
        onPress={() => router.push({ pathname: '/bench/card/[recipeId]', params: { recipeId } })}
        testID="recipe-card"
      />
      <Button
        label={t`Pass it on`}
        hint={t`A file of ${name} for a friend`}
        onPress={passOn}
        testID="pass-on"
      />
      <Button
        tone="quiet"
        label={t`Take it out`}
        hint={t`Take ${name} out of the bench; what was made and done with it stays`}
        onPress={takeOut}
        testID="remove-recipe"
      />
    </View>
  );
}

interface ReadRowsProps {
  readonly read: JudgedText;
  readonly onText: (changed: string) => void;
  readonly onReplace: (line: ParsedLine, by: string) => void;
}

/** The rows as they were understood, in the chosen view, or why there are none. */
const ReadRows = memo(function ReadRows({ read, onText, onReplace }: ReadRowsProps) {
  const { text, parsed, judged, formula } = read;
  const dispatch = useAppDispatch();
  const larder = useLarder();
  const { cup, view } = useAppSelector(selectPrefs);
  if (!parsed.ok) return text.trim() === '' ? null : <Problem live>{parsed.problems[0].message}</Problem>;
  return (
    <View className="gap-3">
      <ToldText
        text={text}
        recipe={parsed.value}
        lineView={(line, index) => (
          <OneLine
            line={line}
            index={index}
            recipe={parsed.value}
            view={view}
            formula={formula}
            onReplace={onReplace}
          />
        )}
      />
      <View className="flex-row flex-wrap items-center gap-3">
        <Choice
          label={t`Show amounts in`}
          options={viewOptions()}
          value={view}
          onChange={(chosen) => dispatch(prefsChanged({ view: chosen }))}
        />
        <Choice
          label={t`A cup holds`}
          options={cupOptions()}
          value={cup}
          onChange={(chosen) => dispatch(prefsChanged({ cup: chosen }))}
        />
      </View>
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Write the recipe in ${{ view: viewWords()[view].label }}`}
          onPress={() => onText(rewriteIn(view, parsed.value, larder))}
          testID="rewrite"
        />
      </View>
      {!judged.ok && judged.problems[0].code !== 'nothing-weighed' ? (
        <Problem live>{judged.problems[0].message}</Problem>
      ) : null}
      <RecipeLines recipe={parsed.value} view={view} formula={formula} onReplace={onReplace} />
    </View>
  );
});

/** The form takes what the telling sets: its name, minutes and warmth, as long as she has not set them herself. */
function useTold(
  { parsed }: JudgedText,
  { getFieldState, setValue }: Pick<UseFormReturn<RecipeDraft>, 'getFieldState' | 'setValue'>,
  isNew: boolean,
): void {
  const title = parsed.ok ? parsed.value.title : null;
  const minutes = parsed.ok ? parsed.value.told.minutes : null;
  const warmth = parsed.ok ? parsed.value.told.warmth : null;
  useEffect(() => {
    if (!isNew) return;
    const take = (field: 'name' | 'contactMinutes' | 'warmth', told: string | null) => {
      if (told !== null && !getFieldState(field).isTouched) setValue(field, told);
    };
    take('name', title);
    take('contactMinutes', minutes === null ? null : String(minutes));
    take('warmth', warmth);
  }, [title, minutes, warmth, isNew, getFieldState, setValue]);
}
