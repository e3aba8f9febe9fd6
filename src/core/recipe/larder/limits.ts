/** A recipe used as an ingredient is spooned like a thick cream, g/ml (working assumption). */
export const MADE_GRAMS_PER_ML = 1;
