import fc from 'fast-check';
import { oklabDistance } from '../colour/oklab';
import { oklabOf } from './observer';
import { filmOver, massTone, mixed, paintColour } from './paint';
import { opticsOf } from './pigment';
import { PIGMENTS, pigmentOf, variantsOf } from './pigments/pigments';
import { spectrumOf } from './spectrum';

const pigment = fc.constantFrom(...PIGMENTS);
const parts = fc.integer({ min: 1, max: 12 });

it('forty pigments and more, each with a name, a source of its curve and its physics above 0', () => {
  expect(PIGMENTS.length).toBeGreaterThanOrEqual(40);
  expect(new Set(PIGMENTS.map(({ id }) => id)).size).toBe(PIGMENTS.length);
  for (const record of PIGMENTS) {
    expect(record.known.length).toBeGreaterThan(20);
    const { K, S } = opticsOf(record);
    for (const at of [...K, ...S]) expect(at).toBeGreaterThanOrEqual(0);
  }
});

it('metals are named where a pigment is made of them', () => {
  const metalsOf = (id: string) => pigmentOf(id)?.metals ?? [];
  for (const id of ['PY35', 'PY37', 'PO20', 'PR108']) expect(metalsOf(id)).toContain('cadmium');
  for (const id of ['PB28', 'PB35', 'PG50']) expect(metalsOf(id)).toContain('cobalt');
  for (const id of ['PG17', 'PG18']) expect(metalsOf(id)).toContain('chromium');
  for (const id of ['PBr7-raw-umber', 'PBr7-burnt-umber'])
    expect(metalsOf(id)).toContain('manganese');
  expect(metalsOf('PY150')).toContain('nickel');
  expect(metalsOf('PW1')).toContain('lead');
  for (const id of ['PB29', 'PR254', 'PY74', 'PBr7-burnt-sienna']) expect(metalsOf(id)).toEqual([]);
});

it('a pigment is found by how its name is written', () => {
  expect(pigmentOf('PB 15:3')?.id).toBe('PB15.3');
  expect(pigmentOf('pb29')?.id).toBe('PB29');
  expect(pigmentOf('PV19')?.names[0]).toContain('violet');
  expect(pigmentOf('NR9')?.id).toBe('PR83');
  expect(pigmentOf('PX1')).toBeNull();
  expect(variantsOf('PBr7')).toHaveLength(4);
});

it('reflectance stays within 0 and 1, thick and thin', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(pigment, parts), { minLength: 1, maxLength: 4 }),
      fc.double({ min: 0, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (mixture, coat, ground) => {
        const optics = mixed(
          mixture.map(([one, amount]) => ({ optics: opticsOf(one), parts: amount })),
        );
        for (const spectrum of [
          massTone(optics),
          filmOver(
            optics,
            coat,
            spectrumOf(() => ground),
          ),
        ])
          for (const R of spectrum) {
            expect(R).toBeGreaterThan(0);
            expect(R).toBeLessThan(1);
          }
      },
    ),
  );
});

it('a mix of one tube with itself is itself, and order does not matter', () => {
  fc.assert(
    fc.property(pigment, pigment, parts, parts, (one, other, a, b) => {
      const part = (of: typeof one, amount: number) => ({ optics: opticsOf(of), parts: amount });
      const same = paintColour(mixed([part(one, a), part(one, b)]));
      expect(oklabDistance(same, paintColour(opticsOf(one)))).toBeLessThan(1e-9);
      expect(
        oklabDistance(
          paintColour(mixed([part(one, a), part(other, b)])),
          paintColour(mixed([part(other, b), part(one, a)])),
        ),
      ).toBeLessThan(1e-12);
    }),
  );
});

it('more of a colour moves every band toward it', () => {
  fc.assert(
    fc.property(pigment, pigment, parts, (one, other, amount) => {
      const at = (more: number) =>
        massTone(
          mixed([
            { optics: opticsOf(one), parts: amount + more },
            { optics: opticsOf(other), parts: amount },
          ]),
        );
      const own = massTone(opticsOf(one));
      const [less, more] = [at(0), at(1)];
      for (let band = 0; band < own.length; band++)
        expect(Math.abs(more[band] - own[band])).toBeLessThanOrEqual(
          Math.abs(less[band] - own[band]) + 1e-9,
        );
    }),
  );
});

it('a film of great thickness is the mass tone, one of none is the ground', () => {
  const ground = spectrumOf((wavelength) => 0.2 + (wavelength - 380) / 700);
  for (const record of PIGMENTS) {
    const optics = opticsOf(record);
    expect(
      oklabDistance(oklabOf(filmOver(optics, 5000, ground)), paintColour(optics)),
    ).toBeLessThan(1e-4);
    expect(oklabDistance(oklabOf(filmOver(optics, 0, ground)), oklabOf(ground))).toBeLessThan(1e-6);
  }
});

it('no parts, or parts below 0, are refused', () => {
  const optics = opticsOf(PIGMENTS[0]);
  for (const bad of [[], [{ optics, parts: 0 }], [{ optics, parts: Infinity }]])
    expect(() => mixed(bad)).toThrow(RangeError);
  expect(() =>
    mixed([
      { optics, parts: 2 },
      { optics, parts: -1 },
    ]),
  ).toThrow(RangeError);
});
