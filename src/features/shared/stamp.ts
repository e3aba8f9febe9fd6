/** What every new record carries: an id of its own and the moment of writing. */
export function newStamp(): { id: string; recordedAt: string } {
  return { id: crypto.randomUUID(), recordedAt: new Date().toISOString() };
}
