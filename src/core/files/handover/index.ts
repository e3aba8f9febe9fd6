export { frameOf, Gatherer } from './fountain';
export { BLOCK_BYTES, MOST_BYTES, readFrame, writeFrame } from './frames';
export { packed, unpacked } from './packing';
