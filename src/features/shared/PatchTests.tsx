import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { patchTestDays } from '@/core/plan/agenda';
import {
  firstUsePermit,
  patchTestOf,
  patchTestState,
  type FirstUsePermit,
  type PatchTestState,
} from '@/core/recipe/safety';
import type { Head, PatchTest } from '@/core/records/shapes';
import { Button, Small, Strong } from '@/ui';
import { KnownUse } from './KnownUse';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useHistory } from './useHistory';
import { useToday } from './useToday';

interface PatchTestsProps {
  readonly recipeId: string;
  readonly recipeName: string;
  readonly head: Head;
  /** Where the recipe and the head stand above it already, they are not said again. */
  readonly isNamed?: boolean;
}

/** Whether a recipe may go on a head for the first time, and what to do before it may. */
export function useFirstUse(
  recipeId: string,
  head: Head,
): { use: FirstUsePermit; test: PatchTest | undefined } {
  const history = useHistory(head.headId);
  const today = useToday();
  const test = patchTestOf(recipeId, head.headId, history.patchTests);
  const usedBefore = history.sessions.some((session) => session.recipeId === recipeId);
  const days = patchTestDays(history.planSettings, head.headId);
  return { use: firstUsePermit(test, usedBefore, today, days), test };
}

/** How each recipe stands on a head, and from when on it may go on: as the plan sees it. */
export function usePatchTestState(head: Head): (recipeId: string) => PatchTestState {
  const { patchTests, sessions, planSettings } = useHistory(head.headId);
  const today = useToday();
  return (recipeId) =>
    patchTestState(
      patchTestOf(recipeId, head.headId, patchTests),
      sessions.some((session) => session.recipeId === recipeId),
      today,
      patchTestDays(planSettings, head.headId),
    );
}

interface PatchTestsDueProps {
  readonly head: Head;
  /** Recipes that are planned for this head. */
  readonly planned: readonly string[];
}

/** What is still to be tested before it may go on as planned, and tests that wait to be read. */
export function PatchTestsDue({ head, planned }: PatchTestsDueProps) {
  const { patchTests, larder } = useHistory(head.headId);
  const waiting = patchTests.filter(({ outcome }) => outcome === 'waiting').map(({ recipeId }) => recipeId);
  const recipeIds = new Set([...waiting, ...planned]);
  return larder.recipes
    .filter(({ recipeId }) => recipeIds.has(recipeId))
    .map(({ recipeId, name }) => (
      <PatchTests key={recipeId} recipeId={recipeId} recipeName={name} head={head} />
    ));
}

/** The patch test of a recipe on one head: begun, waited for, read. Silent where none is needed. */
export function PatchTests({ recipeId, recipeName, head, isNamed = false }: PatchTestsProps) {
  const { use, test } = useFirstUse(recipeId, head);
  const today = useToday();
  const add = useAddRecords();
  const { larder } = useHistory(head.headId);
  const [isKnown, setIsKnown] = useState(false);
  const recipe = larder.lastVersion(recipeId);
  if (use.may) return null;
  const record = (outcome: PatchTest['outcome'], said: string) =>
    add(
      [
        {
          ...newStamp(),
          kind: 'patch-test',
          headId: head.headId,
          recipeId,
          startedOn: test?.startedOn ?? today,
          outcome,
          note: '',
          ...(test ? { corrects: test.id } : {}),
        },
      ],
      said,
    );
  return (
    <View className="gap-1 border-l-4 border-rule pl-3" testID={`patch-test-${head.headId}`}>
      {isNamed ? null : (
        <Strong>
          {head.name} · {recipeName}
        </Strong>
      )}
      <Small>{use.why}</Small>
      <View className="flex-row flex-wrap gap-3">
        {use.act === 'start' ? (
          <Button
            label={t`Patch test begun today`}
            hint={t`The patch test on ${{ headName: head.name }} is begun today`}
            onPress={() =>
              record('waiting', t`The patch test of ${recipeName} on ${{ headName: head.name }} is begun.`)
            }
          />
        ) : null}
        {use.act === 'start' && recipe && !isKnown ? (
          <Button
            label={t`I've used it before`}
            hint={t`I've used it before on ${{ headName: head.name }}`}
            onPress={() => setIsKnown(true)}
            testID={`known-${head.headId}-${recipeId}`}
          />
        ) : null}
        {use.act === 'read' || use.act === 'wait' ? (
          <Button
            label={t`It reacted`}
            hint={t`The skin of ${{ headName: head.name }} reacted`}
            onPress={() => record('reacted', t`${recipeName} is not for ${{ headName: head.name }}.`)}
          />
        ) : null}
        {use.act === 'read' ? (
          <Button
            label={t`Skin is clear`}
            hint={t`The skin of ${{ headName: head.name }} is clear`}
            onPress={() => record('clear', t`${recipeName} may go on ${{ headName: head.name }}.`)}
          />
        ) : null}
      </View>
      {isKnown && recipe ? <KnownUse recipe={recipe} head={head} onClose={() => setIsKnown(false)} /> : null}
    </View>
  );
}
