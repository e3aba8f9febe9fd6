import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Head } from '@/core/records/shapes';
import { Body, Button, Chip, Screen, Small, Strong } from '@/ui';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { Welcome } from '../shared/Welcome';
import { startersFor, suggested } from './starters';

/** Something to plan with on the first day, out of an ordinary kitchen. */
export function FirstRecipesScreen() {
  const head = useHead();
  return head ? <FirstRecipes key={head.headId} head={head} /> : <Welcome />;
}

function FirstRecipes({ head }: { head: Head }) {
  const larder = useLarder();
  const add = useAddRecords();
  const starters = useMemo(() => startersFor(head, larder), [head, larder]);
  const [chosen, setChosen] = useState<readonly string[]>(() => suggested(head, starters));
  const toggle = (id: string) =>
    setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id]);
  const take = () => {
    const records = starters
      .filter(({ id }) => chosen.includes(id))
      .map(({ version }) => ({ ...version, ...newStamp() }));
    if (records.length > 0)
      add(
        records,
        plural({ count: records.length }, { one: 'One recipe is saved.', other: '# recipes are saved.' }),
      );
    router.navigate('/week');
  };
  return (
    <Screen
      over={head.name}
      headline={t`What is in the kitchen?`}
      reason={t`Something to begin with; each says what it is. Your own you tell next, or at any time.`}
    >
      <View role="list" aria-label={t`Recipes to begin with`}>
        {starters.map(({ id, needs, says, version }) => (
          <View key={id} role="listitem" className="flex-row items-center gap-3 border-t border-line py-3">
            <View className="flex-1">
              <Strong className="text-lead">{version.name}</Strong>
              <Small className="text-ink">{says}</Small>
              <Small>{needs}</Small>
            </View>
            <Chip
              label={
                chosen.includes(id)
                  ? t({ message: 'Taken', context: 'of recipes to begin with' })
                  : t({ message: 'Take', context: 'of recipes to begin with' })
              }
              hint={t`Take ${{ versionName: version.name }}`}
              pressed={chosen.includes(id)}
              onPress={() => toggle(id)}
            />
          </View>
        ))}
      </View>
      <Body>{t`Everything new is tested behind the ear first: the plan leaves the days for it.`}</Body>
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Show my first week`} onPress={take} testID="first-week" />
        <Button
          label={t`I already use my own`}
          onPress={() => router.push('/people/regulars')}
          testID="my-regulars"
        />
      </View>
    </Screen>
  );
}
