import { oklabFromBytes } from '../colour/hex';
import { valueOfOklab } from '../colour/value';
import { paintedBy } from '../testing';
import { darkestDark } from './ends';

describe('the darkest dark of a picture', () => {
  it('is the mean of its darkest two hundredth, and not of a speck in it', () => {
    const picture = paintedBy(200, 200, (x, y) => {
      if (x === 3 && y === 3) return [0, 0, 0];
      return y < 10 ? [38, 30, 44] : [170, 160, 150];
    });
    const dark = darkestDark(picture);
    expect(valueOfOklab(dark)).toBeCloseTo(valueOfOklab(oklabFromBytes([38, 30, 44])), 1);
    expect(dark.b).toBeLessThan(0);
  });

  it('is the colour of a picture that has one', () => {
    const { L, a, b } = darkestDark(paintedBy(3, 3, () => [200, 40, 40]));
    const red = oklabFromBytes([200, 40, 40]);
    expect([L - red.L, a - red.a, b - red.b].every((by) => Math.abs(by) < 1e-6)).toBe(true);
  });
});
