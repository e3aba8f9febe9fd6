import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { stepsDone, wornIn, type Worn } from '@/core/hair/history';
import { expectedMaskGrams } from '@/core/hair/state';
import type { Larder } from '@/core/recipe/larder';
import { ofKind, type StoredRecord, Place, Head, Rating } from '@/core/records/shapes';
import { selectLiveRecords, useAppDispatch, useAppSelector, washClosed } from '@/store';
import {
  Body,
  Button,
  Choice,
  Field,
  FieldGroup,
  Heading,
  LabelledChoice,
  Screen,
  Small,
  Strong,
} from '@/ui';
import { numberFrom } from '../shared/amounts';
import { daysSinceDetangle } from '../shared/daysSinceDetangle';
import { NoticeOffer } from '../shared/NoticeOffer';
import { newStamp } from '../shared/stamp';
import { stepOutcomeWords } from '../shared/stepWords';
import { useAddRecords } from '../shared/useAddRecords';
import { usedGramsByHead } from '../shared/usedGrams';
import { useHistory } from '../shared/useHistory';
import { useKit } from '../shared/useKit';
import type { LiveRun } from './useRun';
import { LEFT_OVER, NO_ANSWER, recordsOf, type DayAnswers, type UseAnswer } from './washRecords';

const ratingOptions = perLanguage((): readonly { value: Rating; label: string }[] => [
  { value: 'again', label: t`again` },
  { value: 'unsure', label: t`not sure` },
  { value: 'not-again', label: t`not again` },
]);
const leftLabels = perLanguage(
  () => ({ 0: t`nothing`, 0.5: t`about half a portion`, 1: t`a portion or more` }) as const,
);
const slipOptions = perLanguage(() =>
  [
    t({ message: 'none', context: 'slip' }),
    t({ message: 'little', context: 'slip' }),
    t({ message: 'some', context: 'slip' }),
    t({ message: 'much', context: 'slip' }),
    t({ message: 'a great deal', context: 'slip' }),
  ].map((label, index) => ({
    value: String(index),
    label,
  })),
);
const thrown = () => t`thrown out`;

/** The minute after: what it was like, what is left, and the day goes into the log. */
export function WashAfter({ head, live }: { head: Head; live: LiveRun }) {
  const { run, state } = live;
  const history = useHistory(head.headId);
  const live_ = useAppSelector(selectLiveRecords);
  const dispatch = useAppDispatch();
  const add = useAddRecords();
  const { places } = useKit();
  const worn = wornIn(state);
  const [answers, setAnswers] = useState<DayAnswers>({ slip: null, residue: null, uses: {}, note: '' });
  const set = (part: Partial<DayAnswers>) => setAnswers((before) => ({ ...before, ...part }));
  const setUse = (slot: Worn['slot'], part: Partial<UseAnswer>) =>
    set({ uses: { ...answers.uses, [slot]: { ...(answers.uses[slot] ?? NO_ANSWER), ...part } } });
  const nameOf = (recipeId: string) => history.larder.lastVersion(recipeId)?.name ?? t`It`;
  const save = () => {
    const records = recordsOf({
      run,
      state,
      answers,
      larder: history.larder,
      batches: ofKind(live_, 'batch'),
      daysSinceDetangle: daysSinceDetangle(history, run.day) ?? 1,
      usualGrams: (recipeId) => usualGrams(head, recipeId, live_, history.larder),
      stamp: newStamp,
    });
    add(records, t`The wash day of ${{ headName: head.name }} is logged.`);
    dispatch(washClosed(head.headId));
    router.navigate('/');
  };
  return (
    <Screen
      over={t`Wash day of ${{ headName: head.name }}`}
      headline={state.endedEarly ? t`Ended early: what was done is kept` : t`Done. What was it like?`}
      reason={t`Tap what you know; nothing has to be answered.`}
      side={<PlannedAndDone live={live} />}
    >
      {worn.length === 0 ? <Body>{t`No treatment went on.`}</Body> : null}
      {worn.map(({ slot, recipeId, minutes }) => {
        const answer = answers.uses[slot] ?? NO_ANSWER;
        const treatment = state.treatments.find((each) => each.slot === slot);
        return (
          <View key={slot} className="gap-3 border-t border-line pt-3">
            <Strong className="text-lead">{t`${{ name: nameOf(recipeId) }}, on for ${minutes} min`}</Strong>
            <Choice
              label={t`${{ name: nameOf(recipeId) }}: again?`}
              options={ratingOptions()}
              value={answer.rating}
              onChange={(rating) => setUse(slot, { rating })}
            />
            <FieldGroup label={t`Left over`}>
              <Choice
                label={t`${{ name: nameOf(recipeId) }}: left over`}
                options={LEFT_OVER.map((left) => ({ value: String(left), label: leftLabels()[left] }))}
                value={String(answer.left)}
                onChange={(left) => setUse(slot, { left: Number(left) as UseAnswer['left'] })}
              />
            </FieldGroup>
            {answer.left > 0 && treatment?.batchId === null ? (
              <LabelledChoice
                label={t`Where it goes`}
                options={[
                  ...places.map((value) => ({ value, label: value })),
                  { value: thrown(), label: thrown() },
                ]}
                value={answer.place ?? thrown()}
                onChange={(place) => setUse(slot, { place: place === thrown() ? null : (place as Place) })}
              />
            ) : null}
            <Field
              label={t`Grams that went on, if you weighed`}
              value={answer.grams === null ? '' : String(answer.grams)}
              onChange={(text) => {
                const grams = numberFrom(text);
                setUse(slot, { grams: Number.isFinite(grams) && grams > 0 && grams <= 5000 ? grams : null });
              }}
              numeric
              className="w-field-xl"
              testID={`grams-${slot}`}
            />
          </View>
        );
      })}
      <NoticeOffer label={t`Remind me to check it when it's dry`} />
      <FieldGroup label={t`Slip: how easily fingers ran through`}>
        <Choice
          label={t`Slip`}
          options={slipOptions()}
          value={textOf(answers.slip)}
          onChange={(slip) => set({ slip: Number(slip) })}
        />
      </FieldGroup>
      <FieldGroup label={t`Left on the hair: film, grit, grease`}>
        <Choice
          label={t`Residue`}
          options={slipOptions()}
          value={textOf(answers.residue)}
          onChange={(residue) => set({ residue: Number(residue) })}
        />
      </FieldGroup>
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button tone="main" label={t`Write it down`} onPress={save} testID="save-wash" />
      </View>
      {worn.length > 0 ? (
        <Small>{t`Tomorrow, when it is dry, a minute’s check tells what it did; Today will remind you.`}</Small>
      ) : null}
    </Screen>
  );
}

/** What a use takes on this head, drawn toward what its uses have really taken. */
function usualGrams(head: Head, recipeId: string, records: readonly StoredRecord[], larder: Larder): number {
  const isOil = larder.lastVersion(recipeId)?.use === 'pre-poo';
  const used = usedGramsByHead(records, larder, isOil).get(head.headId) ?? [];
  return expectedMaskGrams(head, isOil ? 'oil' : 'mask', used).grams;
}

const textOf = (value: number | null) => (value === null ? null : String(value));

/** Each step as it was planned and as it was. */
function PlannedAndDone({ live: { state } }: { live: LiveRun }) {
  return (
    <View className="gap-2" testID="planned-and-done">
      <Heading level={2}>{t`Planned and done`}</Heading>
      {stepsDone(state).map((step) => (
        <View key={step.id} className="flex-row justify-between gap-3">
          <Body className="flex-1">{step.title}</Body>
          <Strong>{stepOutcomeWords(step)}</Strong>
        </View>
      ))}
      {state.changes.map((said) => (
        <Small key={said}>{said}</Small>
      ))}
    </View>
  );
}
