import fc from 'fast-check';
import { addDays } from '../../base/measures';
import { FROM as from, KNOWN, LIGHT, openProblem, STRONG, BALM, strands } from '../../lab/testing';
import { doseOfTreatment, draftOf, scoreOf, scoreParts, spanOf, type PlanDraft } from '../planning';
import { fitDoses } from './fitDoses';

const problemOn = (stretchedMm: number, releasedMm: number) =>
  openProblem({
    weeks: 2,
    history: {
      recipes: [STRONG, LIGHT, BALM],
      sessions: KNOWN,
      readings: [strands(stretchedMm, releasedMm)],
    },
  });

const dosesIn = (problem: ReturnType<typeof problemOn>, drafts: readonly PlanDraft[]) => {
  const [head] = problem.heads;
  return drafts.map((draft) => {
    const usual = head?.treatments.find(({ recipeId }) => recipeId === draft.recipeId);
    return usual && doseOfTreatment(draft.treatment, usual);
  });
};

function fitted(stretchedMm: number, releasedMm: number, recipeId: string, offset = 0) {
  const problem = problemOn(stretchedMm, releasedMm);
  const head = problem.heads[0]!;
  const treatment = head.treatments.find((each) => each.recipeId === recipeId)!;
  const whole = [draftOf(addDays(from, offset), treatment, 'main')];
  return { problem, head, whole, drafts: fitDoses(problem, head, whole) };
}

describe('a dose', () => {
  it('is less where all of it would go too far, and says so', () => {
    const { problem, drafts } = fitted(78, 61, 'strong');
    const [dose] = dosesIn(problem, drafts);
    expect(dose?.text).toMatch(/minutes|without warmth|half the usual amount/);
    expect(drafts[0]?.treatment.effect.firmness.mean).toBeLessThan(
      problem.heads[0]!.treatments.find(({ recipeId }) => recipeId === 'strong')!.effect.firmness.mean,
    );
  });

  it('is all of it where the hair needs all of it, and far ahead, where nobody knows', () => {
    const needed = fitted(90, 80, 'light');
    expect(dosesIn(needed.problem, needed.drafts)).toEqual([null]);
    const far = fitted(78, 61, 'strong', 11);
    expect(far.drafts).toEqual(far.whole);
  });

  it('is never more than the recipe says, and never makes the plan cost more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 62, max: 96 }),
        fc.constantFrom('strong', 'light', 'balm'),
        fc.integer({ min: 0, max: 13 }),
        (stretchedMm, recipeId, offset) => {
          const { problem, head, whole, drafts } = fitted(
            stretchedMm,
            Math.min(stretchedMm, 64),
            recipeId,
            offset,
          );
          const costOf = (of: readonly PlanDraft[]) =>
            scoreOf(scoreParts(head, problem.from, of, spanOf(problem.weeks)));
          expect(costOf(drafts)).toBeLessThanOrEqual(costOf(whole) + 1e-9);
          const [dosed] = drafts;
          const [usual] = whole;
          expect(dosed?.treatment.contactMinutes).toBeLessThanOrEqual(usual?.treatment.contactMinutes ?? 0);
          expect(dosed?.treatment.amount).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is never fitted to a trial, which compares what is written', () => {
    const { problem, head, whole } = fitted(78, 61, 'strong');
    const trial = {
      trialId: 't',
      recipeIds: ['strong'],
      from,
      washoutDays: 1,
      endsBy: addDays(from, 6),
    };
    expect(fitDoses(problem, { ...head, trial }, whole)).toEqual(whole);
  });
});
