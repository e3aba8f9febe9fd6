import type { HeadHistory } from '@/core/hair';
import { CATALOGUE_LARDER } from '@/core/recipes';
import { selectHistory, useAppSelector } from '@/store';

const NOTHING: HeadHistory = {
  recipes: [],
  readings: [],
  sessions: [],
  events: [],
  patchTests: [],
  trials: [],
  trialWashes: [],
  decisions: [],
  occasions: [],
  planSettings: [],
  challenges: [],
  larder: CATALOGUE_LARDER,
};

/** What is known of one head. */
export function useHistory(headId: string | undefined): HeadHistory {
  return useAppSelector((root) => (headId === undefined ? NOTHING : selectHistory(root, headId)));
}
