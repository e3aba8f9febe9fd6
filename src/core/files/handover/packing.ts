import { t } from '@lingui/core/macro';
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { failed, ok, type Result } from '../../base/measures';

/** A text as few bytes, with which the codes are few too. */
export const packed = (text: string): Uint8Array => deflateSync(strToU8(text), { level: 9 });

/** @returns a problem for bytes that nobody packed here */
export function unpacked(bytes: Uint8Array): Result<string> {
  try {
    return ok(strFromU8(inflateSync(bytes)));
  } catch {
    return failed(
      'unreadable',
      t`What was shown could not be put together. Show the codes again from the start.`,
    );
  }
}
