import { router } from 'expo-router';
import { View } from 'react-native';
import { VIEWS } from '@/core/measures';
import {
  prefsChanged,
  selectPrefs,
  TEXT_SIZES,
  useAppDispatch,
  useAppSelector,
  WEEK_STARTS,
  type Prefs,
} from '@/store';
import { Button, Choice, FieldGroup, Heading, Screen, Small } from '@/ui';
import { HeadsTabs } from '../shared/HeadsTabs';
import { CUP_KINDS, CUP_WORDS, TEXT_SIZE_WORDS, VIEW_WORDS, WEEK_START_WORDS } from '../shared/settingWords';

/** How this browser shows things. Of this browser only: a backup does not hold it. */
export function SettingsScreen() {
  const prefs = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const set = (changed: Partial<Prefs>) => dispatch(prefsChanged(changed));
  return (
    <Screen
      before={<HeadsTabs here="/heads/settings" />}
      over="Heads & settings"
      headline="How it looks and sounds"
      reason="For this browser. Your records are the same everywhere."
      sideShare="half"
      side={<Elsewhere />}
    >
      <Setting
        label="Light or dark"
        options={[
          { value: 'system', label: 'as the device' },
          { value: 'light', label: 'light' },
          { value: 'dark', label: 'dark' },
        ]}
        value={prefs.theme}
        onChange={(theme) => set({ theme })}
      />
      <Setting
        label="Size of text"
        options={TEXT_SIZES.map((value) => ({ value, label: TEXT_SIZE_WORDS[value] }))}
        value={prefs.textSize}
        onChange={(textSize) => set({ textSize })}
      />
      <Setting
        label="Movement on screen"
        options={[
          { value: 'system', label: 'as the device' },
          { value: 'less', label: 'none' },
        ]}
        value={prefs.motion}
        onChange={(motion) => set({ motion })}
      />
      <Setting
        label="When a clock runs out"
        options={[
          { value: 'on', label: 'ring' },
          { value: 'off', label: 'stay silent' },
        ]}
        value={prefs.sound ? 'on' : 'off'}
        onChange={(value) => set({ sound: value === 'on' })}
      />
      <Setting
        label="Steps of a wash day"
        options={[
          { value: 'off', label: 'to read' },
          { value: 'on', label: 'read aloud too' },
        ]}
        value={prefs.aloud ? 'on' : 'off'}
        onChange={(value) => set({ aloud: value === 'on' })}
      />
      <Setting
        label="Amounts in"
        options={VIEWS.map((value) => ({ value, label: VIEW_WORDS[value].label }))}
        value={prefs.view}
        onChange={(view) => set({ view })}
      />
      <Setting
        label="A cup is"
        options={CUP_KINDS.map((value) => ({ value, label: CUP_WORDS[value] }))}
        value={prefs.cup}
        onChange={(cup) => set({ cup })}
      />
      <Setting
        label="A week begins on"
        options={WEEK_STARTS.map((value) => ({ value, label: WEEK_START_WORDS[value] }))}
        value={prefs.weekStart}
        onChange={(weekStart) => set({ weekStart })}
      />
      <Setting
        label="Single keys lead to places"
        options={[
          { value: 'on', label: 'yes; ? lists them' },
          { value: 'off', label: 'no' },
        ]}
        value={prefs.keys ? 'on' : 'off'}
        onChange={(value) => set({ keys: value === 'on' })}
      />
    </Screen>
  );
}

interface SettingProps<Value extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly value: Value;
  readonly onChange: (value: Value) => void;
}

function Setting<Value extends string>({ label, options, value, onChange }: SettingProps<Value>) {
  return (
    <FieldGroup label={label}>
      <Choice label={label} options={options} value={value} onChange={onChange} />
    </FieldGroup>
  );
}

/** What is set, but not here. */
function Elsewhere() {
  return (
    <View className="gap-3">
      <Heading level={2}>Set elsewhere</Heading>
      <Place
        to="/week/rules"
        label="Rules of the plan"
        text="Spacing, longest times without, how long things take, what weighs more; each with its reason and a way back."
      />
      <Place to="/heads/schools" label="Schools" text="Where makers disagree, for each head." />
      <Place to="/pantry" label="Pantry" text="What you have and what it costs." />
      <Place
        to="/strand/stretch"
        label="The ruler"
        text="Held against a card, so that a millimetre on screen is one."
      />
    </View>
  );
}

interface PlaceProps {
  readonly to: '/week/rules' | '/heads/schools' | '/pantry' | '/strand/stretch';
  readonly label: string;
  readonly text: string;
}

function Place({ to, label, text }: PlaceProps) {
  return (
    <View className="items-start gap-1">
      <Button label={label} onPress={() => router.push(to)} />
      <Small>{text}</Small>
    </View>
  );
}
