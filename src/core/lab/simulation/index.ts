export { demoRecords } from './demoData';
export { VirtualHead, type VirtualHeadOptions } from './virtualHead';
