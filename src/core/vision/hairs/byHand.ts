import { jStat } from 'jstat';
import type { Point } from '../pictures';
import type { MeasuredHair } from './measureHairs';

/** A hair as she leaves it: found, split, joined, or taken for the other kind. */
export interface KeptHair {
  readonly id: string;
  readonly lines: readonly (readonly Point[])[];
  readonly lengthMm: number;
  readonly kind: MeasuredHair['kind'];
}

export function keptFrom(hairs: readonly MeasuredHair[]): KeptHair[] {
  return hairs.map(({ line, lengthMm, kind }, index) => ({
    id: String(index + 1),
    lines: [line],
    lengthMm,
    kind,
  }));
}

/** Without one: dust, a forecast, a crease. */
export const struck = (hairs: readonly KeptHair[], id: string): KeptHair[] =>
  hairs.filter((hair) => hair.id !== id);

export const turned = (hairs: readonly KeptHair[], id: string): KeptHair[] =>
  hairs.map((hair) =>
    hair.id === id ? { ...hair, kind: hair.kind === 'broken' ? 'shed' : 'broken' } : hair,
  );

/** Two hairs that were followed as one: cut in the middle. */
export function split(hairs: readonly KeptHair[], id: string): KeptHair[] {
  return hairs.flatMap((hair): KeptHair[] => {
    if (hair.id !== id) return [hair];
    const places = hair.lines.flat();
    const middle = Math.ceil(places.length / 2);
    return [places.slice(0, middle), places.slice(middle - 1)].map((line, half) => ({
      ...hair,
      id: `${id}${half === 0 ? 'a' : 'b'}`,
      lines: [line],
      lengthMm: hair.lengthMm / 2,
    }));
  });
}

/** Two pieces that are one hair; it fell out if either did. */
export function joined(hairs: readonly KeptHair[], id: string, withId: string): KeptHair[] {
  const [one, other] = [id, withId].map((each) => hairs.find((hair) => hair.id === each));
  if (!one || !other || one === other) return [...hairs];
  const whole: KeptHair = {
    ...one,
    lines: [...one.lines, ...other.lines],
    lengthMm: one.lengthMm + other.lengthMm,
    kind: one.kind === 'shed' || other.kind === 'shed' ? 'shed' : 'broken',
  };
  return hairs.flatMap((hair) => (hair === one ? [whole] : hair === other ? [] : [hair]));
}

export function countsOf(hairs: readonly KeptHair[]): { readonly broken: number; readonly shed: number } {
  const shed = hairs.filter(({ kind }) => kind === 'shed').length;
  return { broken: hairs.length - shed, shed };
}

/** A count is right to a tenth with the chance that it is sure; which is broken and which was shed errs by this beside (rendered sheets). */
const WITHIN = 0.1;
const KIND_ERROR = 0.1;

/** One error of the logarithm of a count that a picture gave. @param sure chance that it is right to a tenth, 0 to 1 */
export function countDoubt(sure: number): number {
  const reach = jStat.normal.inv(0.5 + Math.min(0.99, Math.max(0.05, sure)) / 2, 0, 1);
  return Math.hypot(WITHIN / reach, KIND_ERROR);
}
