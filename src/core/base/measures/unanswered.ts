import { t } from '@lingui/core/macro';

/** The question was given up before its answer. */
export class Stopped extends Error {}

/** No answer came in the time that the longest one takes; what worked at it was ended. */
export class TookTooLong extends Error {
  constructor() {
    super(
      t`No answer came in time, and it was given up. Try again; if that does not help, reload this page.`,
    );
  }
}
