import fc from 'fast-check';
import { anyPicture, paintedBy } from '../testing';
import { blocksOf } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { squint } from '../picture/squint';
import { bordersOf } from './borders';
import { MASS_CELLS, massesOf } from './masses';
import { mergingMasses, separationOf } from './separation';
import { oklabFromBytes } from '../colour/hex';

const of = (picture: Picture) => massesOf(colourGrid(picture, blocksOf(picture), MASS_CELLS));

const RED: [number, number, number] = [190, 60, 50];
/** A green of the same value as the red. */
const GREEN: [number, number, number] = [40, 118, 60];
const WHITE: [number, number, number] = [245, 245, 240];
/** White above; below a red left of a green of nearly its value. */
const flag = paintedBy(300, 200, (x, y) => (y < 100 ? WHITE : x < 120 ? RED : GREEN));

describe('masses', () => {
  it('are the flat parts of a flat picture, with share, colour and a place inside', () => {
    const { masses } = of(flag);
    expect(masses.map(({ share }) => share)).toEqual([0.5, 0.3, 0.2]);
    [WHITE, GREEN, RED].forEach((bytes, i) => {
      const { L, a, b } = oklabFromBytes(bytes);
      expect(
        Math.hypot(masses[i].colour.L - L, masses[i].colour.a - a, masses[i].colour.b - b),
      ).toBeLessThan(1e-3);
    });
    const [white, green, red] = masses;
    expect(white.place.y).toBeLessThan(0.5);
    expect(green.place.x).toBeGreaterThan(0.4);
    expect(red.place.x).toBeLessThan(0.4);
  });

  it('take a slow turn of light as one, and grain as nothing', () => {
    const sky = paintedBy(300, 200, (x, y) => {
      const grain = ((x * 13 + y * 7) % 5) * 3;
      return [110 + y / 4 + grain, 140 + y / 4 + grain, 190 + y / 8 + grain];
    });
    expect(of(squint(sky, 0.015)).masses).toHaveLength(1);
  });

  it('cover all that is seen, once', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { masses, labels: map, grid } = of(picture);
        expect(masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        map.forEach((mass, cell) => expect(mass >= 0).toBe(grid.mask[cell] === 1));
        masses.forEach(({ place }) => {
          const cell =
            Math.floor(place.y * grid.down) * grid.width + Math.floor(place.x * grid.across);
          expect(map[Math.min(map.length - 1, cell)]).toBeGreaterThanOrEqual(0);
        });
      }),
      { numRuns: 40 },
    );
  });
});

describe('borders', () => {
  it('are found where value steps and lost where it does not', () => {
    const borders = bordersOf(of(flag));
    expect(borders).toHaveLength(3);
    expect(borders.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(1, 9);
    const between = (one: number, other: number) =>
      borders.find((border) => border.one === one && border.other === other);
    expect(between(0, 1)).toMatchObject({ found: 1, soft: 0, lost: 0 });
    expect(between(0, 2)).toMatchObject({ found: 1, lost: 0 });
    expect(between(1, 2)).toMatchObject({ found: 0, lost: 1 });
    expect(between(1, 2)?.place.x).toBeCloseTo(0.4, 1);
  });

  it('give lines along the border', () => {
    const [longest] = bordersOf(of(flag));
    const points = longest.lines.flatMap((line) => line.points);
    expect(points.length).toBeGreaterThan(20);
    for (const { y } of points) expect(Math.abs(y - 0.5)).toBeLessThan(0.02);
  });
});

describe('separation', () => {
  it('finds the neighbours that merge in value although their colours differ', () => {
    const masses = of(flag);
    const merging = mergingMasses(masses, bordersOf(masses), 0.5);
    expect(merging).toHaveLength(1);
    expect(merging[0].pair).toEqual([1, 2]);
    expect(merging[0].steps).toBeLessThan(0.5);
    expect(merging[0].colour).toBeGreaterThan(0.2);
    expect(mergingMasses(masses, bordersOf(masses), 0)).toEqual([]);
  });

  it('reads two colours: in value, as a whole, and in grey', () => {
    const apart = separationOf(oklabFromBytes(RED), oklabFromBytes(GREEN));
    expect(apart.steps).toBeLessThan(0.5);
    expect(apart.difference).toBeGreaterThan(30);
    expect(apart.inGrey).toBeLessThan(5);
    expect(separationOf(oklabFromBytes(RED), oklabFromBytes(RED))).toEqual({
      steps: 0,
      difference: 0,
      inGrey: 0,
      colour: 0,
    });
    const black = separationOf(oklabFromBytes([0, 0, 0]), oklabFromBytes([255, 255, 255]));
    expect(black.steps).toBeCloseTo(10, 2);
    expect(black.difference).toBeCloseTo(100, 1);
  });
});
