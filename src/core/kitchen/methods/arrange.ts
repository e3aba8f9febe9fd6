import type { SavedStep } from '../../records/shapes';
import type { MethodStep } from './method';
import { unbraced } from './parts';
import { withLines } from './told';

/** A change of the order or the words of steps. */
export type Arranging =
  | { readonly what: 'move'; readonly step: number; readonly by: 1 | -1 }
  /** With the one before it. */
  | { readonly what: 'join'; readonly step: number }
  /** Its lines go on in the step before it, or after it where it is the first. */
  | { readonly what: 'strike'; readonly step: number }
  /** As it is shown, with the amounts that stand there. */
  | { readonly what: 'say'; readonly step: number; readonly text: string; readonly shown: MethodStep };

/** The steps after a change; every line stays in exactly one of them. A change that cannot be done changes nothing. */
export function arrangedMethod(steps: readonly SavedStep[], change: Arranging): SavedStep[] {
  const own = steps[change.step];
  if (!own) return [...steps];
  switch (change.what) {
    case 'move':
      return moved(steps, change.step, change.step + change.by);
    case 'join': {
      const before = steps[change.step - 1];
      return before ? replaced(steps, change.step - 1, 2, joined(before, own)) : [...steps];
    }
    case 'strike':
      return struck(steps, change.step, own);
    case 'say':
      return replaced(steps, change.step, 1, said(own, change.text, change.shown));
  }
}

function replaced(steps: readonly SavedStep[], at: number, count: number, by: SavedStep): SavedStep[] {
  return [...steps.slice(0, at), by, ...steps.slice(at + count)];
}

function moved(steps: readonly SavedStep[], from: number, to: number): SavedStep[] {
  const step = steps[from];
  if (!step || to < 0 || to >= steps.length) return [...steps];
  const others = steps.filter((_, index) => index !== from);
  return [...others.slice(0, to), step, ...others.slice(to)];
}

function joined(first: SavedStep, second: SavedStep): SavedStep {
  return {
    text: `${first.text.replace(/[.\s]+$/, '')}. ${second.text.charAt(0).toUpperCase()}${second.text.slice(1)}`,
    lines: [...first.lines, ...second.lines],
    handsMinutes: first.handsMinutes + second.handsMinutes,
    waitMinutes: first.waitMinutes + second.waitMinutes,
    by: first.by === 'told' || second.by === 'told' ? 'told' : 'added',
    deeds: [...new Set([...first.deeds, ...second.deeds])],
  };
}

function struck(steps: readonly SavedStep[], at: number, own: SavedStep): SavedStep[] {
  const heir = steps[at === 0 ? 1 : at - 1];
  if (!heir) return [...steps];
  const left = steps.filter((_, index) => index !== at);
  if (own.lines.length === 0) return left;
  const text = withLines(heir.text, own.lines);
  return replaced(left, at === 0 ? 0 : at - 1, 1, { ...heir, text, lines: [...heir.lines, ...own.lines] });
}

/** Her new words; amounts that still stand in them go on changing with the batch, others stand behind in brackets. */
function said(own: SavedStep, text: string, shown: MethodStep): SavedStep {
  const written = text.trim();
  if (written === '') return own;
  let template = unbraced(written);
  const missing: number[] = [];
  const inOrder = [...shown.lines].sort((a, b) => b.phrase.length - a.phrase.length);
  for (const { line, phrase } of inOrder) {
    const at = template.toLowerCase().indexOf(phrase.toLowerCase());
    if (at < 0) missing.push(line);
    else template = `${template.slice(0, at)}{${line}}${template.slice(at + phrase.length)}`;
  }
  return { ...own, text: withLines(template, missing), by: 'told' };
}
