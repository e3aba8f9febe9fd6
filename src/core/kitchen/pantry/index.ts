export { againstJar, costOf, inStock, pantryOf, type Cost } from './pantry';
