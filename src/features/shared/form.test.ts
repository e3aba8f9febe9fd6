import { failed, ok, type Result } from '@/core/base/measures';
import { resolverOf } from './form';

const resolve = (check: (draft: { a: string }) => Result<unknown>) =>
  resolverOf(check)({ a: 'x' }, undefined, { fields: {}, shouldUseNativeValidation: false });

describe('a form checked by the core', () => {
  it('has no errors when the check is content', () => {
    expect(resolve(() => ok(1))).toEqual({ values: { a: 'x' }, errors: {} });
  });

  it('has each problem at its field, however deep, and the first one of a field stays', () => {
    const problem = (path: string, message: string) => ({ code: 'bad', message, path });
    const result = resolve(() => ({
      ok: false,
      problems: [
        problem('strands.1.rest', 'too short'),
        problem('strands.1.rest', 'second'),
        problem('day', 'not yet'),
      ],
    }));
    expect(result).toMatchObject({
      errors: { strands: { 1: { rest: { message: 'too short' } } }, day: { message: 'not yet' } },
    });
  });

  it('has a problem of no one field at the root', () => {
    expect(resolve(() => failed('nothing', 'Nothing was measured'))).toMatchObject({
      errors: { root: { message: 'Nothing was measured' } },
    });
  });
});
