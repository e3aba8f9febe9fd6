import { plural, t } from '@lingui/core/macro';
import type { Rule } from '@/core/plan/agenda';

/** "7 days", "40 %", "2 a week" */
export function ruleText({ unit }: Pick<Rule, 'unit'>, value: number): string {
  switch (unit) {
    case 'share':
      return t`${{ value: Math.round(100 * value) }} %`;
    case 'days':
      return value === 1 ? t`1 day` : plural(value, { one: '# day', other: '# days' });
    case 'minutes':
      return `${value} min`;
    case 'a week':
      return t`${value} a week`;
    case 'pieces':
      return String(value);
  }
}

/** What one press changes. */
export function stepOf({ unit }: Pick<Rule, 'unit'>): number {
  return unit === 'share' ? 0.05 : unit === 'minutes' ? 5 : 1;
}
