import { plural, t } from '@/core/base/language';

/** "1 record", "12 records". */
export const recordsText = (count: number): string => t`${count} ${plural(count, 'record', 'records')}`;
