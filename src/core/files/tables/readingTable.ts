import { MARKS, readingSchema, type Reading, type Strand, type Tally } from '../../records/shapes';
import type { RecordTable } from './recordTable';
import { numberIn, partsIn } from './table';

const POROSITY_COLUMNS = ['mist_seconds', 'dry_minutes', 'slide', 'sink'] as const;

function strandText(strand: Strand): string {
  const where = strand.region === null ? '' : ` ${strand.region}`;
  if (strand.outcome === 'snapped')
    return `${strand.restMm}${strand.snappedMm === null ? '' : ` > ${strand.snappedMm}`} snapped${where}`;
  return `${strand.restMm} > ${strand.stretchedMm} > ${strand.releasedMm}${where}`;
}

const NUMBER = '(\\d+(?:[.,]\\d+)?)';
const RETURNED = new RegExp(`^${NUMBER}\\s*>\\s*${NUMBER}\\s*>\\s*${NUMBER}(?:\\s+([a-z]+))?$`);
const SNAPPED = new RegExp(`^${NUMBER}(?:\\s*>\\s*${NUMBER})?\\s+snapped(?:\\s+([a-z]+))?$`);

/** One strand as it is written in a cell; what is not written so is left for the schema to refuse. */
function strandIn(text: string): unknown {
  const returned = RETURNED.exec(text);
  if (returned) {
    const [, rest = '', stretched = '', released = '', region = null] = returned;
    return {
      outcome: 'returned',
      region,
      restMm: numberIn(rest),
      stretchedMm: numberIn(stretched),
      releasedMm: numberIn(released),
    };
  }
  const snapped = SNAPPED.exec(text);
  if (!snapped) return text;
  const [, rest = '', at = '', region = null] = snapped;
  return { outcome: 'snapped', region, restMm: numberIn(rest), snappedMm: numberIn(at) };
}

/** "5/12; 3/8": broken and shed of each section. */
function tallyIn(counts: string, days: string): unknown {
  if (counts === '' && days === '') return null;
  const sections = partsIn(counts).map((part) => {
    const [broken = '', shed = ''] = part.split('/').map((each) => each.trim());
    return { broken: numberIn(broken), shed: numberIn(shed) };
  });
  return { sections, days: numberIn(days) };
}

function tallyText(tally: Tally | null): string {
  return (tally?.sections ?? []).map(({ broken, shed }) => `${broken}/${shed}`).join('; ');
}

/** "walnut 3": a ball as big as a walnut, of three days. */
function ballIn(text: string): unknown {
  const [size = '', days = ''] = text.toLowerCase().split(/\s+/);
  return { size, days: numberIn(days) };
}

function lengthIn(text: string): unknown {
  const [place = '', cm = ''] = text.split(/\s+/);
  return { place, cm: numberIn(cm) };
}

const textOf = (value: number | string | null | undefined) => String(value ?? '');

/** Readings, one a row: what was measured as it was measured, nothing worked out. */
export const READING_TABLE: RecordTable<Reading> = {
  kind: 'reading',
  schema: readingSchema,
  columns: [
    'moment',
    'strands',
    'broken_shed',
    'days',
    ...POROSITY_COLUMNS,
    'feel',
    ...MARKS,
    'scalp',
    'lengths',
    'shed_ball',
    'note',
    'side',
  ],
  needed: ['moment'],
  columnOf: {
    tally: 'broken_shed',
    'tally.days': 'days',
    'shedBall.size': 'shed_ball',
    'shedBall.days': 'shed_ball',
    'porosity.mistSoakSeconds': 'mist_seconds',
    'porosity.dryMinutes': 'dry_minutes',
    'porosity.slide': 'slide',
    'porosity.sink': 'sink',
    ...Object.fromEntries(MARKS.map((mark) => [`marks.${mark}`, mark])),
  },
  cells: ({ moment, strands, tally, porosity, feel, marks, scalp, lengths, shedBall, note, side }) => [
    moment,
    strands.map(strandText).join('; '),
    tallyText(tally),
    textOf(tally?.days),
    textOf(porosity?.mistSoakSeconds),
    textOf(porosity?.dryMinutes),
    textOf(porosity?.slide),
    textOf(porosity?.sink),
    textOf(feel),
    ...MARKS.map((mark) => textOf(marks[mark])),
    scalp.join('; '),
    lengths.map(({ place, cm }) => `${place} ${cm}`).join('; '),
    shedBall ? `${shedBall.size} ${shedBall.days}` : '',
    note ?? '',
    side ?? '',
  ],
  contents: (cell, _, __, ___, text) => ({
    ok: true,
    value: {
      moment: cell('moment').toLowerCase(),
      strands: partsIn(cell('strands').toLowerCase()).map(strandIn),
      tally: tallyIn(cell('broken_shed'), cell('days')),
      porosity: POROSITY_COLUMNS.every((column) => cell(column) === '')
        ? null
        : {
            mistSoakSeconds: numberIn(cell('mist_seconds')),
            dryMinutes: numberIn(cell('dry_minutes')),
            slide: cell('slide').toLowerCase() || null,
            sink: cell('sink').toLowerCase() || null,
          },
      feel: numberIn(cell('feel')),
      marks: Object.fromEntries(MARKS.map((mark) => [mark, numberIn(cell(mark))])),
      scalp: partsIn(cell('scalp').toLowerCase()),
      lengths: partsIn(cell('lengths').toLowerCase()).map(lengthIn),
      ...(cell('shed_ball') === '' ? {} : { shedBall: ballIn(cell('shed_ball')) }),
      ...(cell('side') === '' ? {} : { side: cell('side').toLowerCase() }),
      ...(text('note').trim() === '' ? {} : { note: text('note') }),
    },
  }),
};
