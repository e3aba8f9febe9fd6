import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { lengthText } from '@/core/base/measures';
import { allergenWords } from '@/core/kitchen/batches';
import { schoolWords } from '@/core/recipe/classification';
import type { Head } from '@/core/records/shapes';
import { selectHeads, useAppSelector } from '@/store';
import { Button, Screen, Small, Strong } from '@/ui';
import { ageWords, chemistryWords, healthWords, strandWords } from '../shared/headWords';
import { PeopleTabs } from '../shared/PeopleTabs';
import { KitPane } from './KitPane';

/** Whose heads are looked after. */
export function PeopleScreen() {
  const heads = useAppSelector(selectHeads);
  return (
    <Screen
      before={<PeopleTabs here="/people" />}
      headline={heads.length === 0 ? t`Nobody here yet` : heads.map((head) => head.name).join(t` and `)}
      actions={
        <Button label={t`Add a person`} onPress={() => router.push('/people/new')} testID="add-head" />
      }
    >
      {heads.map((head) => (
        <HeadEntry key={head.headId} head={head} />
      ))}
      <KitPane />
    </Screen>
  );
}

function HeadEntry({ head }: { head: Head }) {
  const freeDays = head.freeMinutes.filter((minutes) => minutes > 0).length;
  const flags = [
    head.ageBand === 'adult' ? '' : ageWords()[head.ageBand],
    ...head.chemistry.map((each) => chemistryWords()[each]),
    ...head.health.map((each) => healthWords()[each]),
    head.proteinSensitive ? 'protein-sensitive' : '',
    head.allergies.length > 0
      ? t`reacts to ${{ allergies: head.allergies.map(allergenWords).join(', ') }}`
      : '',
  ].filter(Boolean);
  return (
    <View className="gap-2 border-t border-line pt-3">
      <Strong className="text-lead">{head.name}</Strong>
      <Small>
        {[
          lengthText(head.lengthCm),
          t`${{ strand: strandWords()[head.strand] }} strands`,
          plural(freeDays, { one: '# free day', other: '# free days' }),
          ...flags,
        ].join(' · ')}
      </Small>
      <Small>{t`Protein: ${{ school: schoolWords()[head.school].label }}`}</Small>
      <View className="flex-row flex-wrap gap-3">
        <Button
          label={t`Change`}
          hint={t`Change ${{ headName: head.name }}`}
          onPress={() => router.push({ pathname: '/people/[headId]', params: { headId: head.headId } })}
        />
      </View>
    </View>
  );
}
