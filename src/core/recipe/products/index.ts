export { productFromLabel, type LabelReading } from './label';
