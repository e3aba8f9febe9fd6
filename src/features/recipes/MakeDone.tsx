import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { useController, useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import {
  addDays,
  calendarDaySchema,
  failed,
  failedBySchema,
  ok,
  UNITS,
  unitWord,
  type CalendarDay,
  type Result,
} from '@/core/base/measures';
import { batchEvent, keepingOf } from '@/core/kitchen/batches';
import { afterMaking, fractionText, realYieldGrams } from '@/core/kitchen/making';
import { leftOversOf } from '@/core/kitchen/methods';
import { remainingGrams } from '@/core/recipe/larder';
import { batchSchema, type Batch, type StoredRecord } from '@/core/records/shapes';
import { makingEnded, selectPantry, useAppDispatch, useAppSelector, type MakingRun } from '@/store';
import { Button, Choice, Heading, Small } from '@/ui';
import { grams, numberFrom } from '../shared/amounts';
import { FormChoice, FormDate, FormField, resolverOf } from '../shared/form';
import { placeWords } from '../shared/placeWords';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useKit } from '../shared/useKit';
import { useLarder } from '../shared/useLarder';
import { useToday } from '../shared/useToday';
import { useShelfParts, type ShelfPart } from './FromShelf';
import { LeftOverChoice } from './LeftOverChoice';
import type { Making } from './makingOf';
import { WaterIn } from './WaterIn';

interface BatchDraft {
  readonly portions: string;
  readonly portionGrams: string;
  readonly madeOn: string;
  readonly place: Batch['place'];
  readonly note: string;
}

/** A portion is about what a head takes (working assumption). */
const USUAL_PORTION_GRAMS = 150;

interface MakeDoneProps {
  readonly making: Making;
  readonly run: MakingRun;
  /** Water that went in beside the recipe the last time, for as much as is made now, g; null before the first. */
  readonly lastWater: number | null;
}

/** What came out of a making: portions, the day, the water that went in beside the recipe, where it is kept. */
export function MakeDone({ making, run, lastWater }: MakeDoneProps) {
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const today = useToday();
  const { places } = useKit();
  const larder = useLarder();
  const pantry = useAppSelector(selectPantry);
  const shelfParts = useShelfParts(making.lines);
  const yieldGrams = yieldOf(making, run);
  const usual = Math.max(1, Math.round(yieldGrams / USUAL_PORTION_GRAMS));
  const batchOf = (draft: BatchDraft): Result<Batch> => {
    if (!calendarDaySchema.safeParse(draft.madeOn).success || draft.madeOn > today)
      return failed('made-on', t`Choose the day on which it was made, today or before.`, 'madeOn');
    const stamp = newStamp();
    const parsed = batchSchema.safeParse({
      ...stamp,
      kind: 'batch',
      batchId: stamp.id,
      recipeId: run.recipeId,
      recipeVersion: run.version,
      recipeRecordId: run.recordId,
      madeOn: draft.madeOn,
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
    defaultValues: { portions: '1', portionGrams: '', madeOn: today, place: 'fridge', note: '' },
    values: {
      portions: String(usual),
      portionGrams: String(Math.max(1, Math.round(yieldGrams / usual))),
      madeOn: today,
      place: 'fridge',
      note: '',
    },
    resetOptions: { keepDirtyValues: true },
    resolver: resolverOf(batchOf),
  });
  const [place, madeOn] = useWatch({ control, name: ['place', 'madeOn'] });
  const [kept, setKept] = useState<readonly string[]>([]);
  const rests = leftOversOf(making.steps, making.lines, larder, madeOnOr(madeOn, today));
  const { days, limitedBy, why, signs, separates } = keepingOf(making.weighed, place);

  const save = handleSubmit((draft) => {
    const batch = batchOf(draft);
    if (!batch.ok) return;
    const planned = making.lines.map(({ grams }) => grams);
    // What came ready from the shelf took nothing from the pantry.
    const raw = making.weighed.filter(({ via }) => via.length === 0);
    const left = afterMaking(pantry, raw, { planned, weighed: batch.value.weighed });
    const used = left.map((item) => ({ ...item, ...newStamp() }));
    const taken = takenFrom(shelfParts, batch.value.madeOn);
    const leftovers = rests
      .filter(({ name }) => kept.includes(name))
      .map((rest): StoredRecord => ({
        ...newStamp(),
        kind: 'leftover',
        day: batch.value.madeOn,
        ...rest,
      }));
    add(
      [batch.value, ...used, ...taken, ...leftovers],
      t`${{ recipeName: making.recipe.name }} is on the shelf.`,
    );
    dispatch(makingEnded());
    router.navigate('/shelf');
  });

  return (
    <View className="gap-4">
      <Heading level={2}>{t`Put it on the shelf`}</Heading>
      <MadeOn control={control} today={today} />
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
          ? t`About ${{ grams: grams(yieldGrams) }} in all (${{ cups: cupsText(making, yieldGrams) }}), with ${{ water: grams(run.waterAddedGrams) }} of water added.`
          : t`About ${{ grams: grams(yieldGrams) }} in all (${{ cups: cupsText(making, yieldGrams) }}).`}
      </Small>
      <WaterIn added={run.waterAddedGrams} last={lastWater} />
      <FormChoice
        control={control}
        name="place"
        label={t`Where it is kept`}
        options={places.map((value) => ({ value, label: placeWords()[value] }))}
      />
      <Small>
        {days === 0
          ? t`To be used today: limited by ${limitedBy}. ${why}`
          : t`Keeps ${plural(days, { one: '# day', other: '# days' })}: limited by ${limitedBy}. ${why}`}
      </Small>
      <Small>{separates ? t`Shake it before each use. ${signs}` : signs}</Small>
      <LeftOverChoice
        rests={rests}
        kept={kept}
        onKeep={(name, keeps) => setKept(keeps ? [...kept, name] : kept.filter((other) => other !== name))}
        recipeId={run.recipeId}
      />
      <FormField
        control={control}
        name="note"
        label={t`Note, if any`}
        placeholder={t`such as: thicker than last time`}
        testID="batch-note"
      />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Put it on the shelf`} onPress={save} testID="save-batch" />
        <Button label={t`Stop this batch`} onPress={() => dispatch(makingEnded())} />
      </View>
    </View>
  );
}

/** A day that is half typed is none. */
function madeOnOr(text: string, today: CalendarDay): CalendarDay {
  const parsed = calendarDaySchema.safeParse(text);
  return parsed.success ? parsed.data : today;
}

/** Half cups are as near as a jar is read. */
const CUP_STEP = 0.5;

function cupsText({ density }: Making, yieldGrams: number): string {
  const cups = Math.max(CUP_STEP, Math.round(yieldGrams / density / UNITS.cup.size / CUP_STEP) * CUP_STEP);
  return `${fractionText(cups)} ${unitWord('cup', cups)}`;
}

/** Portions are counted in halves. */
const HALF = 0.5;

/** What of the shelf went into the batch, to the nearest half portion. */
function takenFrom(parts: readonly ShelfPart[], day: CalendarDay): StoredRecord[] {
  return parts.flatMap(({ item, grams: wanted }): StoredRecord[] => {
    if (!item) return [];
    const portions = Math.min(
      item.left,
      Math.max(HALF, Math.round(wanted / item.batch.portionGrams / HALF) * HALF),
    );
    return [
      batchEvent(newStamp(), {
        batchId: item.batch.batchId,
        day: day < item.batch.madeOn ? item.batch.madeOn : day,
        what: 'used',
        portions,
      }),
    ];
  });
}

/** The day it was made: today or yesterday in one tap, any other from a calendar. */
function MadeOn({ control, today }: { control: Control<BatchDraft>; today: CalendarDay }) {
  const { field } = useController({ control, name: 'madeOn' });
  const yesterday = addDays(today, -1);
  const isOther = field.value !== today && field.value !== yesterday;
  const [asks, setAsks] = useState(isOther);
  return (
    <View className="gap-2">
      <Choice
        label={t`Made on`}
        value={asks ? 'other' : field.value}
        onChange={(day) => {
          setAsks(day === 'other');
          if (day !== 'other') field.onChange(day);
        }}
        options={[
          { value: today as string, label: t`Made today` },
          { value: yesterday as string, label: t`Made yesterday` },
          { value: 'other', label: t`Another day` },
        ]}
        testID="made-on"
      />
      {asks ? <FormDate control={control} name="madeOn" label={t`Made on`} testID="made-on-day" /> : null}
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
