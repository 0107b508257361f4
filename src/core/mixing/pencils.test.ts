import fc from 'fast-check';
import { oklabDistance, oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import {
  burnished,
  grainOf,
  layered,
  PRESSURES,
  surfaceColour,
  WAX_FULL,
  withLayer,
  type Pencil,
  type PencilLayer,
  type Pressure,
} from './pencils';
import { tubesOf, TWELVE } from './testing/mixtures';

const pencils: Pencil[] = tubesOf([...TWELVE, 'PY74', 'PBk9']);
const pencil = (id: string) => pencils.find((one) => one.id === id)!;
const layer = (id: string, pressure: Pressure): PencilLayer => ({ pencil: pencil(id), pressure });
const colourOf = (...layers: PencilLayer[]) => surfaceColour(layered(layers));
const value = (...layers: PencilLayer[]) => valueOfOklab(colourOf(...layers));
const anyLayer = fc.record({
  pencil: fc.constantFrom(...pencils),
  pressure: fc.constantFrom(...PRESSURES),
});

describe('layers of pencil', () => {
  it('darken with pressure, and fill the tooth without ever overfilling it', () => {
    for (const id of ['PB29', 'PR108', 'PBr7-burnt-sienna', 'PG7']) {
      const values = PRESSURES.map((pressure) => value(layer(id, pressure)));
      expect(values).toEqual(values.toSorted((one, other) => other - one));
    }
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 7 }), (layers) => {
        const { patches, filled } = layered(layers);
        expect(filled).toBeGreaterThan(0);
        expect(filled).toBeLessThanOrEqual(1);
        expect(patches.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        for (const { reflectance } of patches)
          expect(reflectance.every((light) => light >= 0 && light <= 1)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('a complement over a full layer hardly takes; over a light one it mutes', () => {
    const change = (pressure: Pressure) =>
      oklabDistance(
        colourOf(layer('PR108', pressure)),
        colourOf(layer('PR108', pressure), layer('PG7', 'middle')),
      );
    expect(change('full')).toBeLessThan(change('light') / 3);
    const muted = oklchFromOklab(colourOf(layer('PR108', 'light'), layer('PG7', 'light'))).C;
    expect(muted).toBeLessThan(oklchFromOklab(colourOf(layer('PR108', 'light'))).C);
  });

  it('yellow under violet is overwhelmed, over it glows', () => {
    const under = oklchFromOklab(colourOf(layer('PY74', 'middle'), layer('PV23', 'middle')));
    const over = oklchFromOklab(colourOf(layer('PV23', 'middle'), layer('PY74', 'middle')));
    const toYellow = (h: number) => Math.abs(((h - 100 + 540) % 360) - 180);
    expect(over.L).toBeGreaterThan(under.L);
    expect(toYellow(over.h)).toBeLessThan(toYellow(under.h));
  });

  it('white at the end lightens and evens, and can’t lighten a full dark', () => {
    const light = layered([layer('PB29', 'light'), layer('PB29', 'middle')]);
    const smooth = burnished(light, pencil('PW6'));
    expect(grainOf(smooth)).toBeLessThan(grainOf(light) / 4);
    const lift = (surface: ReturnType<typeof layered>) =>
      valueOfOklab(surfaceColour(burnished(surface, pencil('PW6')))) -
      valueOfOklab(surfaceColour(surface));
    expect(lift(light)).toBeGreaterThan(0.2);
    const dark = layered([layer('PB29', 'full'), layer('PB29', 'full')]);
    expect(dark.filled).toBeGreaterThan(WAX_FULL);
    expect(lift(dark)).toBeLessThan(lift(light) / 3);
  });

  it('what is full takes hardly anything more', () => {
    const full = layered([layer('PR108', 'full'), layer('PR108', 'full')]);
    const more = withLayer(full, layer('PB29', 'full'));
    expect(oklabDistance(surfaceColour(more), surfaceColour(full))).toBeLessThan(0.02);
  });
});
