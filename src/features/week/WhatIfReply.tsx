import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { Body, Button, Small, Strong } from '@/ui';
import { Relaxations } from './Relaxations';
import { useWeek } from './WeekContext';

/** What the plan would be, against what it is; or what stands in the way. */
export function WhatIfReply() {
  const { whatIf, decisions, plan } = useWeek();
  const { asked, answer, failure, close } = whatIf;
  if (!asked) return null;
  if (failure) return <Body>{failure}</Body>;
  if (!answer)
    return (
      <View role="status">
        <Small>{t`Working it out: the plan is solved again.`}</Small>
      </View>
    );
  const doIt = () => {
    const assignment = plan.days
      .flatMap(({ assignments }) => assignments)
      .find((each) => each.day === asked.day && each.recipeId === asked.recipeId && each.slot === asked.slot);
    if (asked.what === 'without' && assignment) decisions.skip(assignment);
    if (asked.what === 'why-not') decisions.add(asked.day, asked.recipeId, answer.name);
    close();
  };
  const { nearest } = answer;
  const putNearest = () => {
    if (nearest) decisions.add(nearest.day, asked.recipeId, answer.name);
    close();
  };
  return (
    <View role="status" testID="what-if-reply" className="gap-2 rounded-2xl bg-sunken p-4">
      <Strong>{answer.headline}</Strong>
      {answer.reasons.map((reason) => (
        <Body key={reason}>{reason}.</Body>
      ))}
      {answer.changes.length > 0 ? <Small>{t`Then also:`}</Small> : null}
      {answer.changes.map(({ text }) => (
        <Body key={text}>{text}.</Body>
      ))}
      <Relaxations relaxations={answer.relaxations} />
      {nearest ? (
        <View className="items-start">
          <Button label={t`${{ nearest: nearest.text }}: put it there`} onPress={putNearest} />
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-2">
        {answer.possible ? (
          <Button label={asked.what === 'without' ? t`Skip it` : t`Put it there`} onPress={doIt} />
        ) : null}
        <Button tone="quiet" label={t`Close`} onPress={close} />
      </View>
    </View>
  );
}
