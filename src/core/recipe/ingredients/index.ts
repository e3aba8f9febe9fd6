export { CATALOGUE, ingredientById, preparationMinutes, sourceOf, usualPreparation } from './catalogue';
export { Lexicon, plainWords, singular, type Named, type PhraseMatch } from './lookUp';
