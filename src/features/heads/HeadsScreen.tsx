import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { hairMassReason } from '@/core/hair/state';
import { allergenWords } from '@/core/kitchen/batches';
import { schoolWords } from '@/core/recipe/classification';
import type { Head } from '@/core/records/shapes';
import { headChosen, selectHeads, useAppDispatch, useAppSelector } from '@/store';
import { Button, Chip, Screen, Small, Strong } from '@/ui';
import { HeadsTabs } from '../shared/HeadsTabs';
import { ageWords, chemistryWords, healthWords, strandWords } from '../shared/headWords';
import { useHead } from '../shared/useHead';
import { KitPane } from './KitPane';

/** Whose heads are looked after. */
export function HeadsScreen() {
  const heads = useAppSelector(selectHeads);
  const current = useHead();
  return (
    <Screen
      before={<HeadsTabs here="/heads" />}
      over={t`People & settings`}
      headline={heads.length === 0 ? t`Nobody here yet` : heads.map((head) => head.name).join(t` and `)}
      reason={t`Who is looked after, and what counts here.`}
    >
      {heads.map((head) => (
        <HeadEntry key={head.headId} head={head} current={head.headId === current?.headId} />
      ))}
      <View className="items-start">
        <Button label={t`Add a person`} onPress={() => router.push('/heads/new')} testID="add-head" />
      </View>
      <KitPane />
    </Screen>
  );
}

function HeadEntry({ head, current }: { head: Head; current: boolean }) {
  const dispatch = useAppDispatch();
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
          t`${{ lengthCm: head.lengthCm }} cm`,
          t`${{ strand: strandWords()[head.strand] }} strands`,
          plural(freeDays, { one: '# free day', other: '# free days' }),
          ...flags,
        ].join(' · ')}
      </Small>
      <Small>{hairMassReason(head)}</Small>
      <Small>{t`Protein: ${{ school: schoolWords()[head.school].label }}. ${{ meaning: schoolWords()[head.school].meaning }}`}</Small>
      <View className="flex-row flex-wrap gap-3">
        <Chip
          label={current ? t`On screen` : t`Put on screen`}
          hint={
            current ? t`${{ headName: head.name }} is on screen` : t`Put ${{ headName: head.name }} on screen`
          }
          pressed={current}
          onPress={() => dispatch(headChosen(head.headId))}
        />
        <Button
          label={t`Change`}
          hint={t`Change ${{ headName: head.name }}`}
          onPress={() => router.push({ pathname: '/heads/[headId]', params: { headId: head.headId } })}
        />
      </View>
    </View>
  );
}
