import { drawingsSchema } from '@/contracts/drawing';
import { dabChart } from './dab-chart';
import type { Mark } from './drawing';

const cells = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ hex: '#a0b0c0', words: [`${i + 1} of white`] }));
const marksOf = (drawing: ReturnType<typeof dabChart>): Mark[] =>
  drawing.parts.flatMap(({ marks }) => marks);
const fields = (marks: readonly Mark[]) =>
  marks.flatMap((mark) => (mark.kind === 'rect' ? [mark] : []));

it('each colour has its chip and an empty field of the same size below it, on the paper', () => {
  const drawing = dabChart('A string', [{ title: 'umber to white', cells: cells(7) }]);
  expect(drawingsSchema.parse([drawing])).toEqual([drawing]);
  const rects = fields(marksOf(drawing));
  const chips = rects.filter(({ fill }) => fill !== null);
  const empty = rects.filter(({ fill }) => fill === null);
  expect([chips.length, empty.length]).toEqual([7, 7]);
  chips.forEach((chip, i) => {
    expect([chip.x, chip.width, chip.height]).toEqual([
      empty[i].x,
      empty[i].width,
      empty[i].height,
    ]);
    expect(empty[i].y).toBeGreaterThanOrEqual(chip.y + chip.height);
    expect(chip.x + chip.width).toBeLessThanOrEqual(drawing.width - 15);
  });
});

it('a long row goes on below, and what does not fit is said', () => {
  const long = fields(marksOf(dabChart('Long', [{ title: 'row', cells: cells(13) }])));
  expect(new Set(long.map(({ y }) => y)).size).toBe(4);
  const many = dabChart(
    'Many',
    Array.from({ length: 12 }, (_, i) => ({ title: `row ${i}`, cells: cells(7) })),
  );
  for (const mark of marksOf(many)) if ('y' in mark) expect(mark.y).toBeLessThan(many.height);
  expect(JSON.stringify(many)).toMatch(/\d+ colours more did not fit/);
});
