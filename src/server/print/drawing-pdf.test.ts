import { inflateSync } from 'node:zlib';
import type { Drawing, Mark } from '@/core/plan/drawing';
import { drawingsSchema } from '@/contracts/drawing';
import { drawingsPdf } from './drawing-pdf';
import { MM } from './paper';

const plain = { stroke: null, strokeWidth: 0 };
const drawing = (marks: Mark[]): Drawing => ({
  width: 210,
  height: 297,
  title: 'Hall “at noon” ☂',
  parts: [{ name: 'all', marks }],
});

/** What a PDF of one page draws, as PDF operators. */
function drawn(bytes: Uint8Array): string {
  const pdf = Buffer.from(bytes);
  for (let at = pdf.indexOf('stream\n'); at >= 0; at = pdf.indexOf('stream\n', at + 1)) {
    if (pdf.subarray(at - 3, at).toString() === 'end') continue;
    try {
      const text = inflateSync(pdf.subarray(at + 7, pdf.indexOf('endstream', at))).toString(
        'latin1',
      );
      if (/ [ml]\b/.test(text)) return text;
    } catch {
      // A font.
    }
  }
  return '';
}

describe('a drawing on paper', () => {
  it('has the size of its paper, and shapes in their true size with even parts left out', async () => {
    const bytes = await drawingsPdf([
      drawing([{ kind: 'path', d: 'M10 10L60 10L60 40L10 40Z', fill: '#7f7f7f', ...plain }]),
      drawing([]),
    ]);
    expect(Buffer.from(bytes).toString('latin1')).toContain('/Count 2');
    const box =
      /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(Buffer.from(bytes).toString('latin1')) ?? [];
    expect(Number(box[1])).toBeCloseTo(210 * MM, 1);
    expect(Number(box[2])).toBeCloseTo(297 * MM, 1);
    const text = drawn(bytes);
    expect(text).toContain(`${MM.toFixed(6)} 0 0 ${MM.toFixed(6)} 0 0 cm`);
    expect(text).toContain('60 40 l');
    expect(text).toMatch(/f\*/);
  });

  it('keeps words on the paper, to whichever side they stand', async () => {
    const words = (x: number, anchor: 'start' | 'middle' | 'end'): Mark => ({
      kind: 'text',
      x,
      y: 50,
      words: 'a',
      size: 5,
      fill: '#000000',
      anchor,
    });
    const xs = async (mark: Mark) => {
      const [, x] = /1 0 0 1 ([\d.-]+) [\d.-]+ Tm/.exec(
        drawn(
          await drawingsPdf([
            drawing([
              mark,
              { kind: 'line', x1: 0, y1: 0, x2: 9, y2: 9, stroke: '#000000', strokeWidth: 1 },
            ]),
          ]),
        ),
      ) as RegExpExecArray;
      return Number(x) / MM;
    };
    expect(await xs(words(100, 'start'))).toBeCloseTo(100, 1);
    const [middle, end] = [await xs(words(100, 'middle')), await xs(words(100, 'end'))];
    expect(middle).toBeLessThan(100);
    expect(end).toBeCloseTo(100 - 2 * (100 - middle), 1);
  });

  it('is refused where it is no drawing', () => {
    const path = { kind: 'path', d: 'M0 0', fill: '#000000', ...plain };
    const bad: unknown[] = [
      { ...path, d: 'M0 0 url(x)' },
      { ...path, d: `M${'9'.repeat(400)} 1` },
      { ...path, fill: 'red' },
      { ...path, kind: 'image' },
      { kind: 'text', x: NaN, y: 0, words: 'a', size: 4, fill: '#000000', anchor: 'start' },
    ];
    for (const mark of bad)
      expect(
        drawingsSchema.safeParse([{ ...drawing([]), parts: [{ name: 'a', marks: [mark] }] }])
          .success,
      ).toBe(false);
    expect(drawingsSchema.safeParse([{ ...drawing([]), width: 1e6 }]).success).toBe(false);
    expect(drawingsSchema.safeParse([]).success).toBe(false);
    expect(drawingsSchema.safeParse([drawing([path as Mark])]).success).toBe(true);
  });
});
