/** A planning rule as data: what it is, its default, its unit, and why it stands. */
export interface Rule {
  readonly id: string;
  readonly label: string;
  readonly value: number;
  readonly unit: 'per week' | 'days' | 'minutes' | 'share';
  readonly why: string;
}

const rule = (id: string, label: string, value: number, unit: Rule['unit'], why: string): Rule => ({
  id,
  label,
  value,
  unit,
  why,
});

/** Defaults are those of the job's rhythm rules; figures without a source there are working assumptions. */
export const RULES = {
  mainsPerWeek: rule(
    'mains-per-week',
    'Main treatments',
    2,
    'per week',
    'One or two a week; more leaves no time to see what a treatment did.',
  ),
  mainsPerWeekLeast: rule(
    'mains-per-week-least',
    'Main treatments at least',
    1,
    'per week',
    'A week without any leaves residue and dust, and nothing to read.',
  ),
  washGap: rule(
    'wash-gap',
    'Between two wash days',
    2,
    'days',
    'Each wash swells and shrinks the strand; it rests in between.',
  ),
  lightProteinGap: rule(
    'light-protein-gap',
    'Between two protein treatments',
    7,
    'days',
    'Light protein goes weekly at the most; results show late.',
  ),
  strongProteinGap: rule(
    'strong-protein-gap',
    'Between two strong protein treatments',
    28,
    'days',
    'Never twice within four weeks: overload builds up unseen.',
  ),
  moistureWithin: rule(
    'moisture-within',
    'Longest time without moisture',
    7,
    'days',
    'Moisture goes weekly or twice a week.',
  ),
  firmHold: rule(
    'firm-hold',
    'Chance of too firm at which protein stops',
    0.4,
    'share',
    'Firm hair gets no protein until it has recovered.',
  ),
  newPerWeek: rule(
    'new-per-week',
    'New recipes',
    1,
    'per week',
    'With two new ones nobody can say which one worked.',
  ),
  patchTest: rule(
    'patch-test',
    'Clear days after a patch test',
    2,
    'days',
    'A reaction can take 48 hours to show.',
  ),
  refreshEvery: rule(
    'refresh-every',
    'Refresh after a wash',
    3,
    'days',
    'Hair dries between washes; a mist every three to five days is enough.',
  ),
  washMinutes: rule(
    'wash-minutes',
    'A wash day without the waiting',
    60,
    'minutes',
    'Detangle, cleanse, section, apply, rinse.',
  ),
  prePooMinutes: rule('pre-poo-minutes', 'A pre-poo', 20, 'minutes', 'It works from twenty minutes on.'),
  refreshMinutes: rule('refresh-minutes', 'A refresh', 3, 'minutes', 'A mist and a scrunch.'),
} as const satisfies Record<string, Rule>;

/** The open weights of what the planner minimises; each is the cost of one unit of what it names. */
export const WEIGHTS = {
  /** a day at one unit of firmness outside the lane */
  outOfLane: 1,
  /** the same, on the firm side, on top: overload is slower to mend than softness */
  overload: 0.4,
  /** a day at one unit of log-breakage above its lane */
  breakage: 0.4,
  /** an hour of her time */
  hour: 0.05,
  /** a day beyond the longest time without moisture */
  moistureOverdue: 0.15,
  /** a main treatment short of the least in a week */
  mainMissing: 1.5,
  /** the same recipe twice in one week */
  sameAgain: 0.05,
} as const;
