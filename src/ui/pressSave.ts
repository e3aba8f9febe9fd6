/** What sends a form; see Button. */
const SENDS = '[data-sends]';

/** Enter in a field sends its form: presses the first main button that stands after the field. @param field where Enter was pressed */
export function pressSave(field: unknown): void {
  if (!(field instanceof HTMLElement)) return;
  const page = field.closest('[role="dialog"], [role="main"]') ?? document.body;
  const after = [...page.querySelectorAll<HTMLElement>(SENDS)].find(
    (button) => field.compareDocumentPosition(button) & Node.DOCUMENT_POSITION_FOLLOWING,
  );
  after?.click();
}
