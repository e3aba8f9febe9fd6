export { CAUTIONS, cautionSchema, cautionsFor, mustBeStrained, type Caution } from './cautions';
