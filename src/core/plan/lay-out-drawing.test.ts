import { drawingsSchema } from '@/contracts/drawing';
import { CAUTION_LINES, CAUTION_SOURCE, MEDIUM_TECHNIQUES } from '../mixing/cautions';
import { LAYERED_MEDIA, type LayeredMedium } from '../mixing/medium-recipe';
import type { Drawing, Mark } from './drawing';
import { broken, layOutDrawings, matchingDrawings, type LayOutSheet } from './lay-out-drawing';

const sheetOf = (medium: LayeredMedium, rows: number): LayOutSheet => ({
  title: 'Snow, to lay out',
  medium,
  groups: [
    { title: 'body', items: [{ name: '14 slate', hex: '#4c5c75', detail: 'for 3 colours' }] },
    { title: 'lights', items: [] },
  ],
  rows: Array.from({ length: rows }, (_, i) => ({
    name: `colour ${i + 1}`,
    hex: '#808080',
    madeHex: '#828282',
    layers: [
      '14 slate lightly',
      `a layer with a name that goes on and on and on ${'and on '.repeat(14)}`,
    ],
  })),
  cautions: ['Cobalt: careful.'],
});
const marksOf = (drawings: readonly Drawing[]): Mark[] =>
  drawings.flatMap(({ parts }) => parts.flatMap(({ marks }) => marks));
const wordsOf = (drawings: readonly Drawing[]) =>
  marksOf(drawings)
    .flatMap((mark) => (mark.kind === 'text' ? [mark.words] : []))
    .join(' ');

describe.each([
  ['lay-out', layOutDrawings],
  ['matching sheet', matchingDrawings],
] as const)('a %s', (_, draw) => {
  it('has every colour with its layers on as many sheets as it takes, nothing beyond the paper', () => {
    const drawings = draw(sheetOf('pencils', 40));
    expect(drawings.length).toBeGreaterThan(2);
    expect(drawingsSchema.parse(drawings)).toEqual(drawings);
    const words = wordsOf(drawings);
    for (let i = 1; i <= 40; i++) expect(words).toContain(`colour ${i}`);
    expect(words).toContain(`1 of ${drawings.length}`);
    for (const mark of marksOf(drawings)) {
      if (mark.kind === 'text') expect(mark.y).toBeLessThan(292);
      if (mark.kind === 'rect') {
        expect(mark.y + mark.height).toBeLessThan(285);
        expect(mark.x + mark.width).toBeLessThan(200);
      }
    }
  });

  it.each(LAYERED_MEDIA)('of %s has what its ways of working ask for', (medium) => {
    const words = wordsOf(draw(sheetOf(medium, 2)));
    const flat = (line: string) => line.replaceAll(/\s+/g, ' ');
    for (const technique of MEDIUM_TECHNIQUES[medium])
      expect(words).toContain(flat(CAUTION_LINES[technique]));
    expect(words).toContain('Cobalt: careful.');
    expect(words).toContain(CAUTION_SOURCE);
  });
});

it('a lay-out has a box to tick before each stick and leaves out stages without any', () => {
  const drawings = layOutDrawings(sheetOf('sticks', 1));
  expect(wordsOf(drawings)).toContain('14 slate');
  expect(wordsOf(drawings)).not.toContain('lights');
  const boxes = marksOf(drawings).filter((mark) => mark.kind === 'rect' && mark.fill === null);
  expect(boxes).toHaveLength(2);
});

it('words are broken between words', () => {
  expect(broken('a bb ccc dddd', 5)).toEqual(['a bb', 'ccc', 'dddd']);
  expect(broken('', 5)).toEqual(['']);
});
