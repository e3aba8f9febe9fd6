import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import {
  headChosen,
  personKept,
  selectNewPerson,
  selectRecipes,
  useAppDispatch,
  useAppSelector,
  useAppStore,
  type HeadDraft,
} from '@/store';
import { Button, Screen } from '@/ui';
import { NotSavedYet, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { headFromDraft, NEW_HEAD } from './personDraft';
import { ComplaintField, DayFields, LengthField, NameField, SafetyFields } from './personFields';

/** One after the other: what it needs, what keeps it safe, when there is time. */
const steps = perLanguage(
  () =>
    [
      {
        headline: t`Whose hair, and what's wrong?`,
        reason: t`Guesses are fine; checks will correct them.`,
        asks: ['name', 'lengthCm'],
      },
      {
        headline: t`Anything to be careful about?`,
        reason: t`Recipes that don't suit are stopped.`,
        asks: [],
      },
      {
        headline: t`When is there time?`,
        reason: t`Your week is planned around it. All of it can be changed.`,
        asks: ['free', 'from'],
      },
    ] as const satisfies readonly {
      headline: string;
      reason: string;
      asks: readonly (keyof HeadDraft)[];
    }[],
);
const LAST = 2;

const stamped = (draft: HeadDraft) => {
  const stamp = newStamp();
  return headFromDraft(draft, { ...stamp, headId: stamp.id });
};

/** A new person in three short screens. What is told outlives leaving, until it is saved. */
export function NewPersonScreen() {
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const hasRecipes = useAppSelector(selectRecipes).length > 0;
  const [begun] = useState(() => selectNewPerson(store.getState()));
  const [step, setStep] = useState(begun?.step ?? 0);
  const { control, handleSubmit, trigger, formState } = useForm<HeadDraft>({
    // The form writes into what it is given, and the store keeps what it is given frozen.
    defaultValues: structuredClone(begun?.draft ?? NEW_HEAD),
    resolver: resolverOf(stamped),
  });
  const [isSaved, setIsSaved] = useState(false);
  const { headline, reason, asks } = steps()[step] ?? steps()[0];
  const save = handleSubmit((draft) => {
    const head = stamped(draft);
    if (!head.ok) return;
    setIsSaved(true);
    dispatch(personKept(null));
    add([head.value], t`${{ headName: head.value.name }} is saved.`);
    dispatch(headChosen(head.value.headId));
    // A first week wants something to plan with.
    router.replace(hasRecipes ? '/week' : '/people/first');
  });
  const next = async () => {
    if (await trigger([...asks], { shouldFocus: true })) setStep(step + 1);
  };
  const back = () => {
    if (step > 0) setStep(step - 1);
    else router.navigate('/people');
  };
  return (
    <Screen key={step} over={t`Step ${{ number: step + 1 }} of 3`} headline={headline} reason={reason}>
      {step === 0 ? (
        <>
          <View className="flex-row flex-wrap gap-4">
            <NameField control={control} />
            <LengthField control={control} />
          </View>
          <ComplaintField control={control} />
        </>
      ) : null}
      {step === 1 ? <SafetyFields control={control} /> : null}
      {step === LAST ? <DayFields control={control} /> : null}
      <View className="flex-row flex-wrap gap-3 pt-2">
        {step === LAST ? (
          <Button
            tone="main"
            label={t`Save and plan the week`}
            onPress={() => void save()}
            testID="save-head"
          />
        ) : (
          <Button tone="main" label={t`Next`} onPress={() => void next()} testID="next-step" />
        )}
        <Button label={t`Back`} onPress={back} />
      </View>
      <NotSavedYet state={formState} />
      {isSaved ? null : <Kept control={control} step={step} />}
    </Screen>
  );
}

/** What is typed is kept as it is typed. */
function Kept({ control, step }: { control: Control<HeadDraft>; step: number }) {
  const draft = useWatch({ control }) as HeadDraft;
  const dispatch = useAppDispatch();
  useEffect(
    () => void dispatch(personKept({ step, draft: structuredClone(draft) })),
    [dispatch, step, draft],
  );
  return null;
}
