import { t } from '@lingui/core/macro';
import isEqual from 'fast-deep-equal';
import { memo, useState } from 'react';
import { View } from 'react-native';
import type { View as AmountView } from '@/core/base/measures';
import type { Formula, FormulaFinding } from '@/core/kitchen/formulation';
import { errorText, lineInView, percentText } from '@/core/kitchen/making';
import {
  readLines,
  type Alternative,
  type ParsedLine,
  type ParsedRecipe,
  type ReadLine,
  type UnreadLine,
} from '@/core/recipe/larder';
import { Body, Button, Problem, Small, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';
import { GuessSlider } from './GuessSlider';
import { OwnMeasureChoice } from './OwnMeasureChoice';

interface RecipeLinesProps {
  readonly recipe: ParsedRecipe;
  readonly view: AmountView;
  /** What is wrong with it as a formula; null for a plain recipe. */
  readonly formula: Formula | null;
  /** Says one line otherwise. */
  readonly onReplace: (line: ParsedLine, by: string) => void;
}

/** How each line was understood. What was not is said first, with a way to mend it. */
export function RecipeLines({ recipe, view, formula, onReplace }: RecipeLinesProps) {
  const unread = recipe.lines.filter((line): line is UnreadLine => line.status === 'unread');
  const total = readLines(recipe).reduce((sum, line) => sum + line.grams, 0);
  return (
    <View className="gap-3">
      {unread.map((line) => (
        <UnreadRow key={line.at[0]?.start ?? line.row} line={line} onReplace={onReplace} />
      ))}
      {formula?.findings
        .filter((finding) => finding.line === null)
        .map((finding) => (
          <Problem key={finding.code}>{finding.text}</Problem>
        ))}
      <View role="list" aria-label={t`Lines as understood`} className="gap-2">
        {recipe.lines.map((line, index) =>
          line.status === 'read' ? (
            <ReadRow
              key={index}
              line={line}
              named={!sharesRow(recipe, line)}
              view={view}
              percent={formula?.percents.get(index) ?? (100 * line.grams) / total}
              findings={formula?.findings.filter((finding) => finding.line === index) ?? []}
              onReplace={onReplace}
            />
          ) : null,
        )}
      </View>
    </View>
  );
}

function sharesRow({ lines }: ParsedRecipe, line: ReadLine): boolean {
  return lines.some((other) => other !== line && other.row === line.row);
}

/** One line, opened from the told text. */
export function OneLine({
  line,
  index,
  recipe,
  view,
  formula,
  onReplace,
}: RecipeLinesProps & { readonly line: ParsedLine; readonly index: number }) {
  if (line.status === 'unread') return <UnreadRow line={line} onReplace={onReplace} />;
  if (line.status === 'note') return null;
  const total = readLines(recipe).reduce((sum, { grams }) => sum + grams, 0);
  return (
    <ReadRow
      line={line}
      named={false}
      view={view}
      percent={formula?.percents.get(index) ?? (100 * line.grams) / total}
      findings={formula?.findings.filter((finding) => finding.line === index) ?? []}
      onReplace={onReplace}
    />
  );
}

function UnreadRow({ line, onReplace }: { line: UnreadLine; onReplace: RecipeLinesProps['onReplace'] }) {
  return (
    <View
      role="group"
      aria-label={t`Not understood: ${{ line: line.text }}`}
      className="gap-1 border-l-4 border-danger pl-3"
    >
      <Strong>{line.text.slice(0, 120)}</Strong>
      <Problem>{line.problem.message}</Problem>
      <View className="flex-row flex-wrap gap-2">
        {line.suggestions.map((suggestion) => (
          <Button
            key={suggestion}
            label={suggestion}
            hint={t`Write ${suggestion} instead`}
            onPress={() => onReplace(line, suggestion)}
          />
        ))}
      </View>
    </View>
  );
}

interface ReadRowProps {
  readonly line: ReadLine;
  /** Its words name this one thing, so the name need not be repeated where it stands there. */
  readonly named: boolean;
  readonly view: AmountView;
  readonly percent: number;
  readonly findings: readonly FormulaFinding[];
  readonly onReplace: RecipeLinesProps['onReplace'];
}

/** Drawn again only where something of it changed: each key makes all lines anew. */
const ReadRow = memo(function ReadRow({ line, named, view, percent, findings, onReplace }: ReadRowProps) {
  const shown = lineInView(line, useLarder());
  const error = view === 'spoons' ? errorText(shown.spoons.error) : null;
  const amount =
    view === 'percent' ? percentText(percent) : view === 'spoons' ? shown.spoons.text : shown.grams.text;
  const said = named && line.text.toLowerCase().includes(line.name.toLowerCase());
  return (
    <View role="listitem">
      <View className="flex-row justify-between gap-3">
        <Body className="flex-1">{line.text}</Body>
        <Body>
          {amount}
          {error ? ` (${error})` : ''}
        </Body>
      </View>
      {said && !line.made ? null : (
        <Small>{line.made ? t`Your recipe ${{ lineName: line.name }}` : line.name}</Small>
      )}
      {line.assumptions.map((assumption) => (
        <Doubt
          key={assumption.code}
          text={assumption.text}
          alternatives={assumption.between ? [] : assumption.alternatives}
          onChoose={(by) => onReplace(line, by)}
        >
          {assumption.between ? (
            <GuessSlider
              between={assumption.between}
              name={line.name}
              onChoose={(by) => onReplace(line, by)}
            />
          ) : null}
          {assumption.code === 'own-measure' && (line.unit === 'my cup' || line.unit === 'my spoon') ? (
            <OwnMeasureChoice unit={line.unit} />
          ) : null}
        </Doubt>
      ))}
      {findings.map((finding) => (
        <Problem key={finding.code}>{finding.text}</Problem>
      ))}
    </View>
  );
}, isEqual);

/** Choices that fit under a line; the rest comes when asked for. */
const SHOWN_CHOICES = 2;

/** What had to be decided, and the other choices, one tap away. */
function Doubt({
  text,
  alternatives,
  onChoose,
  children,
}: {
  text: string;
  alternatives: readonly Alternative[];
  onChoose: (line: string) => void;
  children?: React.ReactNode;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? alternatives : alternatives.slice(0, SHOWN_CHOICES);
  return (
    <View className="flex-row flex-wrap items-center gap-x-3">
      <Small>{text}</Small>
      {shown.map(({ label, line }) => (
        <Button
          key={label}
          tone="quiet"
          label={label}
          hint={t`Take it as ${{ line: line.replace('\n', ' and ') }}`}
          onPress={() => onChoose(line)}
        />
      ))}
      {shown.length < alternatives.length ? (
        <Button
          tone="quiet"
          label={t`more …`}
          hint={t`More ways to take it: ${text}`}
          onPress={() => setAll(true)}
        />
      ) : null}
      {children}
    </View>
  );
}
