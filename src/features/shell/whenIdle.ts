/** Does it when the page has nothing better to do; at once where the browser does not tell. @returns a function that calls it off */
export function whenIdle(act: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    act();
    return () => undefined;
  }
  const waiting = requestIdleCallback(act);
  return () => cancelIdleCallback(waiting);
}
