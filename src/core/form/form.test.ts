import fc from 'fast-check';
import { DEFAULT_SQUINT } from '../picture/squint';
import type { Picture } from '../picture/picture';
import { measureSources } from '../measure/sources';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import { readForm, type FormStudy } from './form-study';
import { reflectionChange } from './reflection-change';
import {
  plantedGradients,
  plantedReflections,
  plantedRims,
  plantedShadows,
} from './testing/planted';

interface Found extends FormStudy {
  /** The index of the mass at a place. */
  massAt: (place: { x: number; y: number }) => number;
}

function read(picture: Picture): Found {
  const sources = measureSources(picture);
  const { labels, grid } = sources.masses(DEFAULT_SQUINT).masses;
  return {
    ...readForm(sources, DEFAULT_SQUINT),
    massAt: ({ x, y }) =>
      labels[Math.floor(y * grid.down) * grid.width + Math.floor(x * grid.across)],
  };
}

/** Pictures that no limit was set by. */
const SEEDS = [401, 402, 403, 404, 405, 406];

describe('form and edges, where they were planted', () => {
  it('tell the direction of gradients within 15°, and none where nothing turns', () => {
    let [planted, right, none, wrong] = [0, 0, 0, 0];
    for (const seed of SEEDS) {
      const { picture, shapes } = plantedGradients(seed);
      const { main, massAt } = read(picture);
      for (const { place, gradients } of shapes)
        for (const { kind, towards } of gradients) {
          const found = main[massAt(place)]?.gradients[kind] ?? null;
          if (towards === null) {
            none++;
            if (found) wrong++;
            continue;
          }
          planted++;
          if (!found) continue;
          const turn = Math.abs(((found.towards - towards + 540) % 360) - 180);
          if (turn <= 15) right++;
        }
    }
    expect(planted).toBeGreaterThan(20);
    expect(none).toBeGreaterThan(8);
    expect(right / planted).toBeGreaterThanOrEqual(0.95);
    expect(wrong).toBe(0);
  });

  it('find halos and drawn lines, and neither along plain or blurred edges', () => {
    let [there, found, besides] = [0, 0, 0];
    for (const seed of SEEDS) {
      const { picture, rims } = plantedRims(seed);
      const { halos, lines, massAt } = read(picture);
      for (const { place, what } of rims) {
        const mass = massAt(place);
        const own = [
          ...halos
            .filter((halo) => halo.mass === mass || halo.beside === mass)
            .map(({ tone }) => `${tone} halo`),
          ...lines.filter(({ masses }) => masses.includes(mass)).map(({ tone }) => `${tone} line`),
        ];
        const isPlanted = what !== 'nothing' && what !== 'blur';
        if (isPlanted) there++;
        if (own.includes(what)) found++;
        besides += own.filter((one) => one !== what).length;
      }
    }
    expect(there).toBeGreaterThan(10);
    expect(found / there).toBeGreaterThanOrEqual(0.9);
    expect(found / (found + besides)).toBeGreaterThanOrEqual(0.9);
  });

  it('find the light that comes back into a shadow, and who throws it', () => {
    let [there, found, besides, thrown] = [0, 0, 0, 0];
    for (const seed of [...SEEDS, 407, 408, 409, 410]) {
      const { picture, forms } = plantedShadows(seed);
      const { shadows, massAt } = read(picture);
      for (const { place, reflected, wall } of forms) {
        const own = shadows.find(({ core }) => Math.abs(core.place.x - place.x) < 0.16);
        if (reflected) there++;
        if (own && !reflected) besides++;
        if (!own || !reflected) continue;
        found++;
        expect(own.reflected.step).toBeGreaterThan(0.25);
        if (own.reflected.from === massAt(wall)) thrown++;
      }
    }
    expect(there).toBeGreaterThan(5);
    expect(found / there).toBeGreaterThanOrEqual(0.9);
    expect(found / (found + besides)).toBeGreaterThanOrEqual(0.9);
    expect(thrown / found).toBeGreaterThanOrEqual(0.75);
  });

  it('find likenesses in the water, and what water did to them', () => {
    let [there, found, besides] = [0, 0, 0];
    for (const seed of SEEDS) {
      const { picture, things, waterline, lights, duller } = plantedReflections(seed);
      const { reflections, masses, massAt } = read(picture);
      const left = new Set(reflections);
      for (const { place, below, reflects } of things) {
        if (!reflects) continue;
        there++;
        const own = reflections.find(
          (one) => one.above === massAt(place) && one.below === massAt(below),
        );
        if (!own) continue;
        found++;
        left.delete(own);
        expect(Math.abs(own.waterline - waterline)).toBeLessThan(0.02);
        const thing = masses[own.above];
        if (thing.value > 5) expect(Math.abs(own.value + lights)).toBeLessThan(0.35);
        if (thing.value > 5 && lights > 0.25)
          expect(reflectionChange(thing, own).value).toBe('darker');
        if (duller < 0.7) expect(own.chroma).toBeLessThan(0.003);
      }
      // The sky lies in the water as well.
      const sky = massAt({ x: 0.02, y: 0.02 });
      besides += [...left].filter(({ above }) => above !== sky).length;
    }
    expect(there).toBeGreaterThan(6);
    expect(found / there).toBeGreaterThanOrEqual(0.9);
    expect(found / (found + besides)).toBeGreaterThanOrEqual(0.9);
  });
});

describe('what is no form', () => {
  it('a window above a window is no reflection, nor an ornament that repeats', () => {
    const wall = paintedBy(400, 300, (x, y) => {
      const isWindow = x % 100 > 30 && x % 100 < 70 && y % 100 > 25 && y % 100 < 75;
      return isWindow ? greyBytes(3) : greyBytes(7);
    });
    expect(read(wall).reflections).toEqual([]);
  });

  it('a hollow between two lights has no reflected light', () => {
    const hollow = paintedBy(400, 300, (x) => greyBytes(3 + 5 * Math.abs(x / 200 - 1)));
    expect(read(hollow).shadows).toEqual([]);
  });

  it('a form of which only some pixels are there is read, or left out, and never fails', () => {
    // A turning form with light coming back, seen through a screen of single pixels that the masses' cells miss.
    const form = paintedBy(800, 400, (x, y) => {
      const t = (x - 200) / 400;
      const isThere = x % 2 === 1 && y % 2 === 1;
      const value = t < 0 || t > 1 ? 6 : t < 0.75 ? 8 - 8 * t : 2 + 4 * (t - 0.75);
      return [...greyBytes(value), isThere || y < 60 ? 255 : 0];
    });
    for (const { mass, cast } of read(form).shadows) {
      expect(mass).toBeGreaterThanOrEqual(0);
      expect(cast?.on ?? 0).toBeGreaterThanOrEqual(0);
    }
  });

  it('any picture can be read, one of a single pixel too', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { main, masses } = read(picture);
        expect(main.length).toBeLessThanOrEqual(masses.length);
      }),
      { numRuns: 30 },
    );
  });
});

describe('what water does', () => {
  it('lights come darker, darks lighter, and nothing stronger', () => {
    const change = (value: number, by: number, chroma = 0) =>
      reflectionChange({ value }, { value: by, chroma }).isUsual;
    expect(change(8, -1, -0.02)).toBe(true);
    expect(change(8, 0.6)).toBe(false);
    expect(change(2, 0.6)).toBe(true);
    expect(change(2, -0.6)).toBe(false);
    expect(change(8, -1, 0.02)).toBe(false);
    expect(change(8, 0.1, 0.001)).toBe(true);
  });
});
