import { router } from 'expo-router';
import { View } from 'react-native';
import { allergenWords } from '@/core/batches';
import { SCHOOL_WORDS } from '@/core/classification';
import type { Head } from '@/core/hair';
import { headChosen, selectHeads, selectPrefs, themeChosen, useAppDispatch, useAppSelector } from '@/store';
import { Button, Choice, FieldGroup, Screen, Small, Strong } from '@/ui';
import { useHead } from '../shared/useHead';
import { DataPane } from './DataPane';

/** Heads, how the app looks, and the data in and out. */
export function HeadsScreen() {
  const heads = useAppSelector(selectHeads);
  const { theme } = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const current = useHead();
  return (
    <Screen
      over="Heads & settings"
      headline={heads.length === 0 ? 'No head yet' : heads.map((head) => head.name).join(' and ')}
      reason="Who is looked after, and what counts here."
      sideShare="half"
      side={<DataPane />}
    >
      {heads.map((head) => (
        <HeadEntry key={head.headId} head={head} current={head.headId === current?.headId} />
      ))}
      <View className="items-start">
        <Button label="Add a head" onPress={() => router.push('/heads/new')} testID="add-head" />
      </View>
      <FieldGroup label="Light or dark">
        <Choice
          label="Light or dark"
          options={[
            { value: 'system', label: 'as the device' },
            { value: 'light', label: 'light' },
            { value: 'dark', label: 'dark' },
          ]}
          value={theme}
          onChange={(value) => dispatch(themeChosen(value))}
        />
      </FieldGroup>
    </Screen>
  );
}

function HeadEntry({ head, current }: { head: Head; current: boolean }) {
  const dispatch = useAppDispatch();
  const freeDays = head.freeMinutes.filter((minutes) => minutes > 0).length;
  const flags = [
    head.child ? 'a child' : '',
    head.proteinSensitive ? 'protein-sensitive' : '',
    head.allergies.length > 0 ? `reacts to ${head.allergies.map(allergenWords).join(', ')}` : '',
  ].filter(Boolean);
  return (
    <View className="gap-2 border-t border-line pt-3">
      <Strong className="text-lead">{head.name}</Strong>
      <Small>
        {[`${head.lengthCm} cm`, `${head.strand} strands`, `${freeDays} free days`, ...flags].join(' · ')}
      </Small>
      <Small>
        Protein: {SCHOOL_WORDS[head.school].label}. {SCHOOL_WORDS[head.school].meaning}
      </Small>
      <View className="flex-row flex-wrap gap-3">
        <Button
          label={current ? 'On screen' : 'Put on screen'}
          hint={current ? `${head.name} is on screen` : `Put ${head.name} on screen`}
          pressed={current}
          onPress={() => dispatch(headChosen(head.headId))}
        />
        <Button
          label="Change"
          hint={`Change ${head.name}`}
          onPress={() => router.push({ pathname: '/heads/[headId]', params: { headId: head.headId } })}
        />
      </View>
    </View>
  );
}
