import type { Lab } from './cielab';

const RADIANS = Math.PI / 180;
const POW_25_7 = 25 ** 7;

/**
 * CIEDE2000 colour difference with kL = kC = kH = 1, on six plain numbers so that loops allocate
 * nothing. The hue mean is discontinuous where two hues stand 180° apart: differences of strong
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
  const meanC = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const meanC7 = meanC ** 7;
  const stretch = 1 + 0.5 * (1 - Math.sqrt(meanC7 / (meanC7 + POW_25_7)));
  const A1 = a1 * stretch;
  const A2 = a2 * stretch;
  const C1 = Math.hypot(A1, b1);
  const C2 = Math.hypot(A2, b2);
  const h1 = hueDegrees(A1, b1);
  const h2 = hueDegrees(A2, b2);

  const noHue = C1 * C2 === 0;
  let turn = noHue ? 0 : h2 - h1;
  if (turn > 180) turn -= 360;
  else if (turn < -180) turn += 360;
  const deltaL = L2 - L1;
  const deltaC = C2 - C1;
  const deltaH = 2 * Math.sqrt(C1 * C2) * Math.sin((turn / 2) * RADIANS);

  const meanL = (L1 + L2) / 2;
  const meanCprime = (C1 + C2) / 2;
  let meanH = h1 + h2;
  if (!noHue) {
    if (Math.abs(h1 - h2) <= 180) meanH /= 2;
    else meanH = meanH < 360 ? (meanH + 360) / 2 : (meanH - 360) / 2;
  }

  const T =
    1 -
    0.17 * Math.cos((meanH - 30) * RADIANS) +
    0.24 * Math.cos(2 * meanH * RADIANS) +
    0.32 * Math.cos((3 * meanH + 6) * RADIANS) -
    0.2 * Math.cos((4 * meanH - 63) * RADIANS);
  const lightFromMiddle = (meanL - 50) ** 2;
  const SL = 1 + (0.015 * lightFromMiddle) / Math.sqrt(20 + lightFromMiddle);
  const SC = 1 + 0.045 * meanCprime;
  const SH = 1 + 0.015 * meanCprime * T;
  const meanC7prime = meanCprime ** 7;
  const RC = 2 * Math.sqrt(meanC7prime / (meanC7prime + POW_25_7));
  const RT = -RC * Math.sin(60 * Math.exp(-(((meanH - 275) / 25) ** 2)) * RADIANS);

  const l = deltaL / SL;
  const c = deltaC / SC;
  const h = deltaH / SH;
  return Math.sqrt(l * l + c * c + h * h + RT * c * h);
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
