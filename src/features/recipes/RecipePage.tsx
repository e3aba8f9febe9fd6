import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { formatDay, Z90 } from '@/core/base/measures';
import type { Response } from '@/core/hair/state';
import { judgedText, type Judged, type JudgedText } from '@/core/kitchen/formulation';
import { verdictHeadline, type Verdict } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import type { Head, RecipeVersion, Session } from '@/core/records/shapes';
import { Body, Button, Heading, Screen, Small, useWidth } from '@/ui';
import { EffectBar } from '@/ui/charts/EffectBar';
import { PushBar } from '@/ui/charts/PushBar';
import { OpenLine } from '@/ui/OpenLine';
import { effectInWords, effectText, onHairWords } from '../shared/effectWords';
import { draftOf, versionFromDraft } from '../shared/recipeDraft';
import { newStamp } from '../shared/stamp';
import { minutesText } from '../shared/treatmentWords';
import { useAddRecords } from '../shared/useAddRecords';
import { useHairState } from '../shared/useHairAnswer';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useReading } from '../shared/useReading';
import { useSchool } from '../shared/useSchool';
import { verdictOf } from '../shared/verdictOf';
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
  const { recipeId, name, contactMinutes, warmth } = recipe;
  const read = useMemo(() => judgedText(recipe.text, { ...reading, head }), [recipe, reading, head]);
  const firmness = useHairState()?.signals.firmness;
  const response = firmness?.responses.find((each) => each.recipeId === recipeId && each.uses > 0);
  // What is saved, as the list and the plan have it; its words are read again for what there is to say about them.
  const verdict = verdictOf(recipe, useSchool(), reading.larder);
  const judged = read.judged.ok ? read.judged.value : null;
  const onHair = firmness && head ? onHairWords(firmness, response, head.name) : '';
  return (
    <Screen
      ofPerson
      over={versionText(recipe, reading.larder)}
      headline={name}
      reason={`${verdict ? `${verdictHeadline(verdict)}.` : problemOf(read)} ${onHair}`}
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
      {verdict ? <VerdictPicture push={verdict.push} response={response} /> : null}
      <Acts recipe={recipe} head={head} />
      {judged ? <Claim recipe={recipe} judged={judged} /> : null}
      {judged ? <Cautions cautions={judged.cautions} level="stop" /> : null}
      <OwnWay recipe={recipe} />
      {head ? (
        <LastTime recipeId={recipeId} headId={head.headId}>
          {firmness && response ? (
            <View role="list">
              <OpenLine title={t`What it did`} testID="what-it-did">
                <Small>{effectInWords(firmness, response)}</Small>
              </OpenLine>
            </View>
          ) : null}
        </LastTime>
      ) : null}
    </Screen>
  );
}

/** What most open the page to do; the rest behind one menu. */
function Acts({ recipe, head }: { recipe: RecipeVersion; head: Head | undefined }) {
  const { recipeId, name } = recipe;
  const [isPlanning, setIsPlanning] = useState(false);
  return (
    <>
      <View className="flex-row flex-wrap gap-2">
        <Button
          tone="main"
          label={t({ message: 'Make', context: 'a recipe' })}
          onPress={() => router.push({ pathname: '/recipes/make/[recipeId]', params: { recipeId } })}
          testID="make-recipe"
        />
        {head ? (
          <Button
            label={t({ message: 'Plan', context: 'a recipe' })}
            expanded={isPlanning}
            onPress={() => setIsPlanning(!isPlanning)}
            testID="plan-recipe"
          />
        ) : null}
        <Button
          label={t`Edit`}
          hint={t`Edit ${name}`}
          onPress={() => router.push({ pathname: '/recipes/edit/[recipeId]', params: { recipeId } })}
          testID="edit-recipe"
        />
        <SavedActions recipe={recipe} />
      </View>
      {isPlanning && head ? <PlanIt recipe={recipe} head={head} onDone={() => setIsPlanning(false)} /> : null}
    </>
  );
}

/** Which version, from the second on. */
const versionText = (recipe: RecipeVersion, larder: Larder): string =>
  recipe.version > 1 ? t`Recipe · version ${{ versionName: larder.versionName(recipe) }}` : t`Recipe`;

/** Why there is no verdict. */
const problemOf = ({ judged }: JudgedText): string => (judged.ok ? '' : judged.problems[0].message);

/** What one use moves on the axis, pieces of firmness; as on "What works". */
const EFFECT_DOMAIN = [-1.3, 1.3] as const;

/** What it reads as on the axis with its zero, and under it what it did to this hair, where it was used. */
function VerdictPicture({ push, response }: { push: Verdict['push']; response: Response | undefined }) {
  const { width, onLayout } = useWidth();
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
          {response ? (
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
      {response ? <Small>{t`Below: what it did.`}</Small> : null}
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
      <Heading level={2}>{t`Method`}</Heading>
      <MethodList method={method} warnings={warnings} />
      <MethodSums method={method} />
    </View>
  );
}

interface LastTimeProps {
  readonly recipeId: string;
  readonly headId: string;
  /** What it has done so far. */
  readonly children: ReactNode;
}

function LastTime({ recipeId, headId, children }: LastTimeProps) {
  const { sessions } = useHistory(headId);
  const last = sessions
    .filter((session) => session.recipeId === recipeId)
    .reduce<Session | null>((latest, each) => (latest && latest.day >= each.day ? latest : each), null);
  return (
    <View className="gap-1">
      <Heading level={2}>{t`Last time`}</Heading>
      <Body>
        {last
          ? t`${{ day: formatDay(last.day, 'd MMMM yyyy') }}, ${{ minutes: minutesText(last.contactMinutes) }} on.`
          : t`Not yet.`}
      </Body>
      {children}
    </View>
  );
}
