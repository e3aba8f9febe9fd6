const WRITING = 'input, textarea, select, [contenteditable], [role="textbox"]';

/** Whether a key goes into what is being written: there it is none of ours. */
export const isWriting = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(WRITING) !== null;
