export { demoRecords } from './demoData';
export { VirtualHead, type VirtualHeadOptions, type WorldTruth } from './virtualHead';
