import { router } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { batchSchema, keepingOf, PLACES, type Batch } from '@/core/batches';
import type { StoredRecord } from '@/core/exchange';
import { failed, failedBySchema, ok, rounded, type Result } from '@/core/measures';
import type { PantryItem } from '@/core/making';
import { makingEnded, selectPantry, useAppDispatch, useAppSelector, type MakingRun } from '@/store';
import { Button, Heading, Problem, Small } from '@/ui';
import { numberFrom } from '../shared/amounts';
import { FormChoice, FormField, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useToday } from '../shared/useToday';
import type { Making } from './makingOf';

interface BatchDraft {
  readonly portions: string;
  readonly portionGrams: string;
  readonly water: string;
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
  const pantry = useAppSelector(selectPantry);
  const yieldGrams = realYield(making, run);
  const usual = Math.max(1, Math.round(yieldGrams / USUAL_PORTION_GRAMS));
  const batchOf = (draft: BatchDraft): Result<Batch> => {
    const stamp = newStamp();
    const water = draft.water.trim() === '' ? 0 : numberFrom(draft.water);
    if (Number.isNaN(water)) return failed('water', 'Write grams of water, or leave it empty.', 'water');
    const parsed = batchSchema.safeParse({
      ...stamp,
      kind: 'batch',
      batchId: stamp.id,
      recipeId: run.recipeId,
      recipeVersion: run.version,
      madeOn: today,
      weighed: making.lines.map(({ grams }, index) =>
        grams === null ? null : (run.weighed[index] ?? grams),
      ),
      waterAddedGrams: water,
      portions: numberFrom(draft.portions),
      portionGrams: numberFrom(draft.portionGrams),
      place: draft.place,
      note: draft.note,
    });
    if (parsed.success) return ok(parsed.data);
    return failedBySchema(parsed.error.issues, ({ path }) => ({
      path: path[0] === 'waterAddedGrams' ? 'water' : String(path[0] ?? 'portions'),
      message: WHAT_TO_WRITE[String(path[0])] ?? 'Check this.',
    }));
  };
  const { control, handleSubmit } = useForm<BatchDraft>({
    defaultValues: {
      portions: String(usual),
      portionGrams: String(Math.max(1, Math.round(yieldGrams / usual))),
      water: '',
      place: 'fridge',
      note: '',
    },
    resolver: resolverOf(batchOf),
  });
  const place = useWatch({ control, name: 'place' });
  const missing = making.timetable.steps.filter((step) => step.mustDo && !run.done.includes(step.id));
  const { days, limitedBy, why } = keepingOf(making.weighed, place);

  const save = handleSubmit((draft) => {
    const batch = batchOf(draft);
    if (!batch.ok) return;
    const used = takenFrom(pantry, making, batch.value);
    add([batch.value, ...used], `${making.recipe.name} is on the shelf.`);
    dispatch(makingEnded());
    router.navigate('/shelf');
  });

  return (
    <View className="gap-4">
      <Heading level={2}>Put it on the shelf</Heading>
      <View className="flex-row flex-wrap gap-4">
        <FormField
          control={control}
          name="portions"
          label="Portions"
          numeric
          className="w-[110px]"
          testID="portions"
        />
        <FormField
          control={control}
          name="portionGrams"
          label="One portion, g"
          numeric
          className="w-[130px]"
          testID="portion-grams"
        />
        <FormField
          control={control}
          name="water"
          label="Water added, g"
          help="Beyond the recipe, to get it thin enough."
          numeric
          className="w-[200px]"
          testID="water-added"
        />
      </View>
      <FormChoice
        control={control}
        name="place"
        label="Where it is kept"
        options={PLACES.map((value) => ({ value, label: value }))}
      />
      <Small>
        {days === 0 ? 'To be used today' : `Keeps ${days} ${days === 1 ? 'day' : 'days'}`}: limited by{' '}
        {limitedBy}. {why}
      </Small>
      {missing.length > 0 ? (
        <Problem>
          Not yet: {missing.length === 1 ? 'one step' : `${missing.length} steps`} must be done first,
          beginning with “{missing[0]?.text}”
        </Problem>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label="Put it on the shelf"
          disabled={missing.length > 0}
          onPress={save}
          testID="save-batch"
        />
        <Button label="Stop this making" onPress={() => dispatch(makingEnded())} />
      </View>
    </View>
  );
}

const WHAT_TO_WRITE: Record<string, string> = {
  portions: 'Write portions in whole or half numbers, up to 60.',
  portionGrams: 'Write the grams of a portion, more than 0.',
  waterAddedGrams: 'Write grams of water, 0 or more.',
  note: 'A note may have 500 characters.',
};

/** What was really weighed changes what comes out in the same proportion. */
function realYield({ lines, finishedGrams }: Making, run: MakingRun): number {
  const planned = lines.reduce((total, { grams }) => total + (grams ?? 0), 0);
  const real = lines.reduce(
    (total, { grams }, index) => total + (grams === null ? 0 : (run.weighed[index] ?? grams)),
    0,
  );
  return planned === 0 ? finishedGrams : finishedGrams * (real / planned) + run.waterAddedGrams;
}

/** New records of what the making took out of the pantry, where the pantry knows how much there was. */
function takenFrom(pantry: ReadonlyMap<string, PantryItem>, making: Making, batch: Batch): StoredRecord[] {
  const taken = new Map<string, number>();
  for (const { ingredient, grams, line, via } of making.weighed) {
    const planned = making.lines[line]?.grams ?? grams;
    const real =
      via.length > 0 || planned === 0 ? grams : (grams * (batch.weighed[line] ?? planned)) / planned;
    taken.set(ingredient.id, (taken.get(ingredient.id) ?? 0) + real);
  }
  return [...taken].flatMap(([ingredientId, grams]) => {
    const item = pantry.get(ingredientId);
    if (!item || item.gramsLeft === null || item.gramsLeft === 0) return [];
    const left = Math.max(0, rounded(item.gramsLeft - grams, 1));
    return [{ ...item, ...newStamp(), gramsLeft: left }];
  });
}
