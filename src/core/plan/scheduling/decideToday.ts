import {
  handsMinutes,
  sharedMinutesOn,
  timedMinutes,
  type DecidedDay,
  type HeadProblem,
  type PlanProblem,
  type TimedMinutes,
} from '../planning';
import { todayOptions, type TodayOption } from './today';

/**
 * The same question with its first day decided for each head that was looked at on it: what is known of the hair is newest then, so
 * the day is weighed by itself and the weeks are planned around it. What she decided, a trial, or a wash that is done stands.
 * @param isRead whether the hair of this head was felt or stretched on the plan's first day
 */
export function withTodayDecided(problem: PlanProblem, isRead: (headId: string) => boolean): PlanProblem {
  const taken: TimedMinutes[] = [];
  const heads = problem.heads.map((head, index): HeadProblem => {
    if (!isOpen(head, problem) || !isRead(head.head.headId)) return head;
    const minutes = ({ drafts }: TodayOption) => timedMinutes(head, drafts);
    const best = todayOptions(problem, index).find(
      (option) => handsMinutes([...taken, minutes(option)]) <= sharedMinutesOn(problem, problem.from),
    );
    if (!best) return head;
    taken.push(minutes(best));
    return { ...head, decidedToday: decidedBy(best) };
  });
  return { ...problem, heads };
}

/** The same question with its first day left to the planner. */
export function withTodayOpen(problem: PlanProblem): PlanProblem {
  return { ...problem, heads: problem.heads.map(({ decidedToday: _, ...head }) => head) };
}

function isOpen({ decisions, trial, past }: HeadProblem, { from }: PlanProblem): boolean {
  return (
    trial === null &&
    !decisions.some(({ slot, day }) => slot === 'main' && day === from) &&
    !past.some(({ use, day }) => use === 'mask' && day === from)
  );
}

function decidedBy({ drafts: [main, followUp] }: TodayOption): DecidedDay {
  return { main: main?.treatment ?? null, followUp: followUp?.treatment ?? null };
}
