import { EMPTY_HISTORY, type HeadHistory } from '@/core/hair/history';
import { selectHistory, useAppSelector } from '@/store';

/** What is known of one head. */
export function useHistory(headId: string | undefined): HeadHistory {
  return useAppSelector((root) => (headId === undefined ? EMPTY_HISTORY : selectHistory(root, headId)));
}
