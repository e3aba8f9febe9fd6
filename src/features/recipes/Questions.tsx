import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { listed } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { kindLabels, type Argument } from '@/core/recipe/classification';
import { guessedLines, type ParsedRecipe } from '@/core/recipe/larder';
import type { Dose } from '@/core/recipe/safety';
import type { RecipeVersion } from '@/core/records/shapes';
import { Body, Button, Heading, Small } from '@/ui';

/** Something that is asked beside a telling, with its answers. */
function Asked({ title, children, testID }: { title: string; children: React.ReactNode; testID: string }) {
  return (
    <View
      role="region"
      aria-label={title}
      className="gap-2 rounded-2xl border-2 border-ink bg-raised p-4"
      testID={testID}
    >
      <Heading level={2}>{title}</Heading>
      {children}
    </View>
  );
}

interface SeveralProps {
  readonly names: readonly string[];
  readonly onOne: (index: number) => void;
  readonly onAll: () => void;
  /** They are parts of one. */
  readonly onAsOne: () => void;
}

/** A paste that holds several recipes: all of them at once, or one. */
export function SeveralRecipes({ names, onOne, onAll, onAsOne }: SeveralProps) {
  return (
    <Asked
      title={plural(
        { count: names.length },
        { one: '# recipe in this text', other: '# recipes in this text' },
      )}
      testID="several-recipes"
    >
      <Body>{t`Each can be saved as its own; or go on with one, the others stay one tap away.`}</Body>
      <View className="flex-row flex-wrap gap-2">
        <Button tone="main" label={t`Save each as its own`} onPress={onAll} testID="save-each" />
        {names.map((name, index) => (
          <Button key={index} label={name} hint={t`Go on with ${name} alone`} onPress={() => onOne(index)} />
        ))}
        <Button tone="quiet" label={t`It is one recipe`} onPress={onAsOne} testID="as-one" />
      </View>
    </Asked>
  );
}

/** One of several was taken: the whole paste is not lost. */
export function BackToAll({ onPress }: { onPress: () => void }) {
  return (
    <View className="items-start">
      <Button tone="quiet" label={t`Back to the whole text`} onPress={onPress} testID="whole-text" />
    </View>
  );
}

/** The list of a bought product goes where labels are read. */
export function LabelOffer({ text }: { text: string }) {
  return (
    <Asked title={t`This reads like the list on a label`} testID="label-offer">
      <Body>
        {t`A label says no amounts, only an order. Read as a bought product, it can then go into recipes by its name.`}
      </Body>
      <View className="items-start">
        <Button
          tone="main"
          label={t`Read it as a bought product`}
          onPress={() => router.push({ pathname: '/pantry/new', params: { label: text } })}
          testID="read-label"
        />
      </View>
    </Asked>
  );
}

/** An amount far beyond use stands before any verdict. */
export function DoseQuestion({ doses, onRight }: { doses: readonly Dose[]; onRight: () => void }) {
  return (
    <Asked title={t`First: is that amount right?`} testID="dose-question">
      {doses.map(({ name, percent, most }) => (
        <Body key={name}>
          {t`Of what goes on the hair ${{ percent: rounded(percent, percent < 10 ? 1 : 0) }} % would be ${name}; makers use ${most} % at most.`}
        </Body>
      ))}
      <Small>{t`Change the amount above; or say that it is meant so, and the verdict follows with its cautions.`}</Small>
      <View className="items-start">
        <Button label={t`It is meant so`} onPress={onRight} testID="dose-right" />
      </View>
    </Asked>
  );
}

/** Too little is said for a verdict: what would have to be said. */
export function WouldHaveToSay({ recipe }: { recipe: ParsedRecipe }) {
  const names = [...new Set(guessedLines(recipe).map(({ name }) => name))];
  if (names.length === 0) return null;
  return (
    <Asked title={t`What the verdict waits for`} testID="would-say">
      <Body>{t`How much of: ${{ names: listed(names) }}.`}</Body>
      <Small>{t`A spoon, a cup, “a handful” will do; or move the slider beside each below.`}</Small>
    </Asked>
  );
}

interface ClaimProps {
  readonly argument: Argument;
  readonly countedAs: RecipeVersion['countedAs'];
  readonly onCount: (as: RecipeVersion['countedAs']) => void;
}

/** "You call it protein. Is it?" and what she decided. */
export function ClaimQuestion({ argument, countedAs, onCount }: ClaimProps) {
  const { claim, reason, wouldTake } = argument;
  const kind = kindLabels()[claim].toLowerCase();
  if (countedAs !== undefined)
    return (
      <View className="flex-row flex-wrap items-center gap-x-3" testID="claim-decided">
        <Small>
          {countedAs === 'as-judged'
            ? t`You call it ${kind} and go by the figures.`
            : t`You count it as ${kind}; the plan goes by the figures.`}
        </Small>
        <Button tone="quiet" label={t`Decide again`} onPress={() => onCount(undefined)} />
      </View>
    );
  return (
    <Asked title={t`You call it ${kind}. Is it?`} testID="claim-question">
      <Body>{reason}</Body>
      <Body>{wouldTake}</Body>
      <View className="flex-row flex-wrap gap-2">
        <Button label={t`I go by the figures`} onPress={() => onCount('as-judged')} testID="claim-figures" />
        <Button label={t`I count it as ${kind}`} onPress={() => onCount(claim)} testID="claim-mine" />
      </View>
    </Asked>
  );
}
