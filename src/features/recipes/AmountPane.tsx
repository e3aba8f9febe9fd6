import { plural, t } from '@lingui/core/macro';
import { View } from 'react-native';
import { fixed, perLanguage } from '@/core/base/language';
import type { Result } from '@/core/base/measures';
import { hairMassReason } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import { Chip, Choice, Field, FieldGroup, Problem, Small } from '@/ui';
import { grams } from '../shared/amounts';
import type { AmountDraft, HeadAmount, TargetKind } from './useAmount';

const kindChoices = perLanguage((): readonly { readonly value: TargetKind; readonly label: string }[] => [
  { value: 'written', label: t`as written` },
  { value: 'heads', label: t`for one person` },
  { value: 'grams', label: t`grams` },
  { value: 'jar', label: t`a jar` },
  { value: 'portions', label: t`portions` },
  { value: 'left', label: t`what is left` },
]);

interface AmountPaneProps {
  readonly draft: AmountDraft;
  readonly change: (part: Partial<AmountDraft>) => void;
  readonly heads: readonly Head[];
  readonly amounts: readonly HeadAmount[];
  readonly factor: Result<number>;
  /** Of the recipe as it stands, to put on. */
  readonly finishedGrams: number;
  /** Names of the lines that weigh something, by their index. */
  readonly lineNames: readonly { readonly index: number; readonly name: string }[];
}

/** How much is wanted: for heads, in grams, for jars, in portions, or from what is left of one ingredient. */
export function AmountPane({
  draft,
  change,
  heads,
  amounts,
  factor,
  finishedGrams,
  lineNames,
}: AmountPaneProps) {
  const kinds = heads.length > 0 ? kindChoices() : kindChoices().filter(({ value }) => value !== 'heads');
  return (
    <FieldGroup label={t`How much?`}>
      <Choice label={t`How much`} options={kinds} value={draft.kind} onChange={(kind) => change({ kind })} />
      {draft.kind === 'heads' ? (
        <HeadsWanted draft={draft} change={change} heads={heads} amounts={amounts} />
      ) : null}
      {draft.kind === 'written' ? <UsesOfAll finishedGrams={finishedGrams} amounts={amounts} /> : null}
      <View className="flex-row flex-wrap gap-4">
        {fields()[draft.kind].map(({ key, label }) => (
          <Field
            key={key}
            className="w-field-m"
            label={label}
            numeric
            value={String(draft[key])}
            onChange={(text) => change({ [key]: text })}
            testID={`amount-${key}`}
          />
        ))}
      </View>
      {draft.kind === 'left' ? (
        <Choice
          label={t`Of which ingredient`}
          options={lineNames.map(({ index, name }) => ({ value: index, label: name }))}
          value={draft.line}
          onChange={(line) => change({ line })}
        />
      ) : null}
      {factor.ok ? null : <Problem live>{factor.problems[0].message}</Problem>}
    </FieldGroup>
  );
}

/** For how many uses all of it is, on each chosen head. */
function UsesOfAll({ finishedGrams, amounts }: Pick<AmountPaneProps, 'finishedGrams' | 'amounts'>) {
  return amounts.map(({ head, grams: needed }) => {
    const uses = Math.max(HALF, Math.round(finishedGrams / needed / HALF) * HALF);
    return (
      <Small key={head.headId}>
        {t`About ${plural(uses, { one: '# use', other: '# uses' })} for ${{ name: head.name }}.`}
      </Small>
    );
  });
}

const HALF = 0.5;

type TextKey = 'grams' | 'millilitres' | 'jars' | 'portions' | 'portionGrams' | 'gramsLeft';

const fields = perLanguage(
  (): Record<TargetKind, readonly { readonly key: TextKey; readonly label: string }[]> => ({
    written: [],
    heads: [],
    grams: [{ key: 'grams', label: t`Grams to put on` }],
    jar: [
      { key: 'millilitres', label: t`One jar, ml` },
      { key: 'jars', label: t`Jars` },
    ],
    portions: [
      { key: 'portions', label: t`Portions` },
      { key: 'portionGrams', label: t`One portion, g` },
    ],
    left: [{ key: 'gramsLeft', label: t`Grams left` }],
  }),
);

function HeadsWanted({
  draft,
  change,
  heads,
  amounts,
}: Pick<AmountPaneProps, 'draft' | 'change' | 'heads' | 'amounts'>) {
  const toggle = (headId: string) =>
    change({
      headIds: draft.headIds.includes(headId)
        ? draft.headIds.filter((other) => other !== headId)
        : [...draft.headIds, headId],
    });
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        {heads.map(({ headId, name }) => (
          <Chip
            key={headId}
            label={name}
            pressed={draft.headIds.includes(headId)}
            hint={t`Make it for ${name}`}
            onPress={() => toggle(headId)}
            testID={`for-${headId}`}
          />
        ))}
      </View>
      {amounts.map(({ head, grams: needed, factor, uses }) => (
        <Small key={head.headId}>
          {t`${{ name: head.name }}: ${{ grams: grams(needed) }}. ${{ reason: hairMassReason(head) }} ${{ factor: fixed(factor, 2) }} g to a gram of hair, ${plural(uses, { 0: 'as is usual', one: 'learned from # use', other: 'learned from # uses' })}.`}
        </Small>
      ))}
    </View>
  );
}
