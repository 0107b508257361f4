import { linearFromXyz, uncurve, type Lab } from './cielab';
import { oklabFromLinear, type Oklab } from './oklab';

/** XYZ of the white of D50, as CSS Color 4 has it. */
const D50 = { X: 0.3457 / 0.3585, Y: 1, Z: (1 - 0.3457 - 0.3585) / 0.3585 };

/**
 * CIELAB as CSS writes it, which is under D50, to OKLab, by Bradford's adaptation to D65.
 * Source: W3C, CSS Color Module Level 4, sections 9 and 10.
 */
export function oklabFromCssLab({ L, a, b }: Lab): Oklab {
  const y = (L + 16) / 116;
  const X = D50.X * uncurve(y + a / 500);
  const Y = D50.Y * uncurve(y);
  const Z = D50.Z * uncurve(y - b / 200);
  return oklabFromLinear(
    linearFromXyz(
      0.955473421488075 * X - 0.02309845494876471 * Y + 0.06325924320057072 * Z,
      -0.0283697093338637 * X + 1.0099953980813041 * Y + 0.021041441191917323 * Z,
      0.012314014864481998 * X - 0.020507649298898964 * Y + 1.330365926242124 * Z,
    ),
  );
}
