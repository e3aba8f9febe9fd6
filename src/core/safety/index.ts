export { CAUTIONS, cautionSchema, cautionsFor, type Caution } from './cautions';
