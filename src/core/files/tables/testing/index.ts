export { hostile, isClean, spoilt, torn } from './damage';
