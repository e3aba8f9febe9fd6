import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { memo, useCallback, useEffect, useState } from 'react';
import { useForm, useWatch, type Control, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { isTooGuessed, toldHeadline, type Judged, type JudgedText } from '@/core/kitchen/formulation';
import type { ParsedLine } from '@/core/recipe/larder';
import { withLineSaid } from '@/core/recipe/parsing';
import type { RecipeVersion } from '@/core/records/shapes';
import { NEW_RECIPE, selectPrefs, useAppSelector, type RecipeDraft } from '@/store';
import { Button, Screen, Small, useWide } from '@/ui';
import { FormField, resolverOf, NotSavedYet } from '../shared/form';
import { draftOf, EMPTY_RECIPE, saidUse, versionFromDraft } from '../shared/recipeDraft';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHairState } from '../shared/useHairAnswer';
import { useHead } from '../shared/useHead';
import { useReading } from '../shared/useReading';
import { FromPhoto } from './FromPhoto';
import { ClaimQuestion, DoseQuestion, LabelOffer, WouldHaveToSay } from './Questions';
import { ReadRows } from './ReadRows';
import { RecipeFields } from './RecipeFields';
import { SplitPaste } from './SplitPaste';
import { useDictation } from './useDictation';
import { useJudged } from './useJudged';
import { isSameDraft, useKeptDraft } from './useKeptDraft';
import { Cautions, VerdictPane } from './VerdictPane';

const example = () => t`2 tbsp soaked linseed\nhalf a papaya\n1 tsp honey\n100 ml oat milk`;

/** Paste or type a recipe; the verdict follows. Saving an existing one writes its next version. */
export function RecipeEditor({ existing, text }: { existing?: RecipeVersion; text?: string | undefined }) {
  const add = useAddRecords();
  const reading = useReading();
  const { larder } = reading;
  const stamped = (draft: RecipeDraft) => {
    const stamp = newStamp();
    const own = { recipeId: existing?.recipeId ?? stamp.id, version: (existing?.version ?? 0) + 1 };
    return versionFromDraft(draft, { ...stamp, ...own }, reading, existing);
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
  const read = useOwnJudgement(useJudged(typed));
  const { judged, isRight } = read;
  const setText = useCallback((changed: string) => setValue('text', changed), [setValue]);
  const append = (more: string) => {
    const now = getValues('text');
    setText(now === '' ? more : `${now}\n${more}`);
  };
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

  const [isOne, setIsOne] = useState(existing !== undefined);
  // Neither a label nor several recipes are one that could be judged.
  const isSeveral = read.recipes.length > 1 && !isOne;
  const hasOne = !isSeveral && !read.isLabel;
  const pane =
    judged.ok && hasOne ? (
      <BesideText
        control={control}
        read={read}
        judged={judged.value}
        recipeId={existing?.recipeId}
        onRight={isRight}
        onCount={(as) => setValue('countedAs', as, { shouldDirty: true })}
      />
    ) : undefined;

  const save = (isKnown: boolean) =>
    handleSubmit((checked) => {
      const version = stamped(checked);
      if (!version.ok) return;
      drop();
      const { name, version: number, recipeId } = version.value;
      add([version.value], existing ? t`${name} is saved as version ${number}.` : t`${name} is saved.`);
      const params = isKnown ? { recipeId, known: 'yes' } : { recipeId };
      router.replace({ pathname: '/recipes/[recipeId]', params });
    })();

  return (
    <Screen
      over={
        existing
          ? t`${{ existingName: existing.name }} · version ${{ versionName: larder.versionName(existing) }}`
          : t`New recipe`
      }
      {...headOf(read, isOne)}
      sideShare="half"
      side={wide ? pane : undefined}
    >
      <RecipeText control={control} />
      <OldOrder existing={existing} text={read.text} />
      <FromPhoto onText={append} />
      <Dictation onHeard={append} />
      <Understood
        read={read}
        isOne={isOne}
        onText={setText}
        onReplace={replaceLine}
        onAsOne={() => setIsOne(true)}
        onSaved={drop}
      />
      {wide ? null : pane}
      <RecipeFields control={control} />
      <EditorActions
        control={control}
        saved={saved}
        isNew={!existing}
        onKeep={keep}
        onSave={() => void save(false)}
        onKnown={() => void save(true)}
        onReset={() => reset(saved)}
      />
      <NotSavedYet state={formState} />
      {existing ? <Small>{t`Past sessions and batches keep the version they used.`}</Small> : null}
    </Screen>
  );
}

/** Steps that were put in order by hand belong to the text that told them. */
function OldOrder({ existing, text }: { existing: RecipeVersion | undefined; text: string }) {
  if (!existing?.arranged || text === existing.text) return null;
  return (
    <Small live>{t`Your own order of the steps belongs to the old text; a new text brings its own.`}</Small>
  );
}

/** Neither a label nor several recipes are one that could be judged. */
const holdsOne = ({ recipes, isLabel }: JudgedText, isOne: boolean): boolean =>
  !isLabel && (isOne || recipes.length < 2);

interface UnderstoodProps {
  readonly read: JudgedText;
  readonly isOne: boolean;
  readonly onText: (text: string) => void;
  readonly onReplace: (line: ParsedLine, by: string) => void;
  readonly onAsOne: () => void;
  readonly onSaved: () => void;
}

/** What became of the text: its rows, or what has to be settled before there are any. */
function Understood({ read, isOne, onText, onReplace, onAsOne, onSaved }: UnderstoodProps) {
  const { recipes, text, isLabel } = read;
  return (
    <>
      {isOne ? null : (
        <SplitPaste recipes={recipes} text={text} onText={onText} onAsOne={onAsOne} onSaved={onSaved} />
      )}
      {isLabel ? <LabelOffer text={text} /> : null}
      {holdsOne(read, isOne) ? <ReadRows read={read} onText={onText} onReplace={onReplace} /> : null}
    </>
  );
}

/** What it is, where enough of it is understood; else what would have to be said. */
function headOf(read: JudgedText, isOne: boolean): { headline: string; reason?: string } {
  if (read.isLabel) return { headline: t`A label, not a recipe` };
  if (!holdsOne(read, isOne)) return { headline: t`Several recipes at once` };
  if (!read.judged.ok)
    return {
      headline: t`Tell it your way`,
      reason: t`As a list, or as you’d say it.`,
    };
  const headline = toldHeadline(read.judged.value, read);
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

/** Takes recipes by ear, where it is switched on and the browser can. */
function Dictation({ onHeard }: { onHeard: (heard: string) => void }) {
  const { dictation } = useAppSelector(selectPrefs);
  const { can, listens, start, stop } = useDictation(onHeard);
  if (!dictation || !can) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-3">
      <Button
        label={listens ? t`Stop listening` : t`Say it aloud`}
        onPress={listens ? stop : start}
        testID="dictate"
      />
      <Small live>
        {listens ? t`It listens; what it hears goes through the maker of this browser.` : ''}
      </Small>
    </View>
  );
}

/** Amounts that she said are meant so are asked about no more, as long as they stay what they are. */
function useOwnJudgement(read: JudgedText): JudgedText & { isRight: () => void } {
  const [right, setRight] = useState<ReadonlySet<string>>(new Set());
  const { judged } = read;
  const keyOf = ({ name, percent }: Judged['doses'][number]) => `${name} ${percent.toFixed(0)}`;
  const isRight = () =>
    setRight(new Set([...right, ...(judged.ok ? judged.value.doses.map((dose) => keyOf(dose)) : [])]));
  const doses = judged.ok ? judged.value.doses.filter((dose) => !right.has(keyOf(dose))) : [];
  return judged.ok
    ? { ...read, judged: { ...judged, value: { ...judged.value, doses } }, isRight }
    : { ...read, isRight };
}

interface BesideTextProps extends EditorPaneProps {
  readonly read: JudgedText;
  readonly onRight: () => void;
  readonly onCount: (as: RecipeVersion['countedAs']) => void;
}

/** The verdict, or what has to be said before there is one. */
function BesideText({ read, onRight, onCount, ...pane }: BesideTextProps) {
  const countedAs = useWatch({ control: pane.control, name: 'countedAs' });
  const { doses, argument, cautions } = pane.judged;
  if (doses.length > 0)
    return (
      <View className="gap-5">
        <DoseQuestion doses={doses} onRight={onRight} />
        <Cautions cautions={cautions} level="stop" />
      </View>
    );
  if (isTooGuessed(read))
    return (
      <View className="gap-5">
        {read.parsed.ok ? <WouldHaveToSay recipe={read.parsed.value} /> : null}
        <Cautions cautions={cautions} level="stop" />
      </View>
    );
  return (
    <View className="gap-5">
      {argument ? <ClaimQuestion argument={argument} countedAs={countedAs} onCount={onCount} /> : null}
      <EditorPane {...pane} />
    </View>
  );
}

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
  /** Saves it, and asks since when she has used it. */
  readonly onKnown: () => void;
  readonly onReset: () => void;
}

/** What is typed is kept as it is typed, and said to be. */
function EditorActions({ control, saved, isNew, onKeep, onSave, onKnown, onReset }: EditorActionsProps) {
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
        {isNew ? (
          <Button
            label={t`I've used it for years`}
            hint={t`I've used it for years: save it, and no test is needed`}
            onPress={onKnown}
            testID="save-known-recipe"
          />
        ) : null}
        <Button
          label={t`Back`}
          onPress={() => (router.canGoBack() ? router.back() : router.navigate('/recipes'))}
        />
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
    const take = (field: 'name' | 'use' | 'contactMinutes' | 'warmth', told: string | null) => {
      if (told !== null && !getFieldState(field).isTouched) setValue(field, told);
    };
    take('name', title);
    take('use', saidUse(title ?? '') ?? null);
    take('contactMinutes', minutes === null ? null : String(minutes));
    take('warmth', warmth);
  }, [title, minutes, warmth, isNew, getFieldState, setValue]);
}
