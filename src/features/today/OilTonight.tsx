import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import type { Plan } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { Button } from '@/ui';
import { useHistory } from '../shared/useHistory';
import { useOilTonight } from '../shared/useOilTonight';
import { useToday } from '../shared/useToday';

/** Oil for the night in one tap: the one she used last; another is chosen beside it. */
export function OilTonight({ head, plan }: { head: Head; plan: Plan }) {
  const today = useToday();
  const { sessions } = useHistory(head.headId);
  const { oils, putOn } = useOilTonight(head);
  const [isOpen, setIsOpen] = useState(false);
  const lastOf = (recipeId: string) =>
    sessions.reduce(
      (last, session) => (session.recipeId === recipeId && session.day > last ? session.day : last),
      '',
    );
  const [first, ...others] = [...oils].sort((a, b) => (lastOf(a.recipeId) < lastOf(b.recipeId) ? 1 : -1));
  const isSet = plan.days.some(
    ({ day, assignments }) =>
      day === today && assignments.some(({ overnight, locked }) => overnight && locked),
  );
  if (!first || isSet) return null;
  return (
    <View className="flex-row flex-wrap gap-3">
      <Button
        label={t`Oil tonight`}
        hint={t`Oil tonight: ${{ name: first.name }}, washed out tomorrow`}
        onPress={() => putOn(first, plan)}
        testID="oil-tonight"
      />
      {others.length > 0 ? (
        <Button tone="quiet" label={t`Another oil`} expanded={isOpen} onPress={() => setIsOpen(!isOpen)} />
      ) : null}
      {isOpen
        ? others.map((oil) => (
            <Button
              key={oil.recipeId}
              label={oil.name}
              hint={t`${{ name: oil.name }} tonight, washed out tomorrow`}
              onPress={() => putOn(oil, plan)}
            />
          ))
        : null}
    </View>
  );
}
