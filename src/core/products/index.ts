export { inciEntrySchema, productFromLabel, sharesByRank, type LabelReading } from './label';
