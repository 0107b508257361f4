import { greyBytes, paintedBy } from '../testing';
import { MUNSELL_SCALE } from '../colour/value-scale';
import { valueImageOf } from '../picture/value-map';
import { svgOf } from './drawing';
import { gridLines } from './transfer-grid';
import { PLAN_PAPERS, valuePlan, type PlanSettings } from './value-plan';

const picture = valueImageOf(
  paintedBy(300, 200, (x, y) => {
    const inDisc = (x - 220) ** 2 + (y - 100) ** 2 < 50 ** 2;
    return greyBytes(inDisc ? 8 : x < 100 ? 2 : 5);
  }),
);
const SETTINGS: PlanSettings = {
  zones: 3,
  breaks: 'natural',
  squint: 0,
  title: 'Hall <of> "noon" & night',
  paper: 'A4',
  grid: { kind: 'squares', short: 4 },
  numbers: true,
  fill: 'greys',
  leastMass: 0,
  scale: MUNSELL_SCALE,
};
const plan = (part: Partial<PlanSettings> = {}) => {
  const { drawing, zones } = valuePlan(picture, { ...SETTINGS, ...part });
  return { svg: svgOf(drawing), zones, ...drawing };
};
const part = (svg: string, name: string) =>
  svg.match(new RegExp(`<g data-part="${name}">([\\s\\S]*?)</g>`))?.[1] ?? '';

describe('a value plan', () => {
  it('stands on a sheet of paper turned as the picture is, and is well formed', () => {
    const { svg, width, height } = plan();
    expect([width, height]).toEqual([PLAN_PAPERS.A4.height, PLAN_PAPERS.A4.width]);
    expect(svg).toContain('Hall &lt;of&gt; &quot;noon&quot; &amp; night');
    const opened = svg.match(/<(svg|g|text)[ >]/g)?.length;
    expect(svg.match(/<\/(svg|g|text)>/g)?.length).toBe(opened);
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('has one shape a zone in its grey, a number in each mass, and a key', () => {
    const { svg, zones } = plan();
    expect(zones.map(({ share }) => share).every((share) => share > 0)).toBe(true);
    expect(part(svg, 'zones').match(/<path /g)).toHaveLength(3);
    expect(part(svg, 'numbers').match(/<text/g)).toHaveLength(3);
    const shares = zones.map(({ share }) => `${Math.round(share * 100)} %`);
    shares.forEach((share) => expect(part(svg, 'key')).toContain(share));
    expect(part(plan({ numbers: false }).svg, 'numbers')).toBe('');
    expect(part(plan({ fill: 'outlines' }).svg, 'zones')).not.toContain('fill="#7');
  });

  it('draws the disc where the picture has it', () => {
    const light = part(plan().svg, 'zones').split('<path ')[3];
    const numbers = (light.match(/d="([^"]*)"/)?.[1] ?? '').match(/[\d.]+/g)?.map(Number) ?? [];
    const xs = numbers.filter((_, i) => i % 2 === 0);
    // The picture is 273 mm wide at most, and as high as the sheet leaves room for.
    const boxWidth = 153 * 1.5;
    const left = (297 - boxWidth) / 2;
    // Two pixels, 1.6 mm, is what tracing so small a picture may cut off a round shape's tip.
    expect(Math.abs(Math.min(...xs) - left - (170 / 300) * boxWidth)).toBeLessThan(1.7);
    expect(Math.abs(Math.max(...xs) - left - (270 / 300) * boxWidth)).toBeLessThan(1.7);
  });

  it('leaves out masses that are too small, and their numbers', () => {
    const specked = valueImageOf(
      paintedBy(300, 200, (x, y) =>
        greyBytes((x - 220) ** 2 + (y - 100) ** 2 < 14 ** 2 ? 8 : x < 150 ? 2 : 5),
      ),
    );
    const masses = (leastMass: number) => {
      const { drawing } = valuePlan(specked, { ...SETTINGS, leastMass });
      return part(svgOf(drawing), 'zones').match(/M/g)?.length;
    };
    const whole = masses(0) as number;
    expect(masses(0.005)).toBe(whole);
    expect(masses(0.03)).toBe(whole - 1);
  });

  it('has a key and numbers that are read at arm’s length', () => {
    const sizes = (name: string) =>
      [...part(plan().svg, name).matchAll(/font-size="([\d.]+)"/g)].map(([, size]) => Number(size));
    // Millimetres: 12 points and more.
    expect(Math.min(...sizes('key'))).toBeGreaterThanOrEqual(4.2);
    expect(Math.min(...sizes('numbers'))).toBeGreaterThanOrEqual(4.2);
  });

  it('refuses what can’t be drawn', () => {
    expect(() => plan({ zones: 1 })).toThrow(RangeError);
    for (const short of [1, 21, 2.5])
      expect(() => plan({ grid: { kind: 'squares', short } })).toThrow(RangeError);
  });
});

describe('a transfer grid', () => {
  it('has squares from the upper left, lettered and numbered', () => {
    const { vertical, horizontal, labels } = gridLines({ kind: 'squares', short: 4 }, 1.5);
    expect(vertical).toEqual([1, 2, 3, 4, 5].map((i) => expect.closeTo(i / 6, 9)));
    expect(horizontal).toEqual([0.25, 0.5, 0.75]);
    expect(labels.map(({ text }) => text)).toEqual([...'ABCDEF', ...'1234']);
    // What is left over is a part of a square.
    const odd = gridLines({ kind: 'squares', short: 2 }, 1 / 1.25);
    expect(odd.horizontal).toEqual([0.4, 0.8]);
    expect(odd.labels.filter(({ x }) => x === null)).toHaveLength(3);
  });

  it('has thirds, or nothing', () => {
    expect(gridLines({ kind: 'thirds' }, 2).vertical).toEqual([1 / 3, 2 / 3]);
    expect(gridLines({ kind: 'none' }, 2)).toEqual({ vertical: [], horizontal: [], labels: [] });
    expect(gridLines({ kind: 'squares', short: 20 }, 3).labels[27].text).toBe('AB');
  });
});
