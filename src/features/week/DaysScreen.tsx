import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { Occasion, Head } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import { Body, Button, Screen, Small, Strong } from '@/ui';
import { useHistory } from '../shared/useHistory';
import { useTakeBack } from '../shared/useTakeBack';
import { WithPlan } from '../shared/WithHead';
import { CalendarExport } from './CalendarExport';
import { OccasionForm } from './OccasionForm';
import { occasionWords } from './occasionWords';
import { Rhythms } from './Rhythms';
import { WeekTabs } from './WeekTabs';

/** What the plan has to know about her days: styles, days to look good, days without a wash, other hours; and her rhythms. */
export function DaysScreen({ recipeId }: { recipeId?: string | undefined }) {
  return (
    <WithPlan>
      {(head, answer) => <Days key={head.headId} head={head} answer={answer} recipeId={recipeId} />}
    </WithPlan>
  );
}

interface DaysProps {
  readonly head: Head;
  readonly answer: HeadAnswer;
  /** A recipe that she wants a rhythm for. */
  readonly recipeId: string | undefined;
}

function Days({ head, answer, recipeId }: DaysProps) {
  const history = useHistory(head.headId);
  const today = answer.plan.from;
  const coming = history.occasions.filter(({ to }) => to >= today).sort((a, b) => (a.from < b.from ? -1 : 1));
  const [next] = coming;
  return (
    <Screen
      before={<WeekTabs here="/week/days" />}
      ofPerson
      headline={next ? occasionWords(next).title : t`Nothing special ahead`}
      reason={t`Say what is coming, and the plan goes around it.`}
      side={<Rhythms head={head} states={answer.plan.rhythms} today={today} recipeId={recipeId} />}
    >
      {coming.map((occasion) => (
        <OccasionRow key={occasion.id} occasion={occasion} />
      ))}
      <OccasionForm head={head} today={today} />
      <CalendarExport head={head} plan={answer.plan} />
    </Screen>
  );
}

function OccasionRow({ occasion }: { occasion: Occasion }) {
  const takeBack = useTakeBack();
  const { title, text } = occasionWords(occasion);
  return (
    <View className="gap-0.5 border-b border-line pb-2">
      <Strong>{title}</Strong>
      <Small>{text}</Small>
      {occasion.note ? <Body>{occasion.note}</Body> : null}
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Remove`}
          hint={t`Remove: ${title}`}
          onPress={() => takeBack(occasion.id, t`${title} is removed.`)}
        />
      </View>
    </View>
  );
}
