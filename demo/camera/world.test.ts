import fc from 'fast-check';
import { expose, unit } from './camera';
import { ballOf, boxField, fieldOf, firField, rodField, root, type Part } from './world';

const somewhere = fc.tuple(
  fc.double({ min: -8, max: 8, noNaN: true }),
  fc.double({ min: -8, max: 8, noNaN: true }),
  fc.double({ min: -8, max: 8, noNaN: true }),
);
const fields = {
  box: boxField([1, 2, 0], [1, 0.5, 2], 0.1),
  rod: rodField([-1, 0, 0], [2, 3, 1], 0.2),
};

describe('solids', () => {
  it.each(Object.entries(fields))('a %s never claims more room than there is', (_, field) => {
    fc.assert(
      fc.property(somewhere, somewhere, (a, b) => {
        const apart = root(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
        // A distance can't change faster than one moves.
        expect(Math.abs(field(...a) - field(...b))).toBeLessThanOrEqual(apart + 1e-9);
      }),
    );
  });

  it('know their insides from their outsides', () => {
    expect(fields.box(1, 2, 0)).toBeLessThan(0);
    expect(fields.box(1, 2, 3)).toBeCloseTo(1, 9);
    expect(fields.rod(0.5, 1.5, 0.5)).toBeCloseTo(-0.2, 9);
    const fir = firField([0, 0, 0], 1, 5, 3);
    expect(fir(0, 1, 0)).toBeLessThan(0);
    expect(fir(0, 6, 0)).toBeGreaterThan(0);
    expect(fir(3, 1, 0)).toBeGreaterThan(0);
  });

  it('are stood in for by a ball from afar, which is never farther than they are', () => {
    const from = [-1, 0, 0] as const;
    const to = [2, 3, 1] as const;
    const part: Part = {
      mass: 'rod',
      field: fields.rod,
      within: ballOf(from, to, 0.2),
      colour: () => [1, 1, 1],
    };
    const quick = fieldOf(part);
    fc.assert(
      fc.property(somewhere, (at) =>
        expect(quick(...at)).toBeLessThanOrEqual(fields.rod(...at) + 1e-9),
      ),
    );
  });
});

describe('the camera', () => {
  const white: Part = {
    mass: 'ground',
    field: (_x, y) => y,
    colour: () => [0.5, 0.5, 0.5],
  };
  const ball: Part = {
    mass: 'ball',
    field: (x, y, z) => root(x, y - 1, z - 6) - 1,
    colour: () => [0.5, 0.05, 0.05],
  };
  const shot = {
    width: 40,
    height: 40,
    eye: [0, 1, 0] as const,
    at: [0, 1, 6] as const,
    angle: 40,
    parts: [white, ball],
    reach: 60,
    sun: { to: [-1, 1, -0.4] as const, light: [1, 1, 1] as const, soft: 8 },
    ambient: () => [0.1, 0.1, 0.1] as const,
    sky: () => [0.4, 0.5, 0.7] as const,
    air: () => ({ hides: 0, light: [0, 0, 0] as const }),
    skyMasses: ['sky'],
    skyMass: () => 0,
    exposure: 1,
  };

  it('sees sky above, ground below, the ball between, each as its mass', () => {
    const { map, masses } = expose(shot);
    const massAt = (x: number, y: number) => masses[map[y * 40 + x]];
    expect(massAt(20, 1)).toBe('sky');
    expect(massAt(20, 38)).toBe('ground');
    expect(massAt(20, 20)).toBe('ball');
  });

  it('lights the side toward the sun and throws a shadow on the other', () => {
    const { plate, map, masses } = expose({ ...shot, width: 80, height: 80 });
    const L = (x: number, y: number) => plate.data[(y * 80 + x) * 3];
    expect(L(34, 36)).toBeGreaterThan(L(47, 44) + 0.05);
    const ground = masses.indexOf('ground');
    const row = Array.from({ length: 80 }, (_, x) => x).filter((x) => map[56 * 80 + x] === ground);
    const lights = row.map((x) => L(x, 56));
    expect(Math.max(...lights) - Math.min(...lights)).toBeGreaterThan(0.15);
  });

  it('makes directions of length one', () => {
    expect(root(...unit([3, 4, 12]))).toBeCloseTo(1, 12);
  });
});
