import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import type { WeighedLine } from '../larder';
import type { Verdict } from './verdict';

/** What a mixture can be used as. */
export const TREATMENT_ROLES = ['pre-poo', 'mask', 'deep-conditioner', 'rinse', 'scalp-oil'] as const;
export type TreatmentRole = (typeof TREATMENT_ROLES)[number];

export const roleWords = perLanguage((): Record<TreatmentRole, string> => ({
  'pre-poo': t`pre-poo`,
  mask: t`mask`,
  'deep-conditioner': t`deep conditioner`,
  rinse: t`rinse or mist`,
  'scalp-oil': t`scalp oil`,
}));

export interface RoleFit {
  readonly role: TreatmentRole;
  readonly fits: 'good' | 'possible' | 'no';
  /** The reason that decides it, in words. */
  readonly why: string;
}

/** Thresholds of the roles, grams per 100 g of finished mask unless said (working assumptions). */
export const ROLE_EDGES = {
  /** Oil that slows the uptake of water before a wash. */
  prePooOil: 8,
  /** Almost nothing but oil, as a scalp oil should be. */
  scalpOil: 85,
  /** Dry matter above which a liquid no longer runs through hair as a rinse. */
  rinseDryMatter: 8,
  /** Oil above which a rinse leaves a film. */
  rinseOil: 2,
  /** Push toward firm above which a liquid is a protein treatment, not a rinse; 0 to 1. */
  rinseFirm: 0.6,
  /** Mucilage above which a rinse is a gel. */
  rinseMucilage: 0.3,
  /** Positively charged conditioner that makes hair comb. */
  conditionerCationic: 0.3,
  /** Dry matter under which a mask runs off. */
  maskDryMatter: 6,
  /** Acid pH under which skin should not be left in it. */
  sourPH: 3.2,
} as const;

interface Facts {
  readonly verdict: Verdict;
  readonly fat: number;
  readonly dry: number;
  /** A powder or pulp is left in, which belongs on lengths only. */
  readonly gritty: string | undefined;
}

type Rule = (facts: Facts) => Omit<RoleFit, 'role'>;

const good = (why: string) => ({ fits: 'good', why }) as const;
const possible = (why: string) => ({ fits: 'possible', why }) as const;
const no = (why: string) => ({ fits: 'no', why }) as const;

const ROLE_RULES: Record<TreatmentRole, Rule> = {
  'pre-poo': ({ verdict, fat }) => {
    if (verdict.loads.dye > 0.5) return no(t`Its dye would need a long, clean contact.`);
    if (verdict.loads.penetratingOil >= ROLE_EDGES.prePooOil)
      return good(t`Oil that enters the strand slows the uptake of water in the wash.`);
    if (fat >= ROLE_EDGES.prePooOil)
      return possible(t`Its oil stays on the strand; one that enters would do more.`);
    if (verdict.kind === 'protein')
      return possible(t`Some give protein before the wash; most of it is washed off.`);
    return verdict.loads.mucilage >= 0.5
      ? possible(t`Its slip helps to detangle, but there is little oil to slow the water.`)
      : no(t`There is too little oil in it to slow the water.`);
  },
  mask: ({ verdict, dry, fat }) => {
    if (verdict.kind === 'rinse') return no(t`Too little in it stays on the hair.`);
    if (fat > 60) return no(t`Nearly all oil: it would have to be washed out with shampoo.`);
    return dry < ROLE_EDGES.maskDryMatter
      ? possible(t`It works, but it is thin and runs: blot the hair and cover it.`)
      : good(t`Enough in it acts, and it stays where it is put.`);
  },
  'deep-conditioner': ({ verdict, gritty }) => {
    if (verdict.loads.cationic < ROLE_EDGES.conditionerCationic)
      return no(t`No conditioner in it clings to the strand: it would not comb like one.`);
    if (gritty) return no(t`The ${gritty} that is left in does not belong in a conditioner.`);
    return verdict.kind === 'protein'
      ? possible(t`It conditions, but the protein leads.`)
      : good(t`Its conditioner clings to the strand and lets it comb.`);
  },
  rinse: ({ verdict, dry, fat, gritty }) => {
    if (fat > ROLE_EDGES.rinseOil) return no(t`The oil in it would leave a film.`);
    if (gritty) return no(t`The ${gritty} that is left in would stay between the strands.`);
    if (dry > ROLE_EDGES.rinseDryMatter) return no(t`Too thick to run through and off again.`);
    if (verdict.push.firm > ROLE_EDGES.rinseFirm) return no(t`It firms far too much for a rinse.`);
    if (verdict.push.firm > ROLE_EDGES.rinseFirm / 2) return possible(t`It firms: not for every day.`);
    return verdict.loads.mucilage > ROLE_EDGES.rinseMucilage
      ? possible(t`It is slippery: thin it with water, or it stays as a film.`)
      : good(t`It runs through and leaves little.`);
  },
  'scalp-oil': ({ verdict, fat, gritty }) => {
    if (fat < ROLE_EDGES.scalpOil) return no(t`A scalp oil is nearly all oil.`);
    if (verdict.loads.essentialOil > 1) return no(t`Too much essential oil for skin.`);
    return gritty
      ? no(t`The ${gritty} does not belong on a scalp.`)
      : good(t`Oil alone, to be washed out after.`);
  },
};

/** Fibre, g in 100 g, from which a powder is felt between the strands (working assumption). */
const GRITTY_FIBRE = 5;

/** Whether a ground or sifted plant is left in, unstrained. */
export function leavesGrit({
  ingredient,
  preparation,
}: Pick<WeighedLine, 'ingredient' | 'preparation'>): boolean {
  return (
    preparation !== null &&
    !preparation.strain &&
    ingredient.composition.fibre > GRITTY_FIBRE &&
    preparation.stages.some(({ do: what }) => what === 'sift' || what === 'grind')
  );
}

/** What a recipe is good as, and what not, each with its reason. */
export function rolesOf(verdict: Verdict, lines: readonly WeighedLine[]): RoleFit[] {
  const { loads } = verdict;
  const facts: Facts = {
    verdict,
    fat: loads.penetratingOil + loads.sealingOil,
    dry: 100 - loads.water,
    gritty: lines.find(leavesGrit)?.ingredient.name,
  };
  return TREATMENT_ROLES.map((role) => ({ role, ...ROLE_RULES[role](facts) }));
}
