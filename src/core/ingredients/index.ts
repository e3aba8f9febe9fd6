export {
  ROLES,
  ingredientSchema,
  sourceSchema,
  type Active,
  type Component,
  type Composition,
  type Ingredient,
  type Preparation,
  type ProteinForm,
  type Source,
} from './ingredient';
export { CATALOGUE, ingredientById, sourceById, usualPreparation } from './catalogue';
export { namesInText, nearestIngredients, plainWords, type PhraseMatch } from './lookUp';
