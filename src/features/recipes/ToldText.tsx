import { plural, t } from '@lingui/core/macro';
import { memo, useState, type ReactNode } from 'react';
import { Text, View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import type { Fate, ParsedLine, ParsedRecipe, Span } from '@/core/recipe/larder';
import { Button, Small } from '@/ui';

/** What a screen reader says of a stretch, and how it is marked: by line and weight, not by colour alone. */
const fates = perLanguage((): Record<Fate, { readonly word: string; readonly look: string }> => ({
  ingredient: { word: t`ingredient`, look: 'rounded bg-band font-strong' },
  step: { word: t`step`, look: 'rounded bg-zone' },
  title: { word: t`title`, look: 'font-strong underline decoration-dashed underline-offset-4' },
  remark: { word: t`remark`, look: '' },
  unread: {
    word: t`not understood`,
    look: 'font-strong text-danger underline decoration-wavy underline-offset-4',
  },
}));

interface ToldTextProps {
  readonly text: string;
  readonly recipe: ParsedRecipe;
  /** What is said of the line that a stretch belongs to. */
  readonly lineView: (line: ParsedLine, index: number) => ReactNode;
  /** Counts what was only named. */
  readonly onCount: (name: string) => void;
}

/** The told text with what became of each stretch; a stretch of a line opens it. */
export const ToldText = memo(function ToldText({ text, recipe, lineView, onCount }: ToldTextProps) {
  const [open, setOpen] = useState<number | null>(null);
  const unread = recipe.lines.filter(({ status }) => status === 'unread').length;
  const line = open === null ? undefined : recipe.lines[open];
  return (
    <View className="gap-2" testID="told-text">
      <Small>
        {unread === 0
          ? t`Everything was understood.`
          : plural(unread, { one: '# thing is not understood.', other: '# things are not understood.' })}
      </Small>
      <Text className="rounded-2xl border-2 border-line bg-raised p-4 font-text text-body text-ink">
        {recipe.spans.map((span) => (
          <Stretch
            key={span.start}
            span={span}
            text={text.slice(span.start, span.end)}
            isOpen={open !== null && span.line === open}
            onPress={span.line === null ? undefined : () => setOpen(span.line === open ? null : span.line)}
          />
        ))}
      </Text>
      {line && open !== null ? (
        <View role="region" aria-label={t`How it was read`} className="rounded-2xl border-2 border-ink p-3">
          {lineView(line, open)}
        </View>
      ) : null}
      <NotCounted recipe={recipe} onCount={onCount} />
      <ToldFacts recipe={recipe} />
    </View>
  );
});

/** What is named and goes into no line: said, and counted with one tap. */
function NotCounted({ recipe, onCount }: Pick<ToldTextProps, 'recipe' | 'onCount'>) {
  const names = recipe.notCounted.slice(0, SHOWN_NAMES);
  if (names.length === 0) return null;
  return (
    <View
      role="group"
      aria-label={t`Named, not counted`}
      className="flex-row flex-wrap items-center gap-x-3"
      testID="not-counted"
    >
      <Small>{t`Named, not counted:`}</Small>
      {names.map(({ name }) => (
        <Button key={name} tone="quiet" label={t`Count ${name}`} onPress={() => onCount(name)} />
      ))}
    </View>
  );
}
const SHOWN_NAMES = 4;

interface StretchProps {
  readonly span: Span;
  readonly text: string;
  readonly isOpen: boolean;
  readonly onPress: (() => void) | undefined;
}

function Stretch({ span, text, isOpen, onPress }: StretchProps) {
  const { word, look } = fates()[span.fate];
  const said = text.trim();
  if (said === '' || span.fate === 'remark') return <Text>{text}</Text>;
  const tail = text.slice(text.trimEnd().length);
  const head = text.slice(0, text.length - text.trimStart().length);
  if (!onPress)
    return (
      <>
        {head}
        <Text className={look}>{said}</Text>
        {tail}
      </>
    );
  return (
    <>
      {head}
      <Text
        role="button"
        tabIndex={0}
        aria-label={`${said}: ${word}`}
        aria-expanded={isOpen}
        onPress={onPress}
        className={`${look} ${isOpen ? 'underline' : ''}`}
      >
        {said}
      </Text>
      {tail}
    </>
  );
}

/** What the method sets, in a word each. */
function ToldFacts({ recipe: { told } }: { recipe: ParsedRecipe }) {
  const { minutes, overnight, cap, warmth, strained, beforeWash, coolRinse, keepsDays } = told;
  const facts = [
    overnight
      ? t`overnight`
      : minutes === null
        ? null
        : plural({ minutes }, { one: '# minute', other: '# minutes' }),
    warmth === 'warm' ? t`with warmth` : cap ? t`under a cap` : null,
    strained ? t`strained` : null,
    beforeWash ? t`before the wash` : null,
    coolRinse ? t`rinsed cool` : null,
    keepsDays === null ? null : plural({ keepsDays }, { one: 'keeps # day', other: 'keeps # days' }),
  ].filter((fact): fact is string => fact !== null);
  if (facts.length === 0) return null;
  return (
    <View role="list" aria-label={t`What you said of its use`} className="flex-row flex-wrap gap-2">
      {facts.map((fact) => (
        <View key={fact} role="listitem" className="rounded-full bg-zone px-3 py-1">
          <Text className="font-text text-small text-ink">{fact}</Text>
        </View>
      ))}
    </View>
  );
}
