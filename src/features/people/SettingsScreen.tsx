import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { perLanguage, LANGUAGES, languageSchema } from '@/core/base/language';
import { VIEWS } from '@/core/base/measures';
import { EFFORTS } from '@/core/plan/agenda';
import {
  prefsChanged,
  selectPrefs,
  TEXT_SIZES,
  useAppDispatch,
  useAppSelector,
  WEEK_STARTS,
  type Prefs,
  LOUDNESSES,
  type Loudness,
} from '@/store';
import { Button, Field, Heading, LabelledChoice, Screen, Small } from '@/ui';
import { mayNotify } from '../shared/canNotify';
import { PeopleTabs } from '../shared/PeopleTabs';
import {
  cupKinds,
  cupWords,
  effortWords,
  textSizeWords,
  viewWords,
  weekStartWords,
} from '../shared/settingWords';
import { useInstall } from './useInstall';

const LANGUAGE_IDS = languageSchema.options;

/** How this browser shows things. Of this browser only: a backup does not hold it. */
export function SettingsScreen() {
  const prefs = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const set = (changed: Partial<Prefs>) => dispatch(prefsChanged(changed));
  return (
    <Screen
      before={<PeopleTabs here="/people/settings" />}
      over={t`People & settings`}
      headline={t`How it looks and sounds`}
      reason={t`For this browser. Your records are the same everywhere.`}
      sideShare="half"
      side={<Elsewhere />}
    >
      <LabelledChoice
        label={t`Language`}
        options={[
          { value: 'system', label: t`as the browser` },
          ...LANGUAGE_IDS.map((value) => ({ value, label: LANGUAGES[value].name })),
        ]}
        value={prefs.language}
        onChange={(language) => set({ language })}
      />
      <LabelledChoice
        label={t`Light or dark`}
        options={[
          { value: 'system', label: t`as the device` },
          { value: 'light', label: t`light page` },
          { value: 'dark', label: t`dark page` },
        ]}
        value={prefs.theme}
        onChange={(theme) => set({ theme })}
      />
      <LabelledChoice
        label={t`Size of text`}
        options={TEXT_SIZES.map((value) => ({ value, label: textSizeWords()[value] }))}
        value={prefs.textSize}
        onChange={(textSize) => set({ textSize })}
      />
      <LabelledChoice
        label={t`Movement on screen`}
        options={[
          { value: 'system', label: t`as the device` },
          { value: 'less', label: t({ message: 'none', context: 'movement on screen' }) },
        ]}
        value={prefs.motion}
        onChange={(motion) => set({ motion })}
      />
      <LabelledChoice
        label={t`When a clock runs out`}
        options={[
          { value: 'on', label: t`ring` },
          { value: 'off', label: t`stay silent` },
        ]}
        value={prefs.sound ? 'on' : 'off'}
        onChange={(value) => set({ sound: value === 'on' })}
      />
      {prefs.sound ? (
        <LabelledChoice
          label={t`How loud it rings`}
          options={LOUDNESSES.map((value) => ({ value, label: loudnessWords()[value] }))}
          value={prefs.loudness}
          onChange={(loudness) => set({ loudness })}
        />
      ) : null}
      <LabelledChoice
        label={t`Messages when the page is out of sight`}
        options={[
          { value: 'on', label: t`when a clock runs out, a soak begins, a check is due` },
          { value: 'off', label: t`no messages` },
        ]}
        value={prefs.notices && mayNotify() ? 'on' : 'off'}
        onChange={(value) =>
          value === 'on'
            ? void import('../shared/notices')
                .then(({ askToNotify }) => askToNotify())
                .then((may) => set({ notices: may }))
            : set({ notices: false })
        }
      />
      {prefs.notices ? (
        <View className="flex-row flex-wrap gap-3">
          <HourField
            label={t`Quiet from, hour`}
            value={prefs.quietFrom}
            onChange={(quietFrom) => set({ quietFrom })}
          />
          <HourField
            label={t`Quiet until, hour`}
            value={prefs.quietTo}
            onChange={(quietTo) => set({ quietTo })}
          />
        </View>
      ) : null}
      <LabelledChoice
        label={t`Steps of a wash day`}
        options={[
          { value: 'off', label: t`to read` },
          { value: 'on', label: t`read aloud too` },
        ]}
        value={prefs.aloud ? 'on' : 'off'}
        onChange={(value) => set({ aloud: value === 'on' })}
      />
      <LabelledChoice
        label={t`Amounts in`}
        options={VIEWS.map((value) => ({ value, label: viewWords()[value].label }))}
        value={prefs.view}
        onChange={(view) => set({ view })}
      />
      <LabelledChoice
        label={t`Lengths and weights in`}
        options={[
          { value: 'metric', label: t`centimetres and grams` },
          { value: 'inches', label: t`inches and ounces` },
        ]}
        value={prefs.units}
        onChange={(units) => set({ units })}
      />
      <LabelledChoice
        label={t`A cup is`}
        options={cupKinds().map((value) => ({ value, label: cupWords()[value] }))}
        value={prefs.cup}
        onChange={(cup) => set({ cup })}
      />
      <OwnMeasure
        label={t`My cup holds, ml`}
        help={t`Fill it once with water and weigh or measure that; empty until you know. Recipes that say “my cup” count with it.`}
        value={prefs.myCup}
        limits={OWN_CUP}
        onChange={(myCup) => set({ myCup })}
        testID="my-cup"
      />
      <OwnMeasure
        label={t`My spoon holds, ml`}
        help={t`The one you mean by “my spoon”.`}
        value={prefs.mySpoon}
        limits={OWN_SPOON}
        onChange={(mySpoon) => set({ mySpoon })}
        testID="my-spoon"
      />
      <LabelledChoice
        label={t`Recipes by ear`}
        options={[
          { value: 'off', label: t`typed only` },
          { value: 'on', label: t`spoken too; what is heard goes through the browser’s maker` },
        ]}
        value={prefs.dictation ? 'on' : 'off'}
        onChange={(value) => set({ dictation: value === 'on' })}
      />
      <LabelledChoice
        label={t`A week begins on`}
        options={WEEK_STARTS.map((value) => ({ value, label: weekStartWords()[value] }))}
        value={prefs.weekStart}
        onChange={(weekStart) => set({ weekStart })}
      />
      <LabelledChoice
        label={t`Looking for the best plan`}
        options={EFFORTS.map((value) => ({ value, label: effortWords()[value] }))}
        value={prefs.effort}
        onChange={(effort) => set({ effort })}
      />
      <LabelledChoice
        label={t`Single keys lead to places`}
        options={[
          { value: 'on', label: t`yes; ? lists them` },
          { value: 'off', label: t`no` },
        ]}
        value={prefs.keys ? 'on' : 'off'}
        onChange={(value) => set({ keys: value === 'on' })}
      />
    </Screen>
  );
}

function HourField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly onChange: (hour: number) => void;
}) {
  const [text, setText] = useState(String(value));
  return (
    <Field
      label={label}
      value={text}
      onChange={(typed) => {
        setText(typed);
        if (/^\d{1,2}$/.test(typed) && Number(typed) < 24) onChange(Number(typed));
      }}
      numeric
      className="w-field"
    />
  );
}

const loudnessWords = perLanguage((): Readonly<Record<Loudness, string>> => ({
  soft: t`softly`,
  usual: t`as usual`,
  loud: t`as loud as it can`,
}));

/** What a cup and a spoon can hold, ml. */
const OWN_CUP = { least: 20, most: 1000 } as const;
const OWN_SPOON = { least: 1, most: 100 } as const;

interface OwnMeasureProps {
  readonly label: string;
  readonly help: string;
  readonly value: number | null;
  readonly limits: { readonly least: number; readonly most: number };
  readonly onChange: (millilitres: number | null) => void;
  readonly testID: string;
}

/** How much a measure of hers holds; kept as soon as it can be. */
function OwnMeasure({ label, help, value, limits: { least, most }, onChange, testID }: OwnMeasureProps) {
  const [text, setText] = useState(value === null ? '' : String(value));
  const millilitres = Number(text.trim().replace(',', '.'));
  const isEmpty = text.trim() === '';
  const fits = isEmpty || (millilitres >= least && millilitres <= most);
  return (
    <Field
      label={label}
      help={help}
      value={text}
      numeric
      problem={fits ? undefined : t`Write ${{ least }} to ${{ most }} ml.`}
      onChange={(typed) => {
        setText(typed);
        const said = Number(typed.trim().replace(',', '.'));
        if (typed.trim() === '') onChange(null);
        else if (said >= least && said <= most) onChange(said);
      }}
      className="w-field-l"
      testID={testID}
    />
  );
}

/** What is set, but not here. */
/** Where the browser offers it: a place among the other apps of the device. */
function Install() {
  const install = useInstall();
  if (!install) return null;
  return (
    <View className="items-start gap-1">
      <Button label={t`Install on this device`} onPress={install} testID="install" />
      <Small>{t`It opens like an app and works offline; your records stay where they are.`}</Small>
    </View>
  );
}

function Elsewhere() {
  return (
    <View className="gap-3">
      <Install />
      <Heading level={2}>{t`Set elsewhere`}</Heading>
      <Place
        to="/week/rules"
        label={t`Rules of the plan`}
        text={t`Spacing, longest times without, how long things take, what weighs more; each with its reason and a way back.`}
      />
      <Place
        to="/people/opinions"
        label={t`What counts as protein`}
        text={t`Where makers disagree, for each person.`}
      />
      <Place
        to="/people/counts"
        label={t`What counts, and how much`}
        text={t`How much protein is firm, whether food protein acts; with what changes.`}
      />
      <Place
        to="/people/unknown"
        label={t`What we don’t know`}
        text={t`What the answers rest on that nobody has measured.`}
      />
      <Place to="/pantry" label={t`Pantry`} text={t`What you have and what it costs.`} />
      <Place
        to="/hair/stretch"
        label={t`The ruler`}
        text={t`Set once against a bank card: a millimetre on screen is then a millimetre.`}
      />
    </View>
  );
}

interface PlaceProps {
  readonly to:
    '/week/rules' | '/people/opinions' | '/people/counts' | '/people/unknown' | '/pantry' | '/hair/stretch';
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
