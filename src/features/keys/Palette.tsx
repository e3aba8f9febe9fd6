import { t } from '@lingui/core/macro';
import { Command } from 'cmdk';
import { router, type Href } from 'expo-router';
import { headChosen, selectHeads, selectRecipes, useAppDispatch, useAppSelector } from '@/store';
import { Sheet } from '@/ui/Sheet';
import { actions } from './keyActions';

/** One line of the list; the one that Enter takes is marked. */
const ITEM = 'cursor-pointer rounded-xl px-4 py-3 font-text text-body text-ink aria-selected:bg-zone';

/** Goes anywhere by its name: places, recipes, heads. */
export function Palette({ onClose }: { onClose: () => void }) {
  const recipes = useAppSelector(selectRecipes);
  const heads = useAppSelector(selectHeads);
  const dispatch = useAppDispatch();
  const go = (to: Href) => {
    onClose();
    router.push(to);
  };
  return (
    <Sheet title={t`Go to`} onClose={onClose} testID="palette">
      <Command label={t`Go to`} loop>
        <Command.Input
          autoFocus
          placeholder={t`A place, a recipe, a person`}
          className="min-h-target w-full rounded-xl border-2 border-edge bg-raised px-4 py-2 font-text text-body text-ink"
        />
        <Command.List className="max-h-[50vh] overflow-auto pt-3">
          <Command.Empty className="px-4 py-3 font-text text-body text-ink">{t`Nothing is called that.`}</Command.Empty>
          {actions().map(({ to, label, words }) => (
            <Command.Item key={to} value={`${label} ${words}`} onSelect={() => go(to)} className={ITEM}>
              {label}
            </Command.Item>
          ))}
          {heads.map(({ headId, name }) => (
            <Command.Item
              key={headId}
              value={`head ${name} ${headId}`}
              onSelect={() => {
                dispatch(headChosen(headId));
                onClose();
              }}
              className={ITEM}
            >
              {t`${name}, on screen`}
            </Command.Item>
          ))}
          {recipes.map(({ recipeId, name }) => (
            <Command.Item
              key={recipeId}
              value={`recipe ${name} ${recipeId}`}
              onSelect={() => go({ pathname: '/recipes/[recipeId]', params: { recipeId } })}
              className={ITEM}
            >
              {name}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  );
}
