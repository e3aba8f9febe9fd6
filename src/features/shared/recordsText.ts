import { plural } from '@lingui/core/macro';

/** "1 record", "12 records". */
export const recordsText = (count: number): string => plural(count, { one: '# record', other: '# records' });
