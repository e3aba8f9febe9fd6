import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { formatDay, Z90 } from '@/core/base/measures';
import { judgedText, toldHeadline, type Judged } from '@/core/kitchen/formulation';
import type { RecipeVersion } from '@/core/records/shapes';
import { Body, Button, Heading, Screen, Small, useWide, useWidth } from '@/ui';
import { EffectBar } from '@/ui/charts/EffectBar';
import { PushBar } from '@/ui/charts/PushBar';
import { minutesText } from '../shared/beatWords';
import { effectInWords, effectText, onHairWords } from '../shared/effectWords';
import { draftOf, versionFromDraft } from '../shared/recipeDraft';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHairState } from '../shared/useHairAnswer';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useReading } from '../shared/useReading';
import { AxisEnds } from './Ledger';
import { stepsOf } from './makingOf';
import { MethodList, MethodSums } from './MethodList';
import { PlanIt } from './PlanIt';
import { ClaimQuestion } from './Questions';
import { SavedActions } from './SavedActions';
import { useMethod, useWarnings } from './useMethod';
import { Cautions, VerdictPane } from './VerdictPane';

/** A recipe to read: what it is, what it does on this hair, how it is made, what it did. */
export function RecipePage({ recipe }: { recipe: RecipeVersion }) {
  const head = useHead();
  const reading = useReading();
  const wide = useWide();
  const [isPlanning, setIsPlanning] = useState(false);
  const { recipeId, name, contactMinutes, warmth } = recipe;
  const read = useMemo(() => judgedText(recipe.text, { ...reading, head }), [recipe, reading, head]);
  const firmness = useHairState()?.signals.firmness;
  const response = firmness?.responses.find((each) => each.recipeId === recipeId);
  const judged = read.judged.ok ? read.judged.value : null;
  return (
    <Screen
      ofPerson
      over={
        recipe.version > 1
          ? t`Recipe · version ${{ versionName: reading.larder.versionName(recipe) }}`
          : t`Recipe`
      }
      headline={name}
      reason={[
        read.judged.ok ? `${toldHeadline(read.judged.value, read)}.` : read.judged.problems[0].message,
        ...(firmness && head ? [onHairWords(firmness, response, head.name)] : []),
      ].join(' ')}
      sideShare="half"
      side={
        judged ? (
          <VerdictPane
            {...judged}
            isNamed
            head={head}
            contactMinutes={contactMinutes}
            warmth={warmth}
            response={response}
          />
        ) : undefined
      }
    >
      {judged ? <VerdictPicture judged={judged} recipeId={recipeId} /> : null}
      <View className="flex-row flex-wrap gap-2">
        <Button
          tone="main"
          label={t`Make a batch`}
          onPress={() => router.push({ pathname: '/bench/make/[recipeId]', params: { recipeId } })}
          testID="make-recipe"
        />
        {head ? (
          <Button
            label={t`Plan it`}
            expanded={isPlanning}
            onPress={() => setIsPlanning(!isPlanning)}
            testID="plan-recipe"
          />
        ) : null}
        <Button
          label={t`Edit`}
          hint={t`Edit ${name}`}
          onPress={() => router.push({ pathname: '/bench/edit/[recipeId]', params: { recipeId } })}
          testID="edit-recipe"
        />
        <SavedActions recipe={recipe} />
      </View>
      {isPlanning && head ? <PlanIt recipe={recipe} head={head} onDone={() => setIsPlanning(false)} /> : null}
      {judged ? <Claim recipe={recipe} judged={judged} /> : null}
      {judged && wide ? <Cautions cautions={judged.cautions} level="stop" /> : null}
      <OwnWay recipe={recipe} />
      <LastTime recipe={recipe} />
    </Screen>
  );
}

/** What one use moves on the axis, pieces of firmness; as on "What works". */
const EFFECT_DOMAIN = [-1.3, 1.3] as const;

/** What it reads as on the axis with its zero, and under it what it did to this hair. */
function VerdictPicture({ judged, recipeId }: { judged: Judged; recipeId: string }) {
  const { width, onLayout } = useWidth();
  const firmness = useHairState()?.signals.firmness;
  const response = firmness?.responses.find((each) => each.recipeId === recipeId);
  const { push } = judged.verdict;
  return (
    <View
      onLayout={onLayout}
      className="rounded-2xl border border-line bg-raised px-2 py-2"
      testID="verdict-picture"
    >
      <AxisEnds />
      {width > 0 ? (
        <>
          <PushBar width={width - 18} {...push} label={t`What the recipe reads as`} />
          {response && response.uses > 0 ? (
            <EffectBar
              width={width - 18}
              domain={EFFECT_DOMAIN}
              mean={response.mean}
              low={response.mean - Z90 * response.sd}
              high={response.mean + Z90 * response.sd}
              expected={response.expected.mean}
              label={t`What one use did: ${{ effect: effectText('firmness', response.mean) }}`}
            />
          ) : null}
        </>
      ) : null}
      {response && response.uses > 0 ? (
        <Small>{t`Above: what's in it. Below: what it did, nine times in ten.`}</Small>
      ) : null}
    </View>
  );
}

/** What she calls it and what the figures say; her answer is kept as the next version. */
function Claim({ recipe, judged }: { recipe: RecipeVersion; judged: Judged }) {
  const add = useAddRecords();
  const reading = useReading();
  if (!judged.argument) return null;
  const count = (countedAs: RecipeVersion['countedAs']) => {
    const { recipeId, version, name } = recipe;
    const next = versionFromDraft(
      { ...draftOf(recipe), countedAs },
      { ...newStamp(), recipeId, version: version + 1 },
      reading,
      recipe,
    );
    if (next.ok) add([next.value], t`Noted for ${name}.`);
  };
  return <ClaimQuestion argument={judged.argument} countedAs={recipe.countedAs} onCount={count} />;
}

function OwnWay({ recipe }: { recipe: RecipeVersion }) {
  const { larder } = useReading();
  const steps = useMemo(() => stepsOf(recipe, larder), [recipe, larder]);
  const method = useMethod({ recipe, factor: 1 }, steps);
  const warnings = useWarnings({ recipe, steps });
  return (
    <View className="gap-1">
      <Heading level={2}>{t`How you make it`}</Heading>
      <MethodList method={method} warnings={warnings} />
      <MethodSums method={method} />
    </View>
  );
}

/** When it went on last, and what it has done so far. */
function LastTime({ recipe }: { recipe: RecipeVersion }) {
  const head = useHead();
  return head ? <LastOn recipe={recipe} headId={head.headId} /> : null;
}

function LastOn({ recipe, headId }: { recipe: RecipeVersion; headId: string }) {
  const { sessions } = useHistory(headId);
  const firmness = useHairState()?.signals.firmness;
  const used = sessions.filter(({ recipeId }) => recipeId === recipe.recipeId);
  const last = used.reduce<(typeof used)[number] | null>(
    (latest, each) => (latest === null || each.day > latest.day ? each : latest),
    null,
  );
  const response = firmness?.responses.find(({ recipeId }) => recipeId === recipe.recipeId);
  return (
    <View className="gap-1">
      <Heading level={2}>{t`Last time`}</Heading>
      <Body>
        {last
          ? t`${{ day: formatDay(last.day, 'd MMMM yyyy') }}, ${{ minutes: minutesText(last.contactMinutes) }} on.`
          : t`Not yet.`}
      </Body>
      {firmness && response && response.uses > 0 ? <Small>{effectInWords(firmness, response)}</Small> : null}
    </View>
  );
}
