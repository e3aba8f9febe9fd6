import { plural, t } from '@lingui/core/macro';
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
} from '@/core/plan/agenda';
import { LEANINGS, LEANING_MOST } from '@/core/records/shapes';
import type { Head } from '@/core/records/shapes';
import { Body, Button, Choice, FieldGroup, Heading, Screen, Small, Strong } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { SchoolRows } from '../shared/SchoolRows';
import { useChoices } from '../shared/useChoices';
import { useHistory } from '../shared/useHistory';
import { WithHead } from '../shared/WithHead';
import { ruleText, stepOf } from './ruleWords';
import { WeekTabs } from './WeekTabs';

const sorts = perLanguage(
  () =>
    [
      { sort: 'hard', title: t`What no plan breaks` },
      { sort: 'wish', title: t`What it tries to keep` },
      { sort: 'time', title: t`How long things take` },
    ] as const,
);

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
  const learned = learnedWashMinutes(useHistory(head.headId).washDays, PLAN_RULES.washMinutes.value);
  return (
    <Screen
      before={<WeekTabs here="/week/rules" />}
      over={head.name}
      headline={
        changed === 0
          ? t`The usual rules`
          : changed === 1
            ? t`One rule of your own`
            : plural(changed, { one: '# rule of your own', other: '# rules of your own' })
      }
      reason={t`The plan is made of these. Change one, and the plan changes.`}
      side={<Leanings choices={choices} change={change} />}
    >
      <HeadPicker />
      <Heading level={2}>{t`Where makers disagree`}</Heading>
      <SchoolRows choices={choices} change={change} />
      {sorts().map(({ sort, title }) => (
        <View key={sort} className="gap-3 pt-2">
          <Heading level={2}>{title}</Heading>
          {RULE_KEYS.map((key): Rule => PLAN_RULES[key])
            .filter((rule) => rule.sort === sort)
            .map((rule) => (
              <RuleRow
                key={rule.id}
                rule={rule}
                choices={choices}
                change={change}
                learned={rule.id === PLAN_RULES.washMinutes.id ? learned : null}
              />
            ))}
        </View>
      ))}
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
    <View className="gap-1 border-b border-line pb-2" testID={`rule-${rule.id}`}>
      <View className="flex-row flex-wrap items-center gap-x-3">
        <View className="min-w-column-l flex-1">
          <Strong>{rule.label}</Strong>
        </View>
        <Button
          label="−"
          hint={t`Less: ${{ rule: rule.label }}`}
          disabled={value === null || value <= rule.least}
          onPress={() => move(-step)}
        />
        <Body className="min-w-column-xs text-center">{value === null ? t`off` : ruleText(rule, value)}</Body>
        <Button
          label="+"
          hint={t`More: ${{ rule: rule.label }}`}
          disabled={value === null || value >= rule.most}
          onPress={() => move(step)}
        />
      </View>
      <Small>{rule.why}</Small>
      {holdsUnder(rule, choices) ? null : (
        <Small className="text-ink">{t`Not in force: “by the calendar” is not what you chose above.`}</Small>
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
    </View>
  );
}

function learnedText({ minutes, of }: Learned, isChosen: boolean): string {
  const from = of === 1 ? t`one wash day` : plural(of, { one: '# wash day', other: '# wash days' });
  return isChosen
    ? t`Your last ${from} would say ${minutes} min.`
    : t`Planned with ${minutes} min: learned from ${from} for this person.`;
}

function Leanings({ choices, change }: Changing) {
  return (
    <View className="gap-4">
      <Heading level={2}>{t`How you want it`}</Heading>
      {LEANINGS.map((leaning) => {
        const { label, why } = leaningWords()[leaning];
        return (
          <FieldGroup key={leaning} label={label} help={why}>
            <Choice
              label={label}
              options={Array.from({ length: 2 * LEANING_MOST + 1 }, (_, index) => index - LEANING_MOST).map(
                (value) => ({
                  value,
                  label: leanWords()[value] ?? String(value),
                }),
              )}
              value={choices.leanings[leaning]}
              onChange={(value) =>
                change(
                  { leanings: { ...choices.leanings, [leaning]: value } },
                  `${label}: ${leanWords()[value] ?? value}.`,
                )
              }
            />
          </FieldGroup>
        );
      })}
    </View>
  );
}
