import kindList from '../../../../data/methods.json';
import { worded } from '../../base/language';
import { invariant } from '../../base/measures';
import type { Deed, KeepingClass } from '../../records/shapes';

/** What has to be washed up. */
export const TOOLS = ['bowl', 'pot', 'blender', 'cloth'] as const;
export type Tool = (typeof TOOLS)[number];

/** One way of making that exists, from data/methods.json. */
interface MethodKind {
  readonly id: string;
  readonly label: string;
  readonly deed: Deed;
  /** Done with heat besides. */
  readonly isHot: boolean;
  readonly needs: readonly Tool[];
  readonly handsMinutes: number;
  /** Null: as long as the preparation of what is in it says. */
  readonly waitMinutes: number | null;
  /** {what} goes in; {degrees} °C where it has a temperature. */
  readonly text: string;
  /** The same with something to be in: {liquid}. */
  readonly textIn: string;
  /** What of the ingredients ends up in the bowl. */
  readonly survives: string;
  /** What may go wrong. */
  readonly wrong: string;
  /** How what it makes keeps; null: as its parts do. */
  readonly keeping: KeepingClass | null;
}

const KINDS: ReadonlyMap<string, MethodKind> = new Map(
  (kindList as MethodKind[]).map((kind) => [
    kind.id,
    worded(kind, 'label', 'text', 'textIn', 'survives', 'wrong'),
  ]),
);

export function methodKind(id: string): MethodKind {
  const kind = KINDS.get(id);
  invariant(kind, `data/methods.json has no method ${id}`);
  return kind;
}
