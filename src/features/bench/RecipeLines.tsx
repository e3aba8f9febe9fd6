import { View } from 'react-native';
import { ingredientById } from '@/core/ingredients';
import type { ParsedRecipe, ReadLine, UnreadLine } from '@/core/recipes';
import { Body, Button, Problem, Small, Strong } from '@/ui';
import { grams } from './Ledger';

interface RecipeLinesProps {
  readonly recipe: ParsedRecipe;
  /** Puts a line in the place of another in the text. */
  readonly onReplace: (line: string, by: string) => void;
}

/** How each line was understood. What was not is said first, with a way to mend it. */
export function RecipeLines({ recipe, onReplace }: RecipeLinesProps) {
  const unread = recipe.lines.filter((line): line is UnreadLine => line.status === 'unread');
  return (
    <View className="gap-3">
      {unread.map((line, index) => (
        <View
          key={index}
          role="group"
          aria-label={`Not understood: ${line.text}`}
          className="gap-1 border-l-4 border-danger pl-3"
        >
          <Strong>{line.text.slice(0, 120)}</Strong>
          <Problem>{line.problem.message}</Problem>
          <View className="flex-row flex-wrap gap-2">
            {line.suggestions.map((suggestion) => (
              <Button
                key={suggestion}
                label={suggestion}
                hint={`Write ${suggestion} instead`}
                onPress={() => onReplace(line.text, suggestion)}
              />
            ))}
          </View>
        </View>
      ))}
      <View role="list" aria-label="Lines as understood" className="gap-2">
        {recipe.lines.map((line, index) =>
          line.status === 'read' ? (
            <View key={index} role="listitem">
              <View className="flex-row justify-between gap-3">
                <Body className="flex-1">{line.text}</Body>
                <Body>{grams(line.grams)}</Body>
              </View>
              <ReadAs line={line} />
            </View>
          ) : line.status === 'note' ? (
            <View key={index} role="listitem">
              <Small>Note: {line.text}</Small>
            </View>
          ) : null,
        )}
      </View>
    </View>
  );
}

/** What the line was taken for, where its own words do not say it already. */
function ReadAs({ line }: { line: ReadLine }) {
  const name = ingredientById(line.ingredientId)?.name ?? line.ingredientId;
  const said = line.text.toLowerCase().includes(name.toLowerCase());
  const words = [...(said ? [] : [name]), ...line.assumptions.map((assumption) => assumption.text)];
  return words.length > 0 ? <Small>{words.join(' · ')}</Small> : null;
}
