import { oklabFromBytes } from '../colour/hex';
import { oklchFromOklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { massAt } from '../depth/depth-marks';
import { MASS_CELLS } from '../measure/masses';
import { measureSources } from '../measure/sources';
import { sampledBlocks } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { subjectOf } from './subject';
import { scene } from './testing';
import { NO_MOVES, whatIfPicture, type MassMoves } from './what-if';
import { whatIfEffect } from './what-if-effect';

const SQUINT = 0.008;
const gridOf = (picture: Picture) => colourGrid(picture, sampledBlocks(picture), MASS_CELLS);

function planted(seed: number) {
  const picture = scene(seed);
  const sources = measureSources(picture);
  const { masses, borders } = sources.masses(SQUINT);
  const subject = subjectOf(sources, SQUINT);
  const before = gridOf(picture);
  const effect = (mass: number, moves: Partial<MassMoves>) => {
    const of = subject.masses.map((_, i) => (i === mass ? { ...NO_MOVES, ...moves } : NO_MOVES));
    return whatIfEffect(masses, borders, mass, before, gridOf(whatIfPicture(subject, of)));
  };
  const around = (mass: number) => {
    const met = borders.filter(({ one, other }) => one === mass || other === mass);
    const length = met.reduce((sum, border) => sum + border.length, 0);
    return {
      length,
      value:
        met.reduce(
          (sum, border) =>
            sum +
            border.length * masses.masses[border.one === mass ? border.other : border.one].value,
          0,
        ) / Math.max(length, 1e-9),
      isAllLighter: met.every(
        ({ one, other }) =>
          masses.masses[one === mass ? other : one].value > masses.masses[mass].value + 0.2,
      ),
      isAllDarker: met.every(
        ({ one, other }) =>
          masses.masses[one === mass ? other : one].value < masses.masses[mass].value - 0.2,
      ),
    };
  };
  return { picture, masses, subject, effect, around };
}

const SEEDS = Array.from({ length: 40 }, (_, i) => 101 + i);

describe('what a planted change does', () => {
  const right = { separation: [0, 0], focus: [0, 0], depth: [0, 0] };
  const count = (of: keyof typeof right, isRight: boolean) => {
    right[of][0] += isRight ? 1 : 0;
    right[of][1]++;
  };
  beforeAll(() => {
    for (const seed of SEEDS) {
      const { masses, effect, around } = planted(seed);
      masses.masses.forEach(({ value, share }, mass) => {
        const { length, isAllLighter, isAllDarker } = around(mass);
        if (share < 0.02 || share > 0.4 || length === 0) return;
        // Away from all that is around it, where it has room to go.
        const away = isAllLighter ? -1 : isAllDarker ? 1 : 0;
        if (away !== 0 && value + 2 * away > 1 && value + 2 * away < 9) {
          const { difference, steps, focus } = effect(mass, { value: 4 * away });
          count('separation', difference[1] > difference[0] && steps[1] > steps[0]);
          count('focus', focus[1] > focus[0]);
        }
        if (mass % 3 === 0) {
          count('depth', effect(mass, { distance: -4 }).depth < 0);
          count('depth', effect(mass, { distance: 3 }).depth > 0);
        }
      });
    }
  }, 300_000);

  it.each(['separation', 'focus', 'depth'] as const)('has the right sign: %s', (of) => {
    const [good, all] = right[of];
    expect(all).toBeGreaterThan(30);
    expect(good / all).toBeGreaterThanOrEqual(0.95);
  });
});

describe('a mass that is moved', () => {
  const { picture, masses, subject } = planted(5);
  const mass = massAt(masses, masses.masses[1].place)!;
  const moved = (moves: Partial<MassMoves>, keep?: Uint8Array) =>
    whatIfPicture(
      subject,
      subject.masses.map((_, i) => (i === mass ? { ...NO_MOVES, ...moves } : NO_MOVES)),
      keep,
    );
  const place = masses.masses[1].place;
  const at = ({ data, width, height }: Picture) => {
    const i = (Math.floor(place.y * height) * width + Math.floor(place.x * width)) * 4;
    return oklabFromBytes([data[i], data[i + 1], data[i + 2]]);
  };

  it('goes the way that is said', () => {
    const was = at(picture);
    expect(valueOfOklab(at(moved({ value: 2 })))).toBeCloseTo(valueOfOklab(was) + 1, 0);
    expect(temperature(at(moved({ warmth: 3 })))).toBeGreaterThan(temperature(was) + 0.2);
    expect(oklchFromOklab(at(moved({ chroma: -4 }))).C).toBeLessThan(0.6 * oklchFromOklab(was).C);
    expect(Math.abs(valueOfOklab(at(moved({ chroma: -4 }))) - valueOfOklab(was))).toBeLessThan(0.1);
  });

  it('leaves the bytes of all others, and of what is kept', () => {
    const keep = new Uint8Array(subject.field.first.length);
    for (let pixel = 0; pixel < keep.length; pixel += 3) keep[pixel] = 255;
    const { data } = moved({ value: 3, warmth: 2 }, keep);
    let changed = 0;
    for (let pixel = 0; pixel < keep.length; pixel++) {
      const { first, second, weight } = subject.field;
      const isOf = first[pixel] === mass || (weight[pixel] < 255 && second[pixel] === mass);
      const isSame = [0, 1, 2, 3].every((k) => data[pixel * 4 + k] === picture.data[pixel * 4 + k]);
      if (!isOf || keep[pixel] === 255) expect(isSame).toBe(true);
      else if (!isSame) changed++;
    }
    expect(changed).toBeGreaterThan(1000);
  });

  it('that does not move leaves the picture as it is', () => {
    expect(moved({}).data).toEqual(picture.data);
  });
});
