import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { plannedMinutes, washScript, type WashPlan } from '@/core/plan/washday';
import type { Head } from '@/core/records/shapes';
import { SECTIONS } from '@/core/records/shapes';
import { useAppDispatch, washStarted } from '@/store';
import type { HeadAnswer } from '@/store';
import { Body, Button, Choice, FieldGroup, Heading, LabelledChoice, Screen, Small, Strong } from '@/ui';
import { PatchTests } from '../shared/PatchTests';
import { newStamp } from '../shared/stamp';
import { minutesText } from '../shared/treatmentWords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import {
  offered,
  runOf,
  settingOf,
  sidesDue,
  softeners,
  treatmentOf,
  washPlanOf,
  type LeftOut,
  type RunSetting,
} from './dayPlan';

const NONE = 'none';

/** What goes on, or of two sides what goes on each. */
function startHeadline({ main, sides }: WashPlan): string {
  if (!main) return t`A wash without a treatment`;
  if (!sides) return main.version.name;
  const nothing = t`nothing`;
  return t`Left: ${{ left: sides.left?.version.name ?? nothing }}. Right: ${{ right: sides.right?.version.name ?? nothing }}.`;
}

/** What the day will be, and the way into it. */
export function WashStart({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const today = useToday();
  const dispatch = useAppDispatch();
  const history = useHistory(head.headId);
  const assignments = answer.plan.days.find(({ day }) => day === today)?.assignments ?? [];
  const [changed, setSetting] = useState<RunSetting | null>(null);
  // Until she touches it, it follows the plan, which may still be getting better.
  const setting = changed ?? settingOf(head, history, assignments, today);
  const { masks, left } = useMemo(() => offered(head, history, today), [head, history, today]);
  const main = setting.treatments.find(({ slot }) => slot === 'main');
  const followUp = setting.treatments.find(({ slot }) => slot === 'follow-up');
  const soft = softeners(head, history, today).filter(({ recipeId }) => recipeId !== main?.recipeId);
  const follow = (recipeId: string) => {
    const version = soft.find((each) => each.recipeId === recipeId);
    const others = setting.treatments.filter(({ slot }) => slot !== 'follow-up');
    setSetting({
      ...setting,
      treatments: version ? [...others, treatmentOf(version, 'follow-up', head, history)] : others,
    });
  };
  const plan = washPlanOf(setting, head, history);
  const steps = washScript(plan);
  const choose = (recipeId: string) => {
    const version = masks.find((each) => each.recipeId === recipeId);
    const others = setting.treatments.filter(({ slot }) => slot !== 'main');
    const planned = settingOf(head, history, assignments, today).treatments.find(
      (each) => each.slot === 'main' && each.recipeId === recipeId,
    );
    setSetting({
      ...setting,
      treatments: version ? [...others, planned ?? treatmentOf(version, 'main', head, history)] : others,
      ...sidesDue(head, history, today, recipeId),
    });
  };
  const begin = () => {
    const { id, recordedAt } = newStamp();
    dispatch(washStarted(runOf(setting, head, history, { id, day: today, startedAt: recordedAt })));
  };
  return (
    <Screen
      ofPerson
      over={t`Wash day`}
      headline={startHeadline(plan)}
      reason={lengthText(steps)}
      side={<StepList steps={steps} />}
    >
      <FieldGroup label={t`What goes on`}>
        <Choice
          label={t`What goes on`}
          options={[
            ...masks.map(({ recipeId, name }) => ({ value: recipeId, label: name })),
            { value: NONE, label: t`nothing, only a wash` },
          ]}
          value={main?.recipeId ?? NONE}
          onChange={choose}
        />
      </FieldGroup>
      {assignments.some(({ slot }) => slot === 'main') ? null : (
        <Small className="text-ink">{t`No wash is planned today. If you wash, the next days change with it.`}</Small>
      )}
      <LeftOutList left={left} head={head} />
      {plan.main ? (
        <LabelledChoice
          label={t`If it feels firm, then`}
          help={t`It waits; one tap with wet hands decides.`}
          options={[
            ...soft.map(({ recipeId, name }) => ({ value: recipeId, label: name })),
            { value: NONE, label: t`plain conditioner` },
          ]}
          value={followUp?.recipeId ?? NONE}
          onChange={follow}
          testID="if-firm"
        />
      ) : null}
      <LabelledChoice
        label={t`Drying`}
        options={[
          { value: 'air', label: t`in the air` },
          { value: 'blow-dry', label: t`blow-dry, with a heat protectant` },
        ]}
        value={setting.drying ?? 'air'}
        onChange={(drying) => setSetting({ ...setting, drying })}
        testID="drying"
      />
      <FieldGroup label={t`Sections`} help={t`More hair wants more sections.`}>
        <Choice
          label={t`Sections`}
          options={SECTIONS.map((count) => ({ value: String(count), label: String(count) }))}
          value={String(setting.sections)}
          onChange={(count) => setSetting({ ...setting, sections: Number(count) })}
        />
      </FieldGroup>
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button tone="main" label={t`Begin`} onPress={begin} testID="begin-wash" />
        <Button label={t`Back`} onPress={() => router.navigate('/')} />
      </View>
    </Screen>
  );
}

/** What may not go on today; what only lacks its patch test is shown when asked for, with the ways on. */
function LeftOutList({ left, head }: { left: readonly LeftOut[]; head: Head }) {
  const [isOpen, setIsOpen] = useState(false);
  const untested = left.filter(({ isTest }) => isTest);
  return (
    <>
      {left
        .filter(({ isTest }) => !isTest)
        .map(({ version, why }) => (
          <Small key={version.recipeId}>{why}</Small>
        ))}
      {untested.length > 0 ? (
        <View className="items-start">
          <Button
            tone="quiet"
            label={plural(
              { count: untested.length },
              { one: '# more without a patch test', other: '# more without a patch test' },
            )}
            expanded={isOpen}
            onPress={() => setIsOpen(!isOpen)}
            testID="untested"
          />
        </View>
      ) : null}
      {isOpen
        ? untested.map(({ version: { recipeId, name } }) => (
            <PatchTests key={recipeId} recipeId={recipeId} recipeName={name} head={head} />
          ))
        : null}
    </>
  );
}

/** How long it takes, and how much of that is waiting; what depends on the feel is named apart. */
function lengthText(steps: ReturnType<typeof washScript>): string {
  const sure = steps.filter(({ onlyIfFirm }) => !onlyIfFirm);
  const all = plannedMinutes(steps);
  const least = plannedMinutes(sure);
  const waits = plannedMinutes(sure.filter(({ waits: isWaiting }) => isWaiting));
  const about =
    all > least
      ? t`About ${{ least: minutesText(least) }}, or ${{ all: minutesText(all) }} if it feels firm after it.`
      : t`About ${{ least: minutesText(least) }}.`;
  return waits > 0
    ? `${about} ${t`Your hands are free for ${{ waits: minutesText(waits) }} of them.`}`
    : about;
}

function StepList({ steps }: { steps: ReturnType<typeof washScript> }) {
  return (
    <View className="gap-2">
      <Heading level={2}>{t`The steps`}</Heading>
      {steps.map(({ id, title, minutes, waits, onlyIfFirm }) => (
        <View key={id} className="flex-row justify-between gap-3">
          <Body className="flex-1">
            {title}
            {onlyIfFirm ? t`, if it feels firm` : ''}
          </Body>
          <Strong>{minutes > 0 ? (waits ? t`${minutes} min ◦` : t`${minutes} min`) : ''}</Strong>
        </View>
      ))}
      <Small>{t`◦ the clock starts on its own.`}</Small>
    </View>
  );
}
