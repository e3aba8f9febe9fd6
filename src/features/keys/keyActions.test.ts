import { existsSync } from 'node:fs';
import path from 'node:path';
import { fileNameOf } from '../shared/browserFiles';
import { actions, otherKeys, placeOfKey } from './keyActions';

const app = path.resolve(__dirname, '../../../app');

describe('keys', () => {
  it('are each of one place, and of none that does something else', () => {
    const keys = actions().flatMap(({ key }) => key ?? []);
    expect(new Set(keys).size).toBe(keys.length);
    for (const { keys: other } of otherKeys()) expect(keys).not.toContain(other);
    expect(placeOfKey('r')).toBe('/hair/measure');
    expect(placeOfKey('z')).toBeUndefined();
  });

  it('lead to places that are there', () => {
    for (const { to } of actions()) {
      const files = [`${to}.tsx`, `${to}/index.tsx`].map((file) => path.join(app, file));
      expect({ to, isThere: files.some((file) => existsSync(file)) }).toEqual({ to, isThere: true });
    }
  });
});

describe('the name of a file', () => {
  it.each([
    ['Kefir & mango', 'kefir-mango'],
    ['Açaí, à noite!', 'acai-a-noite'],
    ['../../etc/passwd', 'etc-passwd'],
    ['米', 'file'],
  ])('of %s is %s', (name, file) => {
    expect(fileNameOf(name)).toBe(file);
  });
});
