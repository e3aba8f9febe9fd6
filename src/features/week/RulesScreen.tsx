import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { learnedWashMinutes } from '@/core/hair/history';
import {
  holdsUnder,
  leaningWords,
  PLAN_RULES,
  RULE_KEYS,
  type PlanChoices,
  type Rule,
  type RuleKey,
} from '@/core/plan/agenda';
import { LEANINGS, LEANING_MOST } from '@/core/records/shapes';
import type { Head, Leaning } from '@/core/records/shapes';
import { Button, Choice, Field, Screen, Small } from '@/ui';
import { OpenGroup } from '@/ui/OpenGroup';
import { OpenLine } from '@/ui/OpenLine';
import { schoolChoices } from '../shared/schoolChoices';
import { SchoolRows } from '../shared/SchoolRows';
import { SearchButton } from '../shared/SearchButton';
import { useChoices } from '../shared/useChoices';
import { useHistory } from '../shared/useHistory';
import { WithHead } from '../shared/WithHead';
import { ruleText, stepOf } from './ruleWords';
import { WeekTabs } from './WeekTabs';

/** The question that a rule answers. */
type Asks = 'often' | 'never' | 'wash';

const questions = perLanguage((): readonly { readonly asks: Asks; readonly title: string }[] => [
  { asks: 'often', title: t`How often` },
  { asks: 'never', title: t`What never` },
  { asks: 'wash', title: t`Wash times` },
]);

const ASKS: Readonly<Record<RuleKey, Asks>> = {
  mainsPerWeek: 'often',
  washGap: 'often',
  lightProteinGap: 'often',
  strongProteinGap: 'often',
  mainWithin: 'often',
  moistureWithin: 'often',
  proteinWithin: 'often',
  strongWithin: 'often',
  refreshEvery: 'often',
  scalpEvery: 'often',
  firmHold: 'never',
  newPerWeek: 'never',
  patchTest: 'never',
  newBeforeEvent: 'never',
  strongBeforeEvent: 'never',
  proteinBeforeStyle: 'never',
  washMinutes: 'wash',
  prePooMinutes: 'wash',
  takeDownMinutes: 'wash',
  refreshMinutes: 'wash',
};

const leanWords = perLanguage((): Readonly<Record<number, string>> => ({
  [-2]: t`much less`,
  [-1]: t`less`,
  0: t({ message: 'usual', context: 'how much a leaning counts' }),
  1: t`more`,
  2: t`much more`,
}));

/** Schools, leanings and rules of the plan, each with its reason, and each to be changed. */
export function RulesScreen() {
  return <WithHead>{(head) => <Rules key={head.headId} head={head} />}</WithHead>;
}

function Rules({ head }: { head: Head }) {
  const [choices, change] = useChoices(head);
  const changed = Object.keys(choices.rules).length;
  const [isSearching, setIsSearching] = useState(false);
  const [words, setWords] = useState('');
  const sought = words.trim().toLowerCase();
  const shows = (text: string) => text.toLowerCase().includes(sought);
  // What counts under another way than hers comes only where it is looked for, or where she changed it.
  const isShown = (key: RuleKey) =>
    shows(PLAN_RULES[key].label) &&
    (sought !== '' || choices.rules[key] !== undefined || holdsUnder(PLAN_RULES[key], choices));
  const schools = schoolChoices().filter(({ label, options }) =>
    shows([label, ...options.map((each) => each.label)].join(' ')),
  );
  const leanings = LEANINGS.filter((leaning) => shows(leaningWords()[leaning].label));
  const learned = learnedWashMinutes(useHistory(head.headId).washDays, PLAN_RULES.washMinutes.value);
  return (
    <Screen
      before={<WeekTabs here="/week/rules" />}
      ofPerson
      headline={
        changed === 0
          ? t`The usual rules`
          : changed === 1
            ? t`One rule of your own`
            : plural(changed, { one: '# rule of your own', other: '# rules of your own' })
      }
      actions={<SearchButton isOpen={isSearching} onPress={() => setIsSearching(!isSearching)} />}
    >
      {isSearching ? (
        <Field label={t`Search the rules`} value={words} onChange={setWords} testID="rule-search" />
      ) : null}
      <View className="gap-2">
        {questions().map(({ asks, title }) => {
          const keys = RULE_KEYS.filter((key) => ASKS[key] === asks && isShown(key));
          return (
            <OpenGroup
              key={asks}
              title={title}
              count={keys.length}
              startsOpen={asks === 'often'}
              mustOpen={sought !== ''}
              testID={`rules-${asks}`}
            >
              {keys.map((key) => (
                <RuleRow
                  key={key}
                  rule={PLAN_RULES[key]}
                  choices={choices}
                  change={change}
                  learned={key === 'washMinutes' ? learned : null}
                />
              ))}
            </OpenGroup>
          );
        })}
        <OpenGroup
          title={t`Your preferences`}
          count={leanings.length}
          mustOpen={sought !== ''}
          testID="rules-leanings"
        >
          <Leanings leanings={leanings} choices={choices} change={change} />
        </OpenGroup>
        <OpenGroup
          title={t`Where makers disagree`}
          count={schools.length}
          mustOpen={sought !== ''}
          testID="rules-schools"
        >
          <SchoolRows schools={schools} choices={choices} change={change} />
        </OpenGroup>
      </View>
    </Screen>
  );
}

interface Changing {
  readonly choices: PlanChoices;
  readonly change: (changed: Partial<PlanChoices>, said: string) => void;
}

type Learned = NonNullable<ReturnType<typeof learnedWashMinutes>>;

interface RuleRowProps extends Changing {
  readonly rule: Rule;
  /** Of this head's own days, where she chose nothing herself. */
  readonly learned: Learned | null;
}

function RuleRow({ rule, choices, change, learned }: RuleRowProps) {
  const chosen = choices.rules[rule.id];
  const usual = learned?.minutes ?? rule.value;
  const value = chosen === undefined ? usual : chosen;
  const set = (next: number | null | undefined, said: string) => {
    const { [rule.id]: _, ...others } = choices.rules;
    change({ rules: next === undefined ? others : { ...others, [rule.id]: next } }, said);
  };
  const step = stepOf(rule);
  const move = (by: number) => {
    const next = Math.min(rule.most, Math.max(rule.least, Number(((value ?? usual) + by).toFixed(2))));
    set(next === usual ? undefined : next, `${rule.label}: ${ruleText(rule, next)}.`);
  };
  return (
    <OpenLine
      title={rule.label}
      value={value === null ? t`off` : ruleText(rule, value)}
      testID={`rule-${rule.id}`}
    >
      <View className="flex-row items-center gap-3">
        <Button
          label="−"
          hint={t`Less: ${{ rule: rule.label }}`}
          disabled={value === null || value <= rule.least}
          onPress={() => move(-step)}
        />
        <Button
          label="+"
          hint={t`More: ${{ rule: rule.label }}`}
          disabled={value === null || value >= rule.most}
          onPress={() => move(step)}
        />
      </View>
      <Small>{rule.why}</Small>
      {holdsUnder(rule, choices) ? null : (
        <Small className="text-ink">{t`Counts only if protein is due by the calendar.`}</Small>
      )}
      {learned ? <Small className="text-ink">{learnedText(learned, chosen !== undefined)}</Small> : null}
      <View className="flex-row flex-wrap gap-x-4">
        {rule.canBeOff ? (
          <Button
            tone="quiet"
            label={value === null ? t`Switch on` : t`Switch off`}
            hint={`${value === null ? t`Switch on` : t`Switch off`}: ${rule.label}`}
            onPress={() =>
              set(value === null ? undefined : null, `${rule.label}: ${value === null ? 'on' : 'off'}.`)
            }
          />
        ) : null}
        {chosen === undefined ? null : (
          <Button
            tone="quiet"
            label={t`Back to ${{ rule: ruleText(rule, usual) }}`}
            hint={t`Back to the usual: ${{ rule: rule.label }}`}
            onPress={() => set(undefined, t`${{ rule: rule.label }} is as usual.`)}
          />
        )}
      </View>
    </OpenLine>
  );
}

function learnedText({ minutes, of }: Learned, isChosen: boolean): string {
  const from = of === 1 ? t`one wash day` : plural(of, { one: '# wash day', other: '# wash days' });
  return isChosen
    ? t`Your last ${from} would say ${minutes} min.`
    : t`Planned with ${minutes} min: learned from ${from} for this person.`;
}

interface LeaningsProps extends Changing {
  readonly leanings: readonly Leaning[];
}

function Leanings({ leanings, choices, change }: LeaningsProps) {
  return leanings.map((leaning) => {
    const { label, why } = leaningWords()[leaning];
    const chosen = choices.leanings[leaning];
    return (
      <OpenLine key={leaning} title={label} value={leanWords()[chosen] ?? String(chosen)}>
        <Small>{why}</Small>
        <Choice
          label={label}
          options={Array.from({ length: 2 * LEANING_MOST + 1 }, (_, index) => index - LEANING_MOST).map(
            (value) => ({
              value,
              label: leanWords()[value] ?? String(value),
            }),
          )}
          value={chosen}
          onChange={(value) =>
            change(
              { leanings: { ...choices.leanings, [leaning]: value } },
              `${label}: ${leanWords()[value] ?? value}.`,
            )
          }
        />
      </OpenLine>
    );
  });
}
