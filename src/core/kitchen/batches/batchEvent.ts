import type { BatchEvent } from '../../records/shapes';

/** Something that became of a batch; what is not said of it is null. */
export function batchEvent(
  stamp: Pick<BatchEvent, 'id' | 'recordedAt'>,
  event: Pick<BatchEvent, 'batchId' | 'day' | 'what'> & Partial<BatchEvent>,
): BatchEvent {
  return { kind: 'batch-event', portions: null, place: null, headId: null, reason: '', ...event, ...stamp };
}
