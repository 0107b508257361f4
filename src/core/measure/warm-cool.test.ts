import fc from 'fast-check';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { anySrgb } from '../testing';
import type { Border } from './borders';
import type { Masses } from './masses';
import { leanBetween, readWarmCool, verdictOf } from './warm-cool';

/** Masses of equal share in a row, each touching the next. */
function row(colours: readonly Oklab[]) {
  const place = { x: 0.5, y: 0.5 };
  const masses = colours.map((colour) => ({
    share: 1 / colours.length,
    colour,
    value: valueOfOklab(colour),
    place,
  }));
  const borders = colours.slice(1).map((_, i) => ({ one: i, other: i + 1 }) as Border);
  return readWarmCool({ masses } as unknown as Masses, borders);
}

type Light = readonly [number, number, number];
const under = (albedo: Light, light: Light) =>
  oklabFromLinear({
    r: albedo[0] * light[0],
    g: albedo[1] * light[1],
    b: albedo[2] * light[2],
  });
const WHITE: Light = [1, 1, 1];
const WARM: Light = [1.15, 1, 0.8];
const DIM = (light: Light, by: number): Light => [light[0] * by, light[1] * by, light[2] * by];
/** Plaster, slate, brick, moss. */
const MATERIALS: Light[] = [
  [0.75, 0.72, 0.68],
  [0.3, 0.33, 0.36],
  [0.5, 0.22, 0.15],
  [0.22, 0.3, 0.14],
];
/** Each material in the light beside itself in the shadow, nothing else touching by a plain step. */
const lit = (light: Light, shadow: Light) =>
  MATERIALS.map((albedo) => row([under(albedo, light), under(albedo, DIM(shadow, 0.3))]));

describe('the lean between two colours', () => {
  it('is none between a colour and the same in less light, however dark', () => {
    fc.assert(
      fc.property(
        fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.02, max: 1, noNaN: true }))),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (channels, dim) => {
          const albedo = channels as unknown as Light;
          expect(leanBetween(under(albedo, WHITE), under(albedo, DIM(WHITE, dim)))).toBeCloseTo(
            0,
            4,
          );
        },
      ),
    );
  });

  it('turns its sign when light and shadow change places', () => {
    fc.assert(
      fc.property(anySrgb, anySrgb, (one, other) => {
        expect(leanBetween(one, other)).toBeCloseTo(-leanBetween(other, one), 9);
      }),
    );
  });
});

describe('light against shadow', () => {
  it('is warmer or cooler by what falls on each material, dark and coloured ones too', () => {
    for (const { verdict, by, pairs } of lit(WARM, WHITE)) {
      expect(verdict).toBe('warmer');
      expect(by).toBeCloseTo(pairs[0].lean, 9);
    }
    for (const { verdict } of lit(WHITE, WARM)) expect(verdict).toBe('cooler');
    for (const { verdict } of lit(WARM, WARM)) expect(verdict).toBe('alike');
  });

  it('is not read between a blue thing and a brown one', () => {
    const coat = under([0.12, 0.2, 0.5], WHITE);
    const wall = under([0.4, 0.25, 0.12], DIM(WHITE, 0.2));
    expect(row([coat, wall])).toMatchObject({ verdict: null, pairs: [] });
  });

  it('is nothing where nothing touches, or all is of one value', () => {
    expect(row([under(MATERIALS[0], WHITE)]).verdict).toBeNull();
    expect(row([under(MATERIALS[0], WHITE), under(MATERIALS[0], WARM)]).verdict).toBeNull();
  });

  it('is mixed where as much of it is warmer as is cooler', () => {
    const pair = (lean: number, weight: number) => ({ lean, weight });
    expect(verdictOf([pair(0.5, 0.2), pair(-0.5, 0.2)]).verdict).toBe('mixed');
    expect(verdictOf([pair(0.5, 0.4), pair(-0.5, 0.1)]).verdict).toBe('warmer');
    expect(verdictOf([pair(0.02, 0.4), pair(-0.5, 0.05)]).verdict).toBe('alike');
    expect(verdictOf([])).toEqual({ verdict: null, votes: { warmer: 0, cooler: 0, alike: 0 } });
  });

  it('has its votes together make one', () => {
    const colours = MATERIALS.flatMap((albedo) => [
      under(albedo, WARM),
      under(albedo, DIM(WHITE, 0.3)),
    ]);
    const { votes } = row(colours);
    expect(votes.warmer + votes.cooler + votes.alike).toBeCloseTo(1, 9);
  });
});
