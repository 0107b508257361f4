import type { Lab } from './cielab';

const RADIANS = Math.PI / 180;
const POW_25_7 = 25 ** 7;
const COS_30 = Math.cos(30 * RADIANS);
const SIN_30 = Math.sin(30 * RADIANS);
const COS_6 = Math.cos(6 * RADIANS);
const SIN_6 = Math.sin(6 * RADIANS);
const COS_63 = Math.cos(63 * RADIANS);
const SIN_63 = Math.sin(63 * RADIANS);
const COS_275 = Math.cos(275 * RADIANS);
const SIN_275 = Math.sin(275 * RADIANS);
/** The cosine of 150° from the middle of the blues. */
const FAR_FROM_BLUE = Math.cos(150 * RADIANS);
/** A product of chromas under this is of a grey, whose hue is no more than rounding. */
const NO_HUE = 1e-30;
/** Two directions whose sum is shorter are opposite, and have no way between them that is the shorter. */
const OPPOSITE = 1e-9;

/**
 * CIEDE2000 colour difference with kL = kC = kH = 1, on six plain numbers so that loops allocate
 * nothing, and by directions in place of angles, so that few of them need a sine. The hue mean is discontinuous where two hues stand 180° apart: differences of strong
 * opposite colours can jump there, and clustering should not follow its gradient.
 * Source: G. Sharma, W. Wu, E. N. Dalal, Color Research & Application 30(1), 2005.
 */
export function ciede2000Of(
  L1: number,
  a1: number,
  b1: number,
  L2: number,
  a2: number,
  b2: number,
): number {
  const meanC = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const meanC7 = seventh(meanC);
  const stretch = 1 + 0.5 * (1 - Math.sqrt(meanC7 / (meanC7 + POW_25_7)));
  const A1 = a1 * stretch;
  const A2 = a2 * stretch;
  const C1 = Math.sqrt(A1 * A1 + b1 * b1);
  const C2 = Math.sqrt(A2 * A2 + b2 * b2);
  const deltaL = L2 - L1;
  const deltaC = C2 - C1;
  const meanL = (L1 + L2) / 2;
  const lightFromMiddle = (meanL - 50) ** 2;
  const SL = 1 + (0.015 * lightFromMiddle) / Math.sqrt(20 + lightFromMiddle);
  const meanCprime = (C1 + C2) / 2;
  const SC = 1 + 0.045 * meanCprime;
  const l = deltaL / SL;
  const c = deltaC / SC;

  // The mean hue as a direction: halfway between the two on the shorter way round.
  let cos: number;
  let sin: number;
  let deltaH = 0;
  if (C1 * C2 < NO_HUE) {
    // Of a colour and a grey it is the colour's own, of two greys 0, as the published sum says.
    cos = C1 + C2 === 0 ? 1 : (A1 + A2) / (C1 + C2);
    sin = C1 + C2 === 0 ? 0 : (b1 + b2) / (C1 + C2);
  } else {
    cos = A1 / C1 + A2 / C2;
    sin = b1 / C1 + b2 / C2;
    const length = Math.sqrt(cos * cos + sin * sin);
    if (length < OPPOSITE) {
      const meanH = (hueDegrees(A1, b1) + hueDegrees(A2, b2)) / 2;
      cos = Math.cos(meanH * RADIANS);
      sin = Math.sin(meanH * RADIANS);
    } else {
      cos /= length;
      sin /= length;
    }
    // Of two forms of 2 √(C1 C2) sin(Δh / 2) the one that loses no digits.
    const dot = A1 * A2 + b1 * b2;
    const cross = A1 * b2 - A2 * b1;
    deltaH =
      dot > 0
        ? cross * Math.sqrt(2 / (C1 * C2 + dot))
        : Math.sqrt(2 * (C1 * C2 - dot)) * (cross < 0 ? -1 : 1);
  }

  const cos2 = cos * cos - sin * sin;
  const sin2 = 2 * cos * sin;
  const cos3 = cos2 * cos - sin2 * sin;
  const sin3 = sin2 * cos + cos2 * sin;
  const T =
    1 -
    0.17 * (cos * COS_30 + sin * SIN_30) +
    0.24 * cos2 +
    0.32 * (cos3 * COS_6 - sin3 * SIN_6) -
    0.2 * ((cos2 * cos2 - sin2 * sin2) * COS_63 + 2 * cos2 * sin2 * SIN_63);
  const h = deltaH / (1 + 0.015 * meanCprime * T);

  // Blues alone: everywhere else the turn is nothing to fifteen places.
  let turn = 0;
  if (cos * COS_275 + sin * SIN_275 > FAR_FROM_BLUE) {
    const meanH = hueDegrees(cos, sin);
    const meanC7prime = seventh(meanCprime);
    const RC = 2 * Math.sqrt(meanC7prime / (meanC7prime + POW_25_7));
    turn = -RC * Math.sin(60 * Math.exp(-(((meanH - 275) / 25) ** 2)) * RADIANS) * c * h;
  }
  return Math.sqrt(Math.max(0, l * l + c * c + h * h + turn));
}

function seventh(n: number): number {
  const cube = n * n * n;
  return cube * cube * n;
}

/** CIEDE2000 between two CIELAB colours; 0 for the same colour, symmetric. */
export function ciede2000(one: Lab, other: Lab): number {
  return ciede2000Of(one.L, one.a, one.b, other.L, other.a, other.b);
}

function hueDegrees(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const h = Math.atan2(b, a) / RADIANS;
  return h < 0 ? h + 360 : h;
}
