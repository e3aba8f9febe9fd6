import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { failedBySchema, ok, type Result } from '@/core/base/measures';
import { keepingOf } from '@/core/kitchen/batches';
import { afterMaking, realYieldGrams } from '@/core/kitchen/making';
import { remainingGrams } from '@/core/recipe/larder';
import { batchSchema, type Batch } from '@/core/records/shapes';
import { makingEnded, selectPantry, useAppDispatch, useAppSelector, type MakingRun } from '@/store';
import { Button, Heading, Problem, Small } from '@/ui';
import { grams, numberFrom } from '../shared/amounts';
import { FormChoice, FormField, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useKit } from '../shared/useKit';
import { useToday } from '../shared/useToday';
import type { Making } from './makingOf';

interface BatchDraft {
  readonly portions: string;
  readonly portionGrams: string;
  readonly place: Batch['place'];
  readonly note: string;
}

/** A portion is about what a head takes (working assumption). */
const USUAL_PORTION_GRAMS = 150;

/** What came out of a making: portions, the water that went in beside the recipe, where it is kept. */
export function MakeDone({ making, run }: { making: Making; run: MakingRun }) {
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const today = useToday();
  const { places } = useKit();
  const pantry = useAppSelector(selectPantry);
  const yieldGrams = yieldOf(making, run);
  const usual = Math.max(1, Math.round(yieldGrams / USUAL_PORTION_GRAMS));
  const batchOf = (draft: BatchDraft): Result<Batch> => {
    const stamp = newStamp();
    const parsed = batchSchema.safeParse({
      ...stamp,
      kind: 'batch',
      batchId: stamp.id,
      recipeId: run.recipeId,
      recipeVersion: run.version,
      recipeRecordId: run.recordId,
      madeOn: today,
      weighed: weighedIn(making.lines, run),
      waterAddedGrams: run.waterAddedGrams,
      portions: numberFrom(draft.portions),
      portionGrams: numberFrom(draft.portionGrams),
      place: draft.place,
      note: draft.note,
    });
    if (parsed.success) return ok(parsed.data);
    return failedBySchema(parsed.error.issues, ({ path }) => ({
      path: String(path[0] ?? 'portions'),
      message: whatToWrite()[String(path[0])] ?? t`Check this.`,
    }));
  };
  // What is weighed after this pane is drawn still moves the figures that she has not typed over.
  const { control, handleSubmit } = useForm<BatchDraft>({
    defaultValues: { portions: '1', portionGrams: '', place: 'fridge', note: '' },
    values: {
      portions: String(usual),
      portionGrams: String(Math.max(1, Math.round(yieldGrams / usual))),
      place: 'fridge',
      note: '',
    },
    resetOptions: { keepDirtyValues: true },
    resolver: resolverOf(batchOf),
  });
  const place = useWatch({ control, name: 'place' });
  const missing = making.timetable.steps.filter((step) => step.mustDo && !run.done.includes(step.id));
  const { days, limitedBy, why } = keepingOf(making.weighed, place);

  const save = handleSubmit((draft) => {
    const batch = batchOf(draft);
    if (!batch.ok) return;
    const planned = making.lines.map(({ grams }) => grams);
    const left = afterMaking(pantry, making.weighed, { planned, weighed: batch.value.weighed });
    const used = left.map((item) => ({ ...item, ...newStamp() }));
    add([batch.value, ...used], t`${{ recipeName: making.recipe.name }} is on the shelf.`);
    dispatch(makingEnded());
    router.navigate('/shelf');
  });

  return (
    <View className="gap-4">
      <Heading level={2}>{t`Put it on the shelf`}</Heading>
      <View className="flex-row flex-wrap gap-4">
        <FormField
          control={control}
          name="portions"
          label={t`Portions`}
          numeric
          className="w-field-s"
          testID="portions"
        />
        <FormField
          control={control}
          name="portionGrams"
          label={t`One portion, g`}
          numeric
          className="w-field-m"
          testID="portion-grams"
        />
      </View>
      <Small>
        {run.waterAddedGrams > 0
          ? t`${{ grams: grams(yieldGrams) }} in all, with ${{ water: grams(run.waterAddedGrams) }} of water added.`
          : t`${{ grams: grams(yieldGrams) }} in all.`}
      </Small>
      <FormChoice
        control={control}
        name="place"
        label={t`Where it is kept`}
        options={places.map((value) => ({ value, label: value }))}
      />
      <Small>
        {days === 0
          ? t`To be used today: limited by ${limitedBy}. ${why}`
          : t`Keeps ${plural(days, { one: '# day', other: '# days' })}: limited by ${limitedBy}. ${why}`}
      </Small>
      <FormField
        control={control}
        name="note"
        label={t`Note, if any`}
        placeholder={t`such as: thicker than last time`}
        testID="batch-note"
      />
      {missing.length > 0 ? (
        <Problem>
          {t`Not yet: ${plural({ count: missing.length }, { one: 'one step', other: '# steps' })} must be done first, beginning with “${{ first: missing[0]?.text ?? '' }}”`}
        </Problem>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={t`Put it on the shelf`}
          disabled={missing.length > 0}
          onPress={save}
          testID="save-batch"
        />
        <Button label={t`Stop this making`} onPress={() => dispatch(makingEnded())} />
      </View>
    </View>
  );
}

const whatToWrite = perLanguage((): Record<string, string> => ({
  portions: t`Write portions in whole or half numbers, up to 60.`,
  portionGrams: t`Write the grams of a portion, more than 0.`,
  note: t`A note may have 500 characters.`,
}));

/** Grams that came out, from what really went in. */
function yieldOf({ lines, weighed }: Making, run: MakingRun): number {
  const yields = new Map<number, number>();
  for (const line of weighed) yields.set(line.line, (yields.get(line.line) ?? 0) + remainingGrams(line));
  const planned = lines.map(({ grams }) => grams);
  return realYieldGrams(yields, { planned, weighed: weighedIn(lines, run) }, run.waterAddedGrams);
}

function weighedIn(lines: Making['lines'], run: MakingRun): Batch['weighed'] {
  return lines.map(({ grams }, index) => (grams === null ? null : (run.weighed[index] ?? grams)));
}
