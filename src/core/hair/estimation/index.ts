export { estimateHair } from './estimate';
