/** Whether this browser knows messages at all. The rest of them is fetched when it is wanted: see notices. */
export const canNotify = (): boolean => 'Notification' in globalThis;
export const mayNotify = (): boolean => canNotify() && Notification.permission === 'granted';
