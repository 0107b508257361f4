import { readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import { readValues } from '@/core/measure/values';
import { extractPalette } from '@/core/palette/extract';
import type { Picture } from '@/core/picture/picture';
import { makeWorkingCopy } from '@/server/pictures/read-picture';
import { GLAZES, SIDE, tileColours, tileSvg } from './patterns/enamel-tile';
import { paint } from './painter/paint';
import { bytesOfPlate } from './painter/plate';
import { truthOf, type Truth } from './painter/truth';
import { lowerStation, LOWER_STATION_MANNER } from './scenes/lower-station';
import { PICTURES } from './scenes/pictures';

const folder = path.join(process.cwd(), 'demo');
const fileOf = (file: string, type: string) =>
  path.join(folder, 'pictures', `${file}.${type === 'jpeg' ? 'jpg' : 'webp'}`);
const truthFile = async (file: string): Promise<Truth> =>
  JSON.parse(await readFile(path.join(folder, 'pictures', `${file}.truth.json`), 'utf8'));
const lab = ([L, a, b]: readonly number[]) => labFromOklab({ L, a, b });
const apart = (one: Oklab, [L, a, b]: readonly number[]) =>
  Math.hypot(one.L - L, one.a - a, one.b - b);

/** Mean OKLab of each mass in the finished picture: the map is of a small model, laid over the picture. */
function meansUnder(picture: Picture, map: Uint8Array, width: number, height: number) {
  const sums = new Map<number, [n: number, r: number, g: number, b: number]>();
  for (let y = 0; y < picture.height; y++) {
    for (let x = 0; x < picture.width; x++) {
      const mass =
        map[
          Math.floor((y / picture.height) * height) * width +
            Math.floor((x / picture.width) * width)
        ];
      const at = (y * picture.width + x) * 4;
      const sum = sums.get(mass) ?? [0, 0, 0, 0];
      sum[0]++;
      for (let c = 0; c < 3; c++) sum[c + 1] += picture.data[at + c] ** 2.2;
      sums.set(mass, sum);
    }
  }
  return (mass: number): Oklab => {
    const [n, ...linear] = sums.get(mass) ?? [1, 0, 0, 0];
    const [r, g, b] = linear.map((sum) => Math.round((sum / n) ** (1 / 2.2)));
    return oklabFromHex(
      '#' + [r, g, b].map((v) => v.toString(16).padStart(2, '0')).join(''),
    ) as Oklab;
  };
}

describe.each(PICTURES.map((picture) => [picture.file, picture] as const))('%s', (file, made) => {
  let working: Picture;
  let truth: Truth;
  beforeAll(async () => {
    ({ working } = await makeWorkingCopy(await readFile(fileOf(file, made.type))));
    truth = await truthFile(file);
  });

  it('is a file of a megabyte at most, 1600 to 2400 pixels long, its truth beside it', async () => {
    const { size } = await stat(fileOf(file, made.type));
    expect(size).toBeLessThan(1_000_000);
    const { width, height } = await sharp(fileOf(file, made.type)).metadata();
    expect(Math.max(width, height)).toBeGreaterThanOrEqual(1600);
    expect(Math.max(width, height)).toBeLessThanOrEqual(2400);
    expect(truth).toMatchObject({ file, title: made.title, idea: made.idea, ...made.known });
    expect(truth.masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 3);
    const names = truth.masses.map(({ name }) => name);
    for (const accent of truth.accents) expect(names).toContain(accent);
  });

  it('is read in the key and range it was composed in', () => {
    const { key, range } = readValues(working, 4, 'natural');
    expect({ key, range }).toEqual({ key: truth.key, range: truth.range });
  });

  it('keeps every large mass within ΔE00 6 of the colour that was laid down', async () => {
    const model = await made.model(0.09);
    const meanOf = meansUnder(working, model.map, model.plate.width, model.plate.height);
    const off = truth.masses.flatMap(({ name, share, oklab }, i) => {
      if (share < 0.04) return [];
      const difference = ciede2000(labFromOklab(meanOf(i)), lab(oklab));
      return difference > 6 ? [`${name}: ${difference.toFixed(1)}`] : [];
    });
    expect(off).toEqual([]);
    // The small model agrees with the truth that was written from the large one.
    for (const [i, mass] of truthOf(made, model).masses.entries())
      expect(Math.abs(mass.share - truth.masses[i].share)).toBeLessThan(0.02);
  });

  it('gives its accents to a palette of nine', () => {
    const { swatches } = extractPalette(working, 9);
    const missing = truth.accents.filter((name) => {
      const mass = truth.masses.find((one) => one.name === name);
      if (!mass) return true;
      const hue = oklchFromOklab({ L: mass.oklab[0], a: mass.oklab[1], b: mass.oklab[2] }).h;
      return !swatches.some(({ colour }) => {
        const { C, h } = oklchFromOklab(colour);
        const turn = Math.abs(((h - hue + 540) % 360) - 180);
        return apart(colour, mass.oklab) < 0.1 || (turn < 22 && C > 0.08);
      });
    });
    expect(missing).toEqual([]);
  });
});

describe('the painter', () => {
  it('paints the same picture again, stroke for stroke', async () => {
    const kept = await sharp(path.join(folder, 'painter/testing/lower-station-small.png'))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { plate } = await lowerStation.model(0.15);
    const again = paint(plate, LOWER_STATION_MANNER);
    expect([again.width, again.height]).toEqual([kept.info.width, kept.info.height]);
    const bytes = bytesOfPlate(again);
    // Another processor may round the last digit of a sine otherwise, which can move a bristle, not a stroke.
    let different = 0;
    for (let i = 0; i < bytes.length; i++) if (Math.abs(bytes[i] - kept.data[i]) > 3) different++;
    expect(different / bytes.length).toBeLessThan(0.01);
  });

  it('changes the canvas with another seed', async () => {
    const { plate } = await lowerStation.model(0.08);
    const one = bytesOfPlate(paint(plate, LOWER_STATION_MANNER));
    const other = bytesOfPlate(paint(plate, { ...LOWER_STATION_MANNER, seed: 4 }));
    expect(Buffer.compare(Buffer.from(one), Buffer.from(other))).not.toBe(0);
  });
});

describe('the tile', () => {
  it('meets itself at its edges', async () => {
    const { data, info } = await sharp(Buffer.from(tileSvg()), { density: 72 })
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([SIDE, SIDE]);
    const at = (x: number, y: number) =>
      Array.from(data.subarray((y * SIDE + x) * 3, (y * SIDE + x) * 3 + 3));
    let apart = 0;
    for (let i = 0; i < SIDE; i++) {
      const across = at(0, i).map((v, c) => Math.abs(v - at(SIDE - 1, i)[c]));
      const down = at(i, 0).map((v, c) => Math.abs(v - at(i, SIDE - 1)[c]));
      if (Math.max(...across, ...down) > 60) apart++;
    }
    // Where an edge of a shape crosses the border at a slant, one pixel may differ.
    expect(apart).toBeLessThan(SIDE * 0.05);
  });

  it('is drawn in the glazes and their strays, each stray near its glaze and far from the others', async () => {
    const meant = Object.values(GLAZES).flat();
    expect([...tileColours()].sort()).toEqual([...meant].sort());
    expect(await readFile(path.join(folder, 'patterns/enamel-tile.svg'), 'utf8')).toBe(tileSvg());
    const labOf = (hex: string) => labFromOklab(oklabFromHex(hex) as Oklab);
    const groups: readonly (readonly string[])[] = Object.values(GLAZES);
    groups.forEach((group, g) => {
      for (const hex of group) {
        expect(hexFromOklab(oklabFromHex(hex) as Oklab)).toBe(hex);
        for (const same of group) expect(ciede2000(labOf(hex), labOf(same))).toBeLessThan(5);
        for (const other of groups.filter((_, i) => i !== g).flat())
          expect(ciede2000(labOf(hex), labOf(other))).toBeGreaterThan(10);
      }
    });
  });
});
