import { millisecondsOf } from '@/core/base/measures';
import { ringAfter } from '@/workers';
import { canNotify, mayNotify } from './canNotify';

/** Hours of a day in which only a clock that she started herself may speak; from after to where it passes midnight. */
export interface QuietHours {
  readonly from: number;
  readonly to: number;
}

/** A message that this device shows while the page is out of sight. */
export interface Notice {
  /** A later one of the same takes its place. */
  readonly tag: string;
  readonly title: string;
  readonly text: string;
}

export interface Reminder extends Notice {
  /** When, as an instant. */
  readonly at: string;
}

/** Nobody was asked yet. */
const mayAsk = (): boolean => canNotify() && Notification.permission === 'default';

/** Asks the browser; a refusal changes nothing else. */
export async function askToNotify(): Promise<boolean> {
  if (mayAsk()) await Notification.requestPermission().catch(() => undefined);
  return mayNotify();
}

export function isQuiet(hour: number, { from, to }: QuietHours): boolean {
  if (from === to) return false;
  return from < to ? hour >= from && hour < to : hour >= from || hour < to;
}

/** Shows a message if the page is out of sight and the browser was allowed to. */
export async function notify({ tag, title, text }: Notice): Promise<void> {
  if (!mayNotify() || document.visibilityState === 'visible') return;
  const options = { body: text, tag, icon: '/icons/icon-192.png' };
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  // Phones show messages of a service worker only.
  if (worker) await worker.showNotification(title, options).catch(() => undefined);
  else new Notification(title, options);
}

const waiting = new Map<string, string>();

/** Messages for later today, while this page is open somewhere; each stands until another of its tag is planned. */
export function planReminders(reminders: readonly Reminder[], quiet: QuietHours): void {
  for (const reminder of reminders) {
    const { tag, at } = reminder;
    const left = millisecondsOf(at) - Date.now();
    if (left <= 0 || left > MOST_AHEAD_MS || waiting.get(tag) === at) continue;
    if (isQuiet(new Date(at).getHours(), quiet)) continue;
    waiting.set(tag, at);
    void ringAfter(left).then(() => {
      if (waiting.get(tag) !== at) return;
      waiting.delete(tag);
      void notify(reminder);
    });
  }
}
/** Beyond a day everything may have changed; it is planned again when the page is looked at. */
const MOST_AHEAD_MS = 24 * 3600 * 1000;
