import { useCallback, useState } from 'react';
import {
  draftDropped,
  draftKept,
  selectDrafts,
  useAppDispatch,
  useAppSelector,
  useAppStore,
  type RecipeDraft,
} from '@/store';

export const isSameDraft = (one: RecipeDraft, other: RecipeDraft): boolean =>
  (Object.keys(other) as (keyof RecipeDraft)[]).every(
    (field) => JSON.stringify(one[field]) === JSON.stringify(other[field]),
  );

/** What is typed into a recipe's form outlives a reload, another screen, another language, until it is saved. */
export function useKeptDraft(of: string, saved: RecipeDraft) {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  // Only whether there is one is watched: what is in it changes with every key.
  const isKept = useAppSelector((root) => selectDrafts(root)[of] !== undefined);
  const [start] = useState(() => selectDrafts(store.getState())[of] ?? saved);
  const [asSaved] = useState(saved);
  const [isClosed, setIsClosed] = useState(false);
  const keep = useCallback(
    (draft: RecipeDraft) => {
      if (isClosed) return;
      if (!isSameDraft(draft, asSaved)) dispatch(draftKept({ of, draft }));
      else if (isKept) dispatch(draftDropped(of));
    },
    [dispatch, of, asSaved, isKept, isClosed],
  );
  const drop = useCallback(() => {
    setIsClosed(true);
    dispatch(draftDropped(of));
  }, [dispatch, of]);
  return { start, keep, drop };
}
