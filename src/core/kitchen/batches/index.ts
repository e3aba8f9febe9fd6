export { batchEvent } from './batchEvent';
export { keepingOf, keepingRule, type Keeping } from './keeping';
export { allergenWords, jarLabel, type JarLabel } from './label';
export { batchLines, movingForbidden, shelfOf, type ShelfItem } from './shelf';
