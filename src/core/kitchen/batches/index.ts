export { keepingOf, type Keeping } from './keeping';
export { allergenWords, jarLabel, type JarLabel } from './label';
export { batchLines, movingForbidden, shelfOf, type ShelfItem } from './shelf';
