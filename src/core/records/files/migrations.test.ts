import { readFileSync } from 'node:fs';
import path from 'node:path';
import { calendarDay } from '../../base/measures';
import { headsIn, recordsFor } from '../../hair/history';
import { testHead, testRecipe, testSession, valueOf } from '../../lab/testing';
import { makeLarder } from '../../recipe/larder';
import type { StoredRecord } from '../shapes';
import { readBackup, writeBackup } from './backup';
import { unpackRecord } from './packed';

const oldFile = (version: number) =>
  readFileSync(path.join(__dirname, `fixtures/backup${version}.json`), 'utf8');

describe('a backup of version 1', () => {
  const backup = valueOf(readBackup(oldFile(1)));

  it('is read, with every record of it', () => {
    const written = JSON.parse(oldFile(1)) as { records: StoredRecord[] };
    expect(backup.records.map(({ id }) => id)).toEqual(written.records.map(({ id }) => id));
  });

  it('gives its heads what version 2 asks of a head', () => {
    expect(headsIn(backup.records)[0]).toMatchObject({ density: 'medium', allergies: [], lengthCm: 42 });
  });

  it('is written again as today and then comes back the same', () => {
    const text = writeBackup(backup.records, backup.exportedAt);
    expect(valueOf(readBackup(text)).records).toEqual(expect.arrayContaining([...backup.records]));
  });

  it('is refused whole when a record of it is damaged', () => {
    const damaged = oldFile(1).replace('"lengthCm": 42', '"lengthCm": "long"');
    const result = readBackup(damaged);
    expect(!result.ok && result.problems[0].message).toContain('lengthCm');
  });
});

describe('a backup of version 2', () => {
  const backup = valueOf(readBackup(oldFile(2)));
  const written = JSON.parse(oldFile(2)) as { records: any[] };
  const lifted = (kind: string) => backup.records.filter((record) => record.kind === kind) as any[];
  const old = (kind: string) => written.records.filter((record) => record.kind === kind);

  it('is read, with every record of it', () => {
    expect(backup.records.map(({ id }) => id)).toEqual(written.records.map(({ id }) => id));
  });

  it('keeps what was measured: strands, counts and seconds', () => {
    for (const [index, reading] of lifted('reading').entries()) {
      const before = old('reading')[index];
      expect(reading.strands.map(({ restMm }: any) => restMm)).toEqual(
        before.strands.map(({ restMm }: any) => restMm),
      );
      expect(reading.tally?.sections[0].broken).toBe(before.tally?.broken);
      expect(reading.porosity?.mistSoakSeconds).toBe(before.mistSoakSeconds ?? undefined);
    }
  });

  it('knows no grams of its sessions', () => {
    expect(lifted('session').map(({ grams }) => grams)).toEqual(old('session').map(() => null));
  });
});

describe('a backup of version 3', () => {
  const backup = valueOf(readBackup(oldFile(3)));
  const written = JSON.parse(oldFile(3)) as { records: StoredRecord[] };

  it('is read, with every record of it', () => {
    expect(backup.records.map(({ id }) => id)).toEqual(written.records.map(({ id }) => id));
  });

  it('takes every evening to be hers, and nothing else of a head is changed', () => {
    const [head] = headsIn(backup.records);
    expect(head?.nights).toEqual(Array(7).fill(true));
    expect(head?.washFrom).toHaveLength(7);
    const {
      child: _,
      complaint: __,
      ...before
    } = {
      child: false,
      complaint: 'none',
      ...headsIn(written.records)[0],
    };
    expect(head).toMatchObject(before);
  });
});

describe('a stored record of version 1', () => {
  it('is lifted when it is read, whatever else lies in the store', () => {
    const { density: _, allergies: __, ...old } = testHead();
    expect(valueOf(unpackRecord(JSON.stringify({ v: 1, record: old })))).toMatchObject({ density: 'medium' });
  });
});

describe('the records that one head is computed from', () => {
  const recipes = Array.from({ length: 500 }, (_, index) => testRecipe(`r${index}`, ['1 tbsp honey']));
  const gel = testRecipe('gel', ['3 tbsp linseed', '200 ml water']);
  const cream = testRecipe('cream', ['100 g gel'], {}, makeLarder({ recipes: [gel] }));
  const session = (headId: string, recipeId: string): StoredRecord =>
    testSession(recipeId, calendarDay('2026-01-01'), { id: `s-${headId}-${recipeId}`, headId });
  const records: StoredRecord[] = [gel, cream, ...recipes, session('ada', 'cream'), session('bo', 'r3')];
  const ids = recordsFor(records, ['ada']).map(({ id }) => id);

  it('are hers, the recipes she uses with what these are made of, and the newest others', () => {
    expect(ids).toEqual(expect.arrayContaining(['s-ada-cream', 'cream-1', 'gel-1', 'r499-1']));
    expect(ids).not.toContain('s-bo-r3');
    expect(ids).not.toContain('r3-1');
  });

  it('do not grow with the recipes that are only kept', () => {
    expect(ids.length).toBeLessThan(100);
  });
});

describe('a backup of version 4', () => {
  const backup = valueOf(readBackup(oldFile(4)));

  it('is read, with every record of it', () => {
    const written = JSON.parse(oldFile(4)) as { records: StoredRecord[] };
    expect(backup.records.map(({ id }) => id).sort()).toEqual(written.records.map(({ id }) => id).sort());
  });

  it('washes as it did before there was a choice', () => {
    const settings = backup.records.find(({ kind }) => kind === 'plan-settings');
    expect(settings).toMatchObject({
      zones: 'lengths',
      rinse: 'water',
      finish: 'warm',
      conditioner: 'after-only',
    });
  });
});

describe('a backup of version 5', () => {
  const backup = valueOf(readBackup(oldFile(5)));

  it('is read, with every record of it, as are those of every version before', () => {
    const written = JSON.parse(oldFile(5)) as { records: StoredRecord[] };
    expect(backup.records.map(({ id }) => id).sort()).toEqual(written.records.map(({ id }) => id).sort());
  });

  it('takes a head for grown up unless it was a child, and knows nothing else that was not said', () => {
    const old = (child: boolean) => {
      const { ageBand: _, lengthsCm: __, chemistry: ___, health: ____, ...rest } = testHead();
      return JSON.stringify({ v: 5, record: { ...rest, child } });
    };
    expect(valueOf(unpackRecord(old(true)))).toMatchObject({ ageBand: 'child', chemistry: [], health: [] });
    expect(valueOf(unpackRecord(old(false)))).toMatchObject({ ageBand: 'adult' });
    expect(headsIn(backup.records)[0]?.lengthsCm.nape).toBeNull();
  });
});

describe('a backup of version 8', () => {
  const backup = valueOf(readBackup(oldFile(8)));
  const written = JSON.parse(oldFile(8)) as { records: any[] };

  it('is read, with every record of it', () => {
    expect(backup.records.map(({ id }) => id)).toEqual(written.records.map(({ id }) => id));
  });

  it('turns a challenge into a rhythm with a name, of as many weeks', () => {
    expect(backup.records.find(({ kind }) => kind === 'rhythm')).toMatchObject({
      rhythmId: 'challenge-8',
      name: 'Moist spring',
      of: { sort: 'moisture' },
      when: { every: 'week', times: 2 },
      startsOn: '2026-04-06',
      until: '2026-05-31',
      toldOn: '2026-04-06',
      endedOn: null,
    });
  });

  it('takes the one complaint as the first of several, and knows no softness yet', () => {
    expect(headsIn(backup.records).map(({ complaints }) => complaints)).toEqual([['breaks'], []]);
    const readings = backup.records.flatMap((record) => (record.kind === 'reading' ? record : []));
    expect(readings.every(({ marks }) => marks.softness === null && marks.scent === null)).toBe(true);
  });
});
