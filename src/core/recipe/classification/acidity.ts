import { rounded, sum } from '../../base/measures';
import { partGrams, surviving, type WeighedLine } from '../larder';

/** First dissociation constant of citric acid at 25 °C (CRC Handbook), taken where an ingredient names no other. */
const CITRIC_PKA = 3.13;
/** Grams of acid to a mole of its first proton: citric 192, lactic 90, acetic 60, malic 134; a middle (working assumption). */
const GRAMS_PER_MOLE = 130;
const WATER_ION_PRODUCT = 1e-14;
/** What buffers above neutral: proteins of egg white, clays; mol per kg of the ingredient (working assumption). */
const MILD_BUFFER = 0.05;
/**
 * What takes acid up in food: the acid groups of protein (aspartic and glutamic acid, about one to a gram less what is amide), of
 * fibre (uronic acids), and the potassium salts and phosphates among "other"; mmol per g, with a middle of their pKa (working
 * assumptions; side chains of proteins have 3.9 and 4.3 in the CRC Handbook, malate and citrate 3.1 to 5.1).
 */
const FOOD_BUFFERS = {
  protein: { mmolPerGram: 1, pKa: 4.3 },
  fibre: { mmolPerGram: 0.4, pKa: 4 },
  other: { mmolPerGram: 4, pKa: 4.5 },
} as const;
/** Where an ingredient names no pH of its own. */
const FOOD_PH = 6.5;
/** Baking soda: 1000 g / 84 g per mole. */
const ALKALI_BUFFER = 11.9;
/** From this pH on an ingredient without acid counts as alkaline. */
const ALKALINE_FROM = 7.5;
/** Grams of acid per 100 g from which a pH is worth estimating. */
const LEAST_ACID = 0.02;
/** How far the estimate can be off; conditioners, proteins and tap water buffer more than is known here. */
export const PH_ERROR = 0.6;

export interface Acidity {
  /** 0 to 14; null where neither acid nor a known pH tells. */
  readonly pH: number | null;
  readonly error: number;
}

interface Buffer {
  /** Moles per kg of the finished mask: acid in all, and the salt that comes with it. */
  acid: number;
  salt: number;
  pKa: number;
}

/**
 * Estimates the pH of a mask from its acids. Every sour ingredient is one weak acid with the salt that its own pH shows
 * (Henderson–Hasselbalch); the mixture is solved for electroneutrality: [H⁺] + salt = Σ acid·Ka/(Ka+[H⁺]) + Kw/[H⁺].
 * @param finishedGrams what is left to put on, g
 */
export function acidityOf(lines: readonly WeighedLine[], finishedGrams: number): Acidity {
  const unknown: Acidity = { pH: null, error: PH_ERROR };
  if (finishedGrams <= 0) return unknown;
  const perKg = 1000 / finishedGrams;
  const water = sum(lines.map((line) => partGrams(line, 'water')));
  if (water / finishedGrams < LEAST_WATER) return unknown;
  const sour = (100 * sum(lines.map(acidOf))) / finishedGrams >= LEAST_ACID;
  const buffers = lines.flatMap((line) => [
    ...acidBuffer(line, perKg),
    ...alkaliBuffer(line, perKg),
    ...foodBuffers(line, perKg),
  ]);
  if (!sour && !lines.some(({ ingredient }) => ingredient.roles.includes('alkali'))) return neutral(lines);
  return { pH: rounded(solve(buffers), 1), error: PH_ERROR };
}

/** Share of water under which a mask has no pH to speak of. */
const LEAST_WATER = 0.2;

function acidOf(line: WeighedLine): number {
  return (line.grams * (line.ingredient.actives.acid ?? 0) * surviving(line.preparation, 'acid')) / 100;
}

/** A buffer that has the ingredient's own pH when it is alone. */
function alkaliBuffer({ ingredient, grams }: WeighedLine, perKg: number): Buffer[] {
  const { pH = 7, actives, roles } = ingredient;
  if ((actives.acid ?? 0) > 0 || pH <= ALKALINE_FROM) return [];
  const molesPerKg = roles.includes('alkali') ? ALKALI_BUFFER : MILD_BUFFER;
  const acid = (grams / 1000) * molesPerKg * perKg;
  return [{ acid, salt: acid / 2, pKa: pH }];
}

/**
 * Protein and plant solids, with the salt that they hold at the ingredient's own pH: alone they change nothing. What a sour
 * ingredient buffers beside its protein is in its own pH already.
 */
function foodBuffers(line: WeighedLine, perKg: number): Buffer[] {
  const { composition, actives, proteinForm, pH = FOOD_PH } = line.ingredient;
  const isFood = composition.fibre > 0 || proteinForm === 'intact';
  const isSour = (actives.acid ?? 0) > 0;
  const parts = (Object.keys(FOOD_BUFFERS) as (keyof typeof FOOD_BUFFERS)[]).filter(
    (part) => part === 'protein' || (isFood && !isSour),
  );
  return parts.flatMap((part) => {
    const { mmolPerGram, pKa } = FOOD_BUFFERS[part];
    const acid = ((partGrams(line, part) * mmolPerGram) / 1000) * perKg;
    return acid === 0 ? [] : [{ acid, salt: acid / (1 + 10 ** (pKa - pH)), pKa }];
  });
}

function acidBuffer(line: WeighedLine, perKg: number): Buffer[] {
  const grams = acidOf(line);
  if (grams === 0) return [];
  const { pH, acidPKa: pKa = CITRIC_PKA, actives } = line.ingredient;
  const acid = (grams / GRAMS_PER_MOLE) * perKg;
  if (pH === undefined) return [{ acid, salt: 0, pKa }];
  // The salt that the ingredient must hold to have its own pH, per mole of its acid.
  const ownAcid = ((actives.acid ?? 0) * 10) / GRAMS_PER_MOLE;
  const hydrogen = 10 ** -pH;
  const ka = 10 ** -pKa;
  const ownSalt = Math.max(0, (ownAcid * ka) / (ka + hydrogen) - hydrogen);
  return [{ acid, salt: ownAcid === 0 ? 0 : (acid * ownSalt) / ownAcid, pKa }];
}

/** Where nothing is sour: the pH of what has one, weighed by its share; water is neutral. */
function neutral(lines: readonly WeighedLine[]): Acidity {
  const known = lines.filter(({ ingredient }) => ingredient.pH !== undefined);
  const grams = sum(known.map((line) => line.grams));
  if (grams < sum(lines.map((line) => line.grams)) / 2) return { pH: null, error: PH_ERROR };
  const mean = sum(known.map((line) => line.grams * (line.ingredient.pH ?? 7))) / grams;
  return { pH: rounded(mean, 1), error: 2 * PH_ERROR };
}

/** Bisects for the pH at which the charges cancel; the difference rises with the pH, so there is one. */
function solve(buffers: readonly Buffer[]): number {
  const salt = sum(buffers.map((buffer) => buffer.salt));
  const excess = (pH: number) => {
    const hydrogen = 10 ** -pH;
    const anions = sum(buffers.map(({ acid, pKa }) => (acid * 10 ** -pKa) / (10 ** -pKa + hydrogen)));
    return anions + WATER_ION_PRODUCT / hydrogen - hydrogen - salt;
  };
  let [low, high] = [0, 14];
  for (let step = 0; step < 50; step++) {
    const middle = (low + high) / 2;
    if (excess(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
