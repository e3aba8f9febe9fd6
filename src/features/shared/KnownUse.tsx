import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { addDays, calendarDaySchema, type CalendarDay } from '@/core/base/measures';
import type { Head, RecipeVersion, StoredRecord } from '@/core/records/shapes';
import { Button, DateField, LabelledChoice, Problem, Small } from '@/ui';
import { sessionOf } from './sessionOf';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useToday } from './useToday';

/** Days back that an answer from memory stands for (working assumption: the middle of what it means). */
const DAYS_BACK = { 'this-week': 3, 'last-week': 10, 'a-month': 30, longer: 120 } as const;
type About = keyof typeof DAYS_BACK;

const lastTimes = perLanguage((): readonly { readonly value: About | 'day'; readonly label: string }[] => [
  { value: 'this-week', label: t`this week` },
  { value: 'last-week', label: t`last week` },
  { value: 'a-month', label: t`about a month ago` },
  { value: 'longer', label: t`longer ago` },
  { value: 'day', label: t`on a day I know` },
]);

/** Days between two uses. */
const EVERY = { seldom: null, weekly: 7, 'two-weeks': 14, monthly: 30 } as const;
type Every = keyof typeof EVERY;

const howOften = perLanguage((): readonly { readonly value: Every; readonly label: string }[] => [
  { value: 'seldom', label: t`once or now and then` },
  { value: 'weekly', label: t`every week` },
  { value: 'two-weeks', label: t`every two weeks` },
  { value: 'monthly', label: t`every month` },
]);

/** Uses that are written down for one that is used regularly: more say nothing about hair of today. */
const MOST_USES = 4;

interface KnownUseProps {
  readonly recipe: RecipeVersion;
  readonly head: Head;
  readonly onClose: () => void;
}

/** A recipe that was used before this application knew it: when about, how often, and how the skin took it. */
export function KnownUse({ recipe, head, onClose }: KnownUseProps) {
  const add = useAddRecords();
  const today = useToday();
  const [last, setLast] = useState<About | 'day'>('last-week');
  const [day, setDay] = useState('');
  const [every, setEvery] = useState<Every>('seldom');
  const [reacted, setReacted] = useState<'no' | 'yes'>('no');
  const [problem, setProblem] = useState<string | null>(null);
  const save = () => {
    const known = calendarDaySchema.safeParse(day);
    if (last === 'day' && (!known.success || known.data > today)) {
      setProblem(t`Choose the day, today or before.`);
      return;
    }
    const lastOn = last === 'day' && known.success ? known.data : addDays(today, -DAYS_BACK[last as About]);
    const uses = usesBefore(recipe, head, { lastOn, isExact: last === 'day', everyDays: EVERY[every] });
    const reaction: StoredRecord[] =
      reacted === 'yes'
        ? [
            {
              ...newStamp(),
              kind: 'patch-test',
              headId: head.headId,
              recipeId: recipe.recipeId,
              startedOn: lastOn,
              outcome: 'reacted',
              note: '',
            },
          ]
        : [];
    add(
      [...uses, ...reaction],
      reacted === 'yes'
        ? t`${{ recipeName: recipe.name }} is not for ${{ headName: head.name }}.`
        : t`${{ recipeName: recipe.name }} needs no test. Test again after bleach, on sore skin, or with a new brand in it.`,
    );
    onClose();
  };
  return (
    <View className="gap-3" testID="known-use">
      <LabelledChoice
        label={t`Last time`}
        value={last}
        onChange={setLast}
        options={lastTimes()}
        testID="known-last"
      >
        {last === 'day' ? (
          <DateField label={t`Last time on`} value={day} onChange={setDay} testID="known-day" />
        ) : null}
        {problem ? <Problem live>{problem}</Problem> : null}
      </LabelledChoice>
      <LabelledChoice
        label={t`How often`}
        value={every}
        onChange={setEvery}
        options={howOften()}
        testID="known-often"
      />
      <LabelledChoice
        label={t`How the skin took it`}
        value={reacted}
        onChange={setReacted}
        options={[
          { value: 'no', label: t`no reaction` },
          { value: 'yes', label: t`a reaction` },
        ]}
        testID="known-reaction"
      />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save that I've used it`} onPress={save} testID="save-known" />
        <Button label={t`Close`} onPress={onClose} />
      </View>
      {last === 'day' ? null : <Small>{t`The day counts as about right.`}</Small>}
    </View>
  );
}

interface Remembered {
  readonly lastOn: CalendarDay;
  readonly isExact: boolean;
  readonly everyDays: number | null;
}

/** The last use and, of a regular one, those before it; only the last may be exact. */
function usesBefore(
  recipe: RecipeVersion,
  head: Head,
  { lastOn, isExact, everyDays }: Remembered,
): StoredRecord[] {
  const count = everyDays === null ? 1 : MOST_USES;
  return Array.from({ length: count }, (_, index): StoredRecord => {
    const session = sessionOf(recipe, head.headId, addDays(lastOn, -index * (everyDays ?? 0)));
    return index === 0 && isExact ? session : { ...session, about: true };
  });
}
