import fc from 'fast-check';

const HOSTILE: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  Number.MAX_SAFE_INTEGER,
  '',
  '__proto__',
  'constructor',
  '<script>alert(1)</script>',
  '"><img src=x onerror=alert(1)>',
  'javascript:alert(1)',
  '\u0000\uFFFF\u202E',
  'x'.repeat(30_000),
  [],
  {},
  [[[[[[]]]]]],
  JSON.parse('{"__proto__": {"polluted": true}, "constructor": {"prototype": {"polluted": true}}}'),
  '9999-99-99',
  '2026-02-30',
  '2026-05-13',
];
/** What nobody means to write. */
export const hostile = fc.constantFrom(...HOSTILE);

interface Hit {
  readonly where: number;
  readonly how: 'replace' | 'drop' | 'double' | 'add';
  readonly value: unknown;
}
const hit: fc.Arbitrary<Hit> = fc.record({
  where: fc.nat(),
  how: fc.constantFrom('replace', 'drop', 'double', 'add'),
  value: hostile,
});

interface Place {
  readonly holder: any;
  readonly key: string | number;
}

/** Every place of a tree that can be changed. */
function placesIn(node: unknown, found: Place[] = []): Place[] {
  if (node === null || typeof node !== 'object') return found;
  const keys: (string | number)[] = Array.isArray(node) ? node.map((_, index) => index) : Object.keys(node);
  for (const key of keys) {
    found.push({ holder: node, key });
    placesIn((node as any)[key], found);
  }
  return found;
}

function damaged(text: string, hits: readonly Hit[]): string {
  const tree = JSON.parse(text);
  for (const { where, how, value } of hits) {
    const places = placesIn(tree);
    const place = places[where % Math.max(1, places.length)];
    if (!place) break;
    const { holder, key } = place;
    if (how === 'drop') {
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else delete holder[key];
    } else if (how === 'double') {
      if (Array.isArray(holder)) holder.push(holder[Number(key)]);
      else holder[`${key}2`] = holder[key];
    } else if (how === 'add') {
      if (Array.isArray(holder)) holder.push(value);
      else
        Object.defineProperty(holder, '__proto__', {
          value,
          enumerable: true,
          configurable: true,
          writable: true,
        });
    } else holder[key] = value;
  }
  return JSON.stringify(tree);
}

/** Characters taken out and put in, without regard for what they mean. */
export const torn = (text: string) =>
  fc
    .tuple(
      fc.nat(text.length),
      fc.nat(20),
      fc.oneof(fc.string({ maxLength: 6 }), fc.constantFrom('"', '{', ']', ',', '\r\n', '=', '\u0000')),
    )
    .map(([at, cut, put]) => text.slice(0, at) + put + text.slice(at + cut));
/** A file that somebody damaged, by chance or on purpose. */
export const spoilt = (text: string) =>
  fc.oneof(
    {
      weight: 3,
      arbitrary: fc.array(hit, { minLength: 1, maxLength: 4 }).map((hits) => damaged(text, hits)),
    },
    { weight: 1, arbitrary: torn(text) },
  );

/** Nothing that came in has changed what all objects share. */
export function isClean(): void {
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  expect(Object.keys(Object.prototype)).toEqual([]);
}
