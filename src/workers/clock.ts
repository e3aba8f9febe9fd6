/** A clock that the browser does not slow down while the page is hidden: in a worker its timers are exact. */
export const clockApi = {
  after: (milliseconds: number): Promise<void> => new Promise((ring) => setTimeout(ring, milliseconds)),
};
export type ClockApi = typeof clockApi;
