/** Bytes of data in one code: with its head a QR code of version 12, which a phone reads from another one's screen. */
export const BLOCK_BYTES = 300;

/** What a code says of itself before its data. */
export interface FrameHead {
  /** Told anew for each showing, so that two showings are never mixed. */
  readonly transfer: number;
  /** Length of all that is handed over, bytes. */
  readonly length: number;
  /** Which mixture of blocks its data is. */
  readonly number: number;
}

export interface Frame extends FrameHead {
  readonly data: Uint8Array;
}

/** "VR" and the version of this format. */
const MARK = [0x56, 0x52, 1] as const;
const HEAD_BYTES = MARK.length + 12;

/** @returns mark, transfer, length and number as 32-bit integers (big-endian), then the data */
export function writeFrame({ transfer, length, number, data }: Frame): Uint8Array {
  const bytes = new Uint8Array(HEAD_BYTES + data.length);
  bytes.set(MARK);
  const view = new DataView(bytes.buffer, MARK.length);
  view.setUint32(0, transfer);
  view.setUint32(4, length);
  view.setUint32(8, number);
  bytes.set(data, HEAD_BYTES);
  return bytes;
}

/** @returns null for a code that is not one of these */
export function readFrame(bytes: Uint8Array): Frame | null {
  if (bytes.length <= HEAD_BYTES || MARK.some((byte, at) => bytes[at] !== byte)) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset + MARK.length);
  const length = view.getUint32(4);
  if (length === 0 || length > MOST_BYTES) return null;
  return { transfer: view.getUint32(0), length, number: view.getUint32(8), data: bytes.slice(HEAD_BYTES) };
}

/** More than this would take over a quarter of an hour: a file does that better, bytes. */
export const MOST_BYTES = 2_000_000;
