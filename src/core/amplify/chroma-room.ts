import { linearFromOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';

const MAX_CHROMA = 0.4;
const STEPS = 14;
const NEWTON = 3;
/** Lightness and hue of the table: fine enough that what lies between is within 0.003 of it. */
const ROWS = 65;
const COLUMNS = 180;

/**
 * The OKLab lightness at which a colour with these a and b has the luminance Y (0–1). For fixed a and b
 * luminance is a rising cubic of lightness; a few of Newton's steps from a near one find it.
 */
export function lightnessFor(Y: number, a: number, b: number, near: number): number {
  let L = near;
  for (let step = 0; step < NEWTON; step++) {
    const l = L + 0.3963377774 * a + 0.2158037573 * b;
    const m = L - 0.1055613458 * a - 0.0638541728 * b;
    const s = L - 0.0894841775 * a - 1.291485548 * b;
    const off = WL * l * l * l + WM * m * m * m + WS * s * s * s - Y;
    const slope = 3 * (WL * l * l + WM * m * m + WS * s * s);
    if (slope < 1e-9) break;
    L -= off / slope;
  }
  return L < 0 ? 0 : L > 1 ? 1 : L;
}

// What each cone response, cubed, gives to luminance: the rows of the matrix to sRGB weighed by Y's.
const weight = (r: number, g: number, b: number) => luminance(r, g, b);
const WL = weight(4.0767416621, -1.2684380046, -0.0041960863);
const WM = weight(-3.3077115913, 2.6097574011, -0.7034186147);
const WS = weight(0.2309699292, -0.3413193965, 1.707614701);

let table: Float32Array | null = null;

/** For each grey's lightness and each hue the chroma at which sRGB ends while luminance is held. */
function rooms(): Float32Array {
  if (table) return table;
  table = new Float32Array(ROWS * COLUMNS);
  for (let row = 0; row < ROWS; row++) {
    const L = row / (ROWS - 1);
    const Y = L ** 3;
    for (let column = 0; column < COLUMNS; column++) {
      const angle = (column * 2 * Math.PI) / COLUMNS;
      let low = 0;
      let high = MAX_CHROMA;
      for (let step = 0; step < STEPS; step++) {
        const C = (low + high) / 2;
        if (isInside(Y, C * Math.cos(angle), C * Math.sin(angle), L)) low = C;
        else high = C;
      }
      table[row * COLUMNS + column] = low;
    }
  }
  return table;
}

function isInside(Y: number, a: number, b: number, near: number): boolean {
  const { r, g, b: blue } = linearFromOklab({ L: lightnessFor(Y, a, b, near), a, b });
  return Math.min(r, g, blue) >= 0 && Math.max(r, g, blue) <= 1;
}

/**
 * The most OKLCH chroma that sRGB holds at a luminance (given as the lightness of its grey, the cube
 * root of Y) and a hue in radians; from a table, read a little low so that nothing comes out of it.
 */
export function chromaRoom(greyLightness: number, hue: number): number {
  const known = rooms();
  const row = Math.min(ROWS - 1.000001, Math.max(0, greyLightness * (ROWS - 1)));
  const turn = (((hue / (2 * Math.PI)) % 1) + 1) % 1;
  const column = turn * COLUMNS;
  const r = Math.floor(row);
  const c = Math.floor(column) % COLUMNS;
  const next = (c + 1) % COLUMNS;
  const down = row - r;
  const along = column - Math.floor(column);
  const upper = known[r * COLUMNS + c] * (1 - along) + known[r * COLUMNS + next] * along;
  const lower =
    known[(r + 1) * COLUMNS + c] * (1 - along) + known[(r + 1) * COLUMNS + next] * along;
  return Math.max(0, upper * (1 - down) + lower * down - 0.001);
}

let least: Float32Array | null = null;

/** A chroma that sRGB holds at a luminance (given as for `chromaRoom`) whatever the hue: less than `chromaRoom` everywhere. */
export function leastChromaRoom(greyLightness: number): number {
  const known = rooms();
  least ??= Float32Array.from({ length: ROWS }, (_, row) =>
    known.subarray(row * COLUMNS, (row + 1) * COLUMNS).reduce((min, one) => Math.min(min, one)),
  );
  const row = Math.min(ROWS - 2, Math.max(0, Math.floor(greyLightness * (ROWS - 1))));
  return Math.max(0, Math.min(least[row], least[row + 1]) - 0.001);
}
