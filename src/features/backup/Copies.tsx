import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { formatInstant } from '@/core/base/measures';
import type { Copy } from '@/core/records/files';
import { copiesListed, copyLookedAt, everythingReplaced, useAppDispatch, type LookedAt } from '@/store';
import { Body, Button, Heading, Problem, Small } from '@/ui';
import { recordsText } from '../shared/recordsText';
import { newStamp, withdrawing } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { kindCounts, sizeText } from './kindWords';

interface Looked extends LookedAt {
  readonly copy: Copy;
}

/** Copies that keep themselves, and the way back to one. @param changes looked for anew when this changes */
export function Copies({ changes }: { changes: unknown }) {
  const dispatch = useAppDispatch();
  const add = useAddRecords();
  const [copies, setCopies] = useState<readonly Copy[]>([]);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    let stands = true;
    void dispatch(copiesListed()).then((found) => {
      if (stands) setCopies(found);
    });
    return () => {
      stands = false;
    };
  }, [dispatch, changes]);
  const look = async (copy: Copy) => {
    const result = await dispatch(copyLookedAt(copy));
    setSaid(result.ok ? null : result.problems[0].message);
    setLooked(result.ok ? { copy, ...result.value } : null);
  };
  const bring = ({ missing, takenBack }: Looked) => {
    const said = t`Back again: ${{ records: recordsText(missing.length + takenBack.length) }}.`;
    if (missing.length > 0) add(missing, said, 'elsewhere');
    if (takenBack.length > 0) add(withdrawing(takenBack), said);
    setLooked(null);
  };
  const goBack = async ({ records, copy }: Looked) => {
    const { id, recordedAt: now } = newStamp();
    const result = await dispatch(everythingReplaced(records, { id, now }));
    setSaid(
      result.ok
        ? t`Everything is as it was on ${{ when: whenText(copy) }}. What was here before is kept as a copy, too.`
        : result.problems[0].message,
    );
    setLooked(null);
  };
  return (
    <View className="gap-3">
      <Heading level={2}>{t`Copies`}</Heading>
      <Small>{t`One a day is kept beside the records, without pictures, over some weeks; one more is taken before everything is replaced. What cannot be read any more is restored from them automatically.`}</Small>
      {copies.length === 0 ? (
        <Body>{t`None yet: the first is taken when there is something to copy.`}</Body>
      ) : null}
      {copies.map((copy) => (
        <View key={copy.id} className="flex-row flex-wrap items-center gap-3 border-b border-line pb-2">
          <View className="min-w-column-l flex-1">
            <Body>{whenText(copy)}</Body>
            <Small>
              {copy.why === 'before'
                ? t`${{ records: recordsText(copy.records) }}, ${{ size: sizeText(copy.characters) }}, before everything was replaced`
                : t`${{ records: recordsText(copy.records) }}, ${{ size: sizeText(copy.characters) }}`}
            </Small>
          </View>
          <Button
            label={t`Look`}
            hint={t`Look into the copy of ${{ when: whenText(copy) }}`}
            onPress={() => void look(copy)}
          />
        </View>
      ))}
      {looked ? (
        <View role="status" className="gap-2 rounded-2xl bg-sunken p-4">
          <Body>
            {looked.missing.length === 0
              ? t`Everything in it is here, too.`
              : t`Not here any more: ${{ kindCounts: kindCounts(looked.missing).join(', ') }}.`}
          </Body>
          {looked.takenBack.length > 0 ? (
            <Body>{t`Removed since: ${{ records: recordsText(looked.takenBack.length) }}.`}</Body>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            {looked.missing.length + looked.takenBack.length > 0 ? (
              <Button label={t`Bring these back`} onPress={() => bring(looked)} testID="copy-bring" />
            ) : null}
            <Button
              label={t`Make everything as it was then`}
              onPress={() => void goBack(looked)}
              testID="copy-back"
            />
            <Button tone="quiet" label={t`Close`} onPress={() => setLooked(null)} />
          </View>
        </View>
      ) : null}
      {said ? <Problem live>{said}</Problem> : null}
    </View>
  );
}

const whenText = ({ takenAt }: Copy) => formatInstant(takenAt, 'EEEE d MMM, H:mm');
