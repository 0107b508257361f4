import { readFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { oklabFromHex } from '@/core/colour/hex';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import type { Oklab } from '@/core/colour/oklab';
import { GLAZES, SIDE, tileColours, tileSvg } from './patterns/enamel-tile';
import { PATTERNS } from './patterns/patterns';
import { PICTURES } from './scenes/pictures';
import { demoReport, type DemoReport, type PictureReport } from './testing/report';

let report: DemoReport;
beforeAll(async () => {
  report = await demoReport();
}, 180_000);

describe.each(PICTURES.map((picture) => [picture.file, picture] as const))('%s', (file, made) => {
  const found = () => report.pictures.find((one) => one.file === file) as PictureReport;

  it('is a file of a megabyte at most, 1600 to 2400 pixels long, its truth beside it', () => {
    const { bytes, longSide, truth } = found();
    expect(bytes).toBeLessThan(1_000_000);
    expect(longSide).toBeGreaterThanOrEqual(1600);
    expect(longSide).toBeLessThanOrEqual(2400);
    expect(truth).toMatchObject({ file, title: made.title, idea: made.idea, ...made.known });
    expect(truth.masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 3);
  });

  it('is read in the key and range it was composed in', () => {
    const { values, truth } = found();
    expect(values).toMatchObject({ key: truth.key, range: truth.range });
    // Munsell value and a tenth of L* part by a quarter step at most; brush and lens add a little.
    for (const at of ['p5', 'median', 'p95'] as const)
      expect(Math.abs(values[at] - truth.values[at])).toBeLessThan(0.45);
  });

  it('is carried by two to five values', () => {
    const { carriedBy } = found().values;
    expect(carriedBy).toBeGreaterThanOrEqual(2);
    expect(carriedBy).toBeLessThanOrEqual(5);
  });

  it('has some of every family it was composed in', () => {
    const { colours, truth } = found();
    for (const family of truth.families) expect(colours.families[family]).toBeGreaterThan(0.005);
  });

  it('has its light read as warmer, cooler, alike or mixed, as it was laid', () => {
    const { light, truth } = found();
    expect(light.is).toBe(truth.lightIs);
    expect(light.share).toBeGreaterThan(0.1);
    expect(light.share).toBeLessThan(0.9);
  });

  it('keeps every mass of 4 % and more within ΔE00 7 of the colour that was laid down', () => {
    const off = found().masses.filter(
      ({ share, difference }) => share >= 0.04 && !(difference < 7),
    );
    expect(off).toEqual([]);
  });

  it('has the shares in small that its truth says at full size', () => {
    for (const { share, shareInSmall } of found().masses)
      expect(Math.abs(share - shareInSmall)).toBeLessThan(0.015);
  });

  it('gives its accents to a palette of nine', () => {
    expect(found().accentsMissing).toEqual([]);
  });
});

describe('the colours of the pictures', () => {
  const coloursOf = (file: string) =>
    report.pictures.find((one) => one.file === file)?.colours as PictureReport['colours'];

  it('have the key they were composed around, or its neighbour, where it runs through their values', () => {
    const { families } = PAINTERS_WHEEL;
    for (const file of [
      'conductor',
      'lower-station',
      'passing-loop',
      'slate-terrace',
      'summit',
      'winch-room',
    ]) {
      const truth = report.pictures.find((one) => one.file === file)?.truth.keyColour as string;
      const steps = Math.abs(families.indexOf(coloursOf(file).key ?? '') - families.indexOf(truth));
      expect([0, 1, 11]).toContain(steps);
    }
  });

  it('stand in the schemes they were composed in, where those are plain', () => {
    expect(coloursOf('slate-terrace').scheme).toBe('analogous');
    expect(coloursOf('winch-room').scheme).toBe('analogous with opposite accent');
    // Near neutral: no scheme to speak of.
    expect(coloursOf('conductor').scheme).toBeNull();
    expect(coloursOf('passing-loop').scheme).toBeNull();
  });
});

describe('the light of the pictures', () => {
  it('stops low by lamplight, but for the lamp, and high where the light is large', () => {
    const lightsOf = (file: string) =>
      report.pictures.find((one) => one.file === file)!.ends.lights;
    const { large, small } = lightsOf('winch-room');
    expect(large).toBeLessThan(5);
    expect(small[0].value).toBeGreaterThan(8.5);
    expect(small[0].share).toBeLessThan(0.01);
    expect(lightsOf('lower-station').large).toBeLessThan(5);
    expect(lightsOf('lower-station').small[0].value).toBeGreaterThan(7.5);
    for (const file of ['summit', 'ticket-hall', 'conductor'])
      expect(lightsOf(file)).toMatchObject({ large: expect.closeTo(9.1, 0), small: [] });
  });

  it('leads the eye where each picture was composed to', () => {
    const at = (file: string) =>
      report.pictures.find((one) => one.file === file)?.focus as {
        x: number;
        y: number;
        reason: string;
      };
    // The neckerchief, the lit cabin, the clerk before the dark opening.
    expect(at('conductor').reason).toBe('chroma');
    expect(Math.hypot(at('conductor').x - 0.53, at('conductor').y - 0.56)).toBeLessThan(0.08);
    expect(at('lower-station').x).toBeGreaterThan(0.65);
  });
});

describe('the painter', () => {
  it('paints the same picture again, stroke for stroke, and another with another seed', () => {
    expect(report.repaintedOtherwise).toBeLessThan(0.01);
    expect(report.otherSeedOtherwise).toBeGreaterThan(0.3);
  });
});

describe('the tile', () => {
  it('meets itself at its edges', async () => {
    const { data, info } = await sharp(Buffer.from(tileSvg()))
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

  it('is drawn in the glazes and their strays, each near its own and far from the others', async () => {
    const groups: readonly (readonly string[])[] = Object.values(GLAZES);
    expect(tileColours().sort()).toEqual(groups.flat().sort());
    const file = path.join(process.cwd(), 'demo/patterns/enamel-tile.svg');
    expect(await readFile(file, 'utf8')).toBe(tileSvg());
    for (const [name, drawn] of Object.entries(PATTERNS))
      expect(await readFile(path.join(path.dirname(file), name), 'utf8')).toBe(drawn());
    const labOf = (hex: string) => labFromOklab(oklabFromHex(hex) as Oklab);
    const between = (one: string, other: string) => ciede2000(labOf(one), labOf(other));
    groups.forEach((group, g) => {
      const others = groups.filter((_, i) => i !== g).flat();
      for (const hex of group) {
        for (const same of group) expect(between(hex, same)).toBeLessThan(5);
        for (const other of others) expect(between(hex, other)).toBeGreaterThan(10);
      }
    });
  });
});
