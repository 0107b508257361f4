import fc from 'fast-check';
import { DEFAULT_SQUINT } from '../picture/squint';
import { pictureOf } from '../picture/picture';
import { measureSources, type MeasureSources } from '../measure/sources';
import { massAt, type DepthMark } from './depth-marks';
import { readDepth } from './depth-study';
import { hazePicture } from './haze-picture';
import { recessionOf } from './recession';
import { plantedLandscape } from './testing/landscapes';

const SEEDS = Array.from({ length: 12 }, (_, i) => 521 + i);
const landscapes = SEEDS.map((seed) => {
  const landscape = plantedLandscape(seed);
  return { ...landscape, sources: measureSources(landscape.picture) };
});
const massesOf = (sources: MeasureSources) => sources.masses(DEFAULT_SQUINT).masses;
const read = (sources: MeasureSources, marks: DepthMark[] = []) =>
  readDepth(sources, DEFAULT_SQUINT, marks);

describe('the first guess of depth', () => {
  it('knows sky, ground and uprights of a plain landscape, and how far they lie', () => {
    let [told, right] = [0, 0];
    for (const { things, sources } of landscapes) {
      const { masses } = read(sources);
      for (const { place, distance, facing } of things) {
        const mass = masses[massAt(massesOf(sources), place) as number];
        told += 2;
        right += Number(mass.distance === distance) + Number(mass.facing === facing);
      }
    }
    expect(right / told).toBeGreaterThanOrEqual(0.9);
  });

  it('is all upright, with no distance to compare, in a picture of one colour', () => {
    const sources = measureSources(pictureOf(60, 40, new Uint8ClampedArray(60 * 40 * 4).fill(128)));
    expect(read(sources)).toMatchObject({ masses: [expect.anything()], recession: null });
  });

  it('has nothing to say where all is transparent', () => {
    const sources = measureSources(pictureOf(30, 20, new Uint8ClampedArray(30 * 20 * 4)));
    const { masses, distances, facings, recession } = read(sources);
    expect(masses).toEqual([]);
    expect([...Object.values(distances), ...Object.values(facings)]).toEqual(Array(6).fill(null));
    expect(recession).toBeNull();
  });
});

describe('whether what is far steps back', () => {
  it('is told as it was planted, once the things are marked', () => {
    let right = 0;
    for (const { things, sources, steps } of landscapes) {
      const marks = things.flatMap(({ place, distance, facing }): DepthMark[] => [
        { ...place, is: distance },
        { ...place, is: facing },
      ]);
      const { recession } = read(sources, marks);
      expect(recession).toMatchObject({ near: 'near', far: 'far' });
      for (const quantity of ['chroma', 'temperature'] as const)
        right += Number(recession?.steps[quantity].step === steps[quantity]);
      expect(recession?.steps.contrast.step).toBe('back');
    }
    expect(right / (landscapes.length * 2)).toBeGreaterThanOrEqual(0.95);
  });

  it('is none while all lies at one distance, and partly where one steps back and one comes forward', () => {
    const plane = { share: 0.5, colour: { L: 0.5, a: 0, b: 0 }, value: 5, masses: [0] };
    const near = { ...plane, contrast: 4, chroma: 0.05, temperature: 0.2 };
    const far = { ...plane, value: 7, contrast: 2, chroma: 0.09, temperature: 0.25 };
    expect(recessionOf({ near, middle: null, far: null })).toBeNull();
    expect(recessionOf({ near, middle: null, far })).toEqual({
      near: 'near',
      far: 'far',
      value: 2,
      verdict: 'partly',
      steps: {
        contrast: { difference: -2, step: 'back' },
        chroma: { difference: expect.closeTo(0.04, 9), step: 'forward' },
        temperature: { difference: expect.closeTo(0.05, 9), step: 'alike' },
      },
    });
    expect(recessionOf({ near, middle: near, far: null })?.verdict).toBe('alike');
    expect(recessionOf({ near, middle: { ...near, contrast: 1 }, far: null })).toMatchObject({
      far: 'middle',
      verdict: 'back',
    });
    expect(recessionOf({ near, middle: null, far: { ...near, chroma: 0.1 } })?.verdict).toBe(
      'forward',
    );
  });
});

describe('marks', () => {
  const { sources, things } = landscapes[0];
  const [sky] = things;

  it('lie over the guess, the later over the earlier; sky is far until a hand says otherwise', () => {
    const index = massAt(massesOf(sources), sky.place) as number;
    const at = (...words: DepthMark['is'][]) =>
      read(
        sources,
        words.map((is) => ({ ...sky.place, is })),
      ).masses[index];
    expect(at('near', 'middle')).toMatchObject({
      distance: 'middle',
      byHand: { distance: true, facing: false },
    });
    expect(at('ground', 'sky')).toMatchObject({ facing: 'sky', distance: 'far' });
    expect(at('near', 'sky')).toMatchObject({ facing: 'sky', distance: 'near' });
  });

  it('change nothing where they are beyond the picture', () => {
    const marks: DepthMark[] = [
      { x: 1.2, y: 0.5, is: 'near' },
      { x: 0.5, y: -0.1, is: 'ground' },
    ];
    expect(read(sources, marks)).toEqual(read(sources));
  });

  it('always leave every mass at one distance, and the shares of all distances within the whole', () => {
    const mark = fc.record({
      x: fc.double({ min: 0, max: 1, noNaN: true }),
      y: fc.double({ min: 0, max: 1, noNaN: true }),
      is: fc.constantFrom('near', 'middle', 'far', 'ground', 'upright', 'sky'),
    });
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 8 }), (marks) => {
        const { masses, facings, distances } = read(sources, marks as DepthMark[]);
        const of = (planes: typeof facings | typeof distances) =>
          Object.values(planes).flatMap((plane) => plane?.masses ?? []);
        expect(of(facings).sort((a, b) => a - b)).toEqual(masses.map((_, i) => i));
        expect(new Set(of(distances)).size).toBe(of(distances).length);
        const shares = Object.values(facings).reduce((sum, plane) => sum + (plane?.share ?? 0), 0);
        expect(shares).toBeCloseTo(1, 6);
      }),
      { numRuns: 30 },
    );
  });
});

describe('the picture with distance as haze', () => {
  it('leaves what is near as it is, and lightens what is far', () => {
    const { sources, picture, things } = landscapes[0];
    const { masses } = read(sources);
    const hazy = hazePicture(picture, massesOf(sources), masses);
    const level = ({ x, y }: { x: number; y: number }, { data }: typeof picture) =>
      data[(Math.floor(y * picture.height) * picture.width + Math.floor(x * picture.width)) * 4];
    const place = (distance: string, facing: string) =>
      things.find((thing) => thing.distance === distance && thing.facing === facing)!.place;
    expect(level(place('near', 'ground'), hazy)).toBe(level(place('near', 'ground'), picture));
    const ridge = place('far', 'upright');
    expect(level(ridge, hazy)).toBeGreaterThan(level(ridge, picture) + 20);
  });
});
