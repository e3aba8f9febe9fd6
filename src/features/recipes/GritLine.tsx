import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { daysBetween } from '@/core/base/measures';
import { gritOf } from '@/core/kitchen/methods';
import { ofKind, type StoredRecord } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Small } from '@/ui';
import { useLarder } from '../shared/useLarder';
import type { Making } from './makingOf';
import { gritWords } from './methodWords';

/** A check so many days after a wash still says what that wash left. */
const SAYS_DAYS = 3;

/** Marks for what was left on the hair, 0 to 4, at the checks after washes with a recipe. */
function residueAfter(records: readonly StoredRecord[], recipeId: string): number[] {
  const sessions = ofKind(records, 'session').filter((session) => session.recipeId === recipeId);
  if (sessions.length === 0) return [];
  return ofKind(records, 'reading').flatMap(({ headId, day, marks: { residue } }) => {
    const isAfter = sessions.some((session) => {
      const days = daysBetween(session.day, day);
      return session.headId === headId && days >= 0 && days <= SAYS_DAYS;
    });
    return residue !== null && isAfter ? [residue] : [];
  });
}

/** How likely bits stay in the hair, and which cloth holds them back. */
export function GritLine({ making: { recipe, steps } }: { making: Pick<Making, 'recipe' | 'steps'> }) {
  const larder = useLarder();
  const records = useAppSelector(selectLiveRecords);
  const [asks, setAsks] = useState(false);
  const grit = useMemo(
    () => gritOf(steps, recipe.lines, larder, residueAfter(records, recipe.recipeId)),
    [steps, recipe, larder, records],
  );
  if (!grit) return null;
  return (
    <View className="gap-1" testID="grit">
      <Small className="text-ink">
        {gritWords()[grit.chance]} {grit.why}
      </Small>
      {grit.cloth === null ? null : (
        <View className="items-start">
          <Button
            tone="quiet"
            label={t`Which cloth?`}
            expanded={asks}
            onPress={() => setAsks(!asks)}
            testID="which-cloth"
          />
          {asks ? <Small>{grit.cloth}</Small> : null}
        </View>
      )}
    </View>
  );
}
