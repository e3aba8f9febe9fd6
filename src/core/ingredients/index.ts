export {
  FAT_KINDS,
  PROTEIN_FORMS,
  ROLES,
  ingredientSchema,
  ownIngredientSchema,
  sourceSchema,
  type Active,
  type Component,
  type Composition,
  type Ingredient,
  type KeepingClass,
  type OwnIngredient,
  type Preparation,
  type ProteinForm,
  type Role,
  type Source,
  type Stage,
} from './ingredient';
export { CATALOGUE, ingredientById, preparationMinutes, sourceOf, usualPreparation } from './catalogue';
export { Lexicon, plainWords, singular, type Named, type PhraseMatch } from './lookUp';
