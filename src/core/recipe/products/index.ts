export { looksLikeLabel, productFromLabel, type LabelReading } from './label';
