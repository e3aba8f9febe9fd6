export {
  CATALOGUE,
  ingredientById,
  isOil,
  preparationMinutes,
  sourceOf,
  usualPreparation,
} from './catalogue';
export { isNearly, Lexicon, plainWords, singular, type Named, type PhraseMatch } from './lookUp';
