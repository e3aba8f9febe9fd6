import { daysBetween, type CalendarDay } from '../../base/measures';
import type { Session } from '../../records/shapes';

/** Two new recipes within so many days, and nobody can say which one worked. */
const APART_DAYS = 7;

export interface FirstUse {
  readonly recipeId: string;
  readonly day: CalendarDay;
}

/** When each recipe was used for the first time, earliest first; of what is told from memory nobody knows. */
export function firstUses(sessions: readonly Session[]): FirstUse[] {
  const remembered = new Set(sessions.filter(({ about }) => about).map(({ recipeId }) => recipeId));
  const first = new Map<string, CalendarDay>();
  for (const { recipeId, day } of sessions) {
    if (remembered.has(recipeId)) continue;
    const known = first.get(recipeId);
    if (known === undefined || day < known) first.set(recipeId, day);
  }
  return [...first].map(([recipeId, day]) => ({ recipeId, day })).sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** First uses that came within a week of each other, each group of two or more, earliest first. */
export function firstUsesTogether(sessions: readonly Session[]): FirstUse[][] {
  const groups: FirstUse[][] = [];
  for (const use of firstUses(sessions)) {
    const group = groups.at(-1);
    const last = group?.at(-1);
    if (group && last && daysBetween(last.day, use.day) < APART_DAYS) group.push(use);
    else groups.push([use]);
  }
  return groups.filter((group) => group.length > 1);
}
