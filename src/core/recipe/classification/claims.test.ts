import { verdictOf, weighedOf } from '../../lab/testing';
import { argued, type Claim } from './claims';

const argue = (claim: Claim, ...lines: string[]) => argued(claim, verdictOf(lines), weighedOf(lines));

describe('what a mixture is called', () => {
  it('is argued where the figures say another kind', () => {
    const coconut = argue('protein', '400 ml coconut milk', '1 tbsp lime juice', '1 tbsp corn starch');
    expect(coconut?.reason).toMatch(/it is moisture.*coconut milk.*only 0\.\d g in 100 g is protein/);
    expect(coconut?.wouldTake).toMatch(/With about \d+ g of gelatin in it, it would be protein\./);
    const gelatin = argue('moisture', '11 g gelatin, dissolved', '150 ml water');
    expect(gelatin?.reason).toMatch(/it is protein: most of that comes from the gelatin/);
  });

  it('would be true with what the argument adds', () => {
    const lines = ['1 avocado', '2 tbsp honey'];
    const said = /about (\d+) g of gelatin/.exec(argue('protein', ...lines)?.wouldTake ?? '');
    expect(said).not.toBeNull();
    const grams = Number(said?.[1]);
    expect(verdictOf([...lines, `${grams} g gelatin`]).kind).toBe('protein');
    expect(verdictOf([...lines, `${grams - 1} g gelatin`]).kind).not.toBe('protein');
  });

  it('is left alone where it fits, or where the bowl holds both', () => {
    expect(argue('protein', '11 g gelatin, dissolved', '150 ml water')).toBeNull();
    expect(argue('moisture', '3 tbsp honey', '100 ml water')).toBeNull();
  });
});
