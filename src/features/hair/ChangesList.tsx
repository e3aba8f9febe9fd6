import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { changeWords, sessionChange, type SessionChange } from '@/core/hair/evidence';
import type { HeadHistory } from '@/core/hair/history';
import type { Head, SignalId } from '@/core/records/shapes';
import { Button, Heading, Small, Strong } from '@/ui';

const ROWS_AT_ONCE = 6;

/** With when it was read again; a count has no such moment. */
function changeText(signal: SignalId, { change, afterMoment }: SessionChange): string {
  const words = changeWords(signal, change);
  if (signal === 'breakage') return words;
  return afterMoment === 'dry' ? t`${words}, read dry` : t`${words}, read wet, the same day`;
}

interface ChangesListProps {
  readonly head: Head;
  readonly history: HeadHistory;
  readonly signal: SignalId;
}

/** Before and after of each treatment: two readings, their errors and what the days between add. */
export function ChangesList({ head, history, signal }: ChangesListProps) {
  const [shown, setShown] = useState(ROWS_AT_ONCE);
  const sessions = [...history.sessions].sort((a, b) => (a.day < b.day ? 1 : -1));
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>{t`Before and after`}</Heading>
      {sessions.length === 0 ? (
        <Small>{t`No treatment is on record yet.`}</Small>
      ) : (
        <Small>{t`Hair that is off also comes back on its own: some of each change is that.`}</Small>
      )}
      <View role="list" className="gap-2">
        {sessions.slice(0, shown).map((session) => {
          const change = sessionChange(session.day, signal, history.readings, head);
          return (
            <View key={session.id} role="listitem">
              <Strong>
                {formatDay(session.day, 'd MMM')}, {history.larder.recipeName(session.recipeId)}
              </Strong>
              <Small>
                {change
                  ? changeText(signal, change)
                  : signal === 'breakage'
                    ? t`no count before and after`
                    : t`no check before and after`}
              </Small>
            </View>
          );
        })}
      </View>
      {sessions.length > shown ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Show earlier ones`} onPress={() => setShown(shown + ROWS_AT_ONCE)} />
        </View>
      ) : null}
    </View>
  );
}
