export {
  againstJar,
  costOf,
  inStock,
  pantryItemSchema,
  pantryOf,
  type Cost,
  type PantryItem,
} from './pantry';
