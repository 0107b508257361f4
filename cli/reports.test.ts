import fc from 'fast-check';
import sharp from 'sharp';
import { measureReport } from './reports';

type Pixel = (x: number, y: number) => readonly [number, number, number, number];

/** A PNG drawn pixel by pixel. */
function drawn(width: number, height: number, pixel: Pixel): Promise<Buffer> {
  const data = Buffer.alloc(width * height * 4);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 4) data.set(pixel(x, y), i);
  return sharp(data, { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer();
}

/** The same noise for each seed: a hash of the place. */
const noise =
  (seed: number): Pixel =>
  (x, y) => {
    let h = (x * 374761393 + y * 668265263 + seed * 2246822519) | 0;
    h = Math.imul(h ^ (h >>> 13), 1274126177);
    return [h & 255, (h >>> 8) & 255, (h >>> 16) & 255, 255];
  };

describe('the report of an odd picture', () => {
  const odd: [string, number, number, Pixel][] = [
    ['one black pixel', 1, 1, () => [0, 0, 0, 255]],
    ['one white pixel', 1, 1, () => [255, 255, 255, 255]],
    ['one pixel that is nearly clear', 1, 1, () => [10, 200, 30, 128]],
    ['one colour', 160, 120, () => [93, 44, 171, 255]],
    ['one colour of the edge of the gamut', 160, 120, () => [255, 0, 0, 255]],
    ['all white', 160, 120, () => [255, 255, 255, 255]],
    ['clear but for a line', 300, 200, (_, y) => [200, 40, 90, y === 77 ? 255 : 0]],
    ['clear but for a corner', 300, 200, (x, y) => [20, 40, 190, x + y === 0 ? 255 : 0]],
    ['one column', 1, 20_000, (_, y) => [y & 255, (y >> 3) & 255, 90, 255]],
    ['one row', 20_000, 1, (x) => [x & 255, 40, (x >> 5) & 255, 255]],
    ['noise', 120, 80, noise(1)],
    ['noise in blue alone', 120, 80, (x, y) => [0, 0, noise(2)(x, y)[2], 255]],
    ['stripes of a pixel', 256, 256, (x) => (x % 2 ? [255, 255, 255, 255] : [0, 0, 0, 255])],
    ['all hues once', 360, 20, (x) => [(x * 7) & 255, (x * 3) & 255, 255 - (x & 127), 255]],
  ];

  it.each(odd)('keeps to its schema: %s', async (_, width, height, pixel) => {
    const report = await measureReport(await drawn(width, height, pixel));
    expect(report.values.zones.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
    const { families, neutral } = report.hues;
    expect(Object.values(families).reduce((sum, share) => sum + share, neutral)).toBeCloseTo(1, 6);
  });

  it('keeps to its schema whatever the pixels are, and however many zones are wished for', async () => {
    const channel = fc.oneof(fc.constantFrom(0, 1, 254, 255), fc.integer({ min: 0, max: 255 }));
    const colour = fc.tuple(channel, channel, channel, fc.constantFrom(0, 128, 255, 255, 255));
    const picture = fc.record({
      width: fc.integer({ min: 1, max: 60 }),
      height: fc.integer({ min: 1, max: 60 }),
      palette: fc.array(colour, { minLength: 1, maxLength: 6 }),
      seed: fc.nat(),
      zones: fc.option(fc.integer({ min: 2, max: 9 }), { nil: undefined }),
    });
    await fc.assert(
      fc.asyncProperty(picture, async ({ width, height, palette, seed, zones }) => {
        const pick: Pixel = (x, y) =>
          x + y === 0 ? [9, 9, 9, 255] : palette[noise(seed)(x, y)[0] % palette.length];
        await measureReport(await drawn(width, height, pick), zones);
      }),
      { numRuns: 60 },
    );
  });
});
