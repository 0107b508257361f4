import { chromaRoom } from '../amplify/chroma-room';
import { writeAtGrey } from '../amplify/push';
import { aOf, bOf, longRoot, mediumRoot, shortRoot } from '../colour/oklab';
import { luminance, toLinear } from '../colour/srgb';
import { hueAtPosition, PAINTERS_WHEEL, wheelPosition, type Wheel } from '../colour/wheel';
import { schemeSectors, type SchemeName } from '../measure/harmony';
import type { Picture } from '../picture/picture';

/** How everything is brought toward the harmony of one key colour. */
export interface KeySettings {
  /** OKLCH hue of the key, degrees. */
  hue: number;
  scheme: SchemeName;
  /** 0 leaves all as it is, 1 brings all as far as it goes. */
  degree: number;
  keepsSkin: boolean;
  keepsNeutrals: boolean;
}

/** Points along each side of the lookup table. */
export const TABLE_SIZE = 33;

/** Degrees (OKLCH) that are of the scheme, and stay: rising, may end beyond 360. */
interface Arc {
  from: number;
  to: number;
}

/** Under the first chroma colours are neutral and stay, from the second on they move. */
const NEUTRAL = 0.012;
const COLOURED = 0.035;
/** Skin in OKLCH: hues, chroma and lightness, each with what it fades over. */
const SKIN = {
  hue: [38, 72, 14],
  chroma: [0.03, 0.125, 0.02],
  lightness: [0.42, 0.92, 0.08],
} as const;
/** What is farthest from the scheme keeps so much less chroma, where there is but one place to go to from all round. */
const GREYED = 0.6;

/** The arcs of a scheme about a key, on a wheel; the screen's wheel has no hues of its own for all colours, and is taken for the painters'. */
export function schemeArcs({ hue, scheme }: KeySettings, wheel: Wheel): Arc[] {
  const round = wheel.id === 'screen' ? PAINTERS_WHEEL : wheel;
  const key = wheelPosition(hue, round);
  const at = (degrees: number) => hueAtPosition(key + degrees / 30, round);
  return schemeSectors(scheme)
    .map(({ centre, half }) => {
      const from = at(centre - half);
      const to = at(centre + half);
      return { from, to: to < from ? to + 360 : to };
    })
    .sort((one, other) => one.from - other.from);
}

/**
 * A table of colours by their encoded red, green and blue, red the fastest: each is turned toward the nearest arc of the
 * key's scheme, its luminance held. Skin and neutrals stay where that is wished. Values are encoded sRGB, 0–1.
 */
export function keyTable(settings: KeySettings, wheel: Wheel = PAINTERS_WHEEL): Float32Array {
  const arcs = schemeArcs(settings, wheel);
  const levels = Float64Array.from({ length: TABLE_SIZE }, (_, i) => i / (TABLE_SIZE - 1));
  const linear = levels.map((level) => toLinear(level));
  const table = new Float32Array(TABLE_SIZE ** 3 * 3);
  const written = new Float64Array(3);
  let at = 0;
  for (let z = 0; z < TABLE_SIZE; z++)
    for (let y = 0; y < TABLE_SIZE; y++)
      for (let x = 0; x < TABLE_SIZE; x++, at += 3) {
        const [r, g, blue] = [linear[x], linear[y], linear[z]];
        const [l, m, s] = [longRoot(r, g, blue), mediumRoot(r, g, blue), shortRoot(r, g, blue)];
        const [a, b] = [aOf(l, m, s), bOf(l, m, s)];
        const chroma = Math.hypot(a, b);
        const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
        const grey = Math.cbrt(luminance(r, g, blue));
        const degree = settings.degree * movable(grey, chroma, hue, settings);
        if (degree <= 0 || chroma < 1e-6) {
          table.set([levels[x], levels[y], levels[z]], at);
          continue;
        }
        const to = harmonised(hue, arcs, degree);
        const angle = (to.hue * Math.PI) / 180;
        const wanted = Math.min(chroma * to.chroma, Math.max(chromaRoom(grey, angle), 0));
        writeAtGrey(grey, grey, wanted * Math.cos(angle), wanted * Math.sin(angle), written, 0);
        for (let k = 0; k < 3; k++) table[at + k] = Math.min(1, Math.max(0, written[k] / 255));
      }
  return table;
}

/** How far a colour may be moved, 0–1. */
function movable(
  lightness: number,
  chroma: number,
  hue: number,
  { keepsSkin, keepsNeutrals }: KeySettings,
): number {
  const coloured = keepsNeutrals ? smooth((chroma - NEUTRAL) / (COLOURED - NEUTRAL)) : 1;
  if (!keepsSkin) return coloured;
  const skin =
    within(hue, SKIN.hue) * within(chroma, SKIN.chroma) * within(lightness, SKIN.lightness);
  return coloured * (1 - skin);
}

/** 1 between two bounds, falling to 0 over a width outside them. */
function within(at: number, [from, to, fade]: readonly [number, number, number]): number {
  return smooth((at - from) / fade + 1) * smooth((to - at) / fade + 1);
}

function smooth(at: number): number {
  const t = Math.min(1, Math.max(0, at));
  return t * t * (3 - 2 * t);
}

/** Where a hue goes, degrees, and what is left of its chroma: what lies between two arcs draws apart toward them. */
export function harmonised(
  hue: number,
  arcs: readonly Arc[],
  degree: number,
): { hue: number; chroma: number } {
  for (let i = 0; i < arcs.length; i++) {
    const { from, to } = arcs[i];
    if (turned(hue - from) <= to - from) return { hue, chroma: 1 };
    const next = arcs[(i + 1) % arcs.length];
    const gap = turned(next.from - to);
    const along = turned(hue - to);
    if (along > gap || gap === 0) continue;
    const u = along / gap;
    const drawn = smooth(smooth(u));
    const between = 4 * u * (1 - u);
    return {
      hue: (to + gap * (u + degree * (drawn - u))) % 360,
      chroma: 1 - degree * GREYED * (gap / 360) * between * between,
    };
  }
  return { hue, chroma: 1 };
}

/** How far a hue lies from the nearest arc, degrees from 0. */
export function degreesOff(hue: number, arcs: readonly Arc[]): number {
  return arcs.reduce((least, { from, to }) => {
    const along = turned(hue - from);
    return along <= to - from ? 0 : Math.min(least, along - (to - from), 360 - along);
  }, 180);
}

const turned = (degrees: number) => ((degrees % 360) + 360) % 360;

/** A picture through a table, read between its points along each side; `keep` (0–255 a pixel) keeps bytes at 255. */
export function throughTable(
  { width, height, data }: Picture,
  table: Float32Array,
  keep?: Uint8Array,
): Picture {
  const out = data.slice();
  const size = TABLE_SIZE;
  const scale = (size - 1) / 255;
  for (let at = 0, pixel = 0; at < data.length; at += 4, pixel++) {
    const kept = keep ? keep[pixel] / 255 : 0;
    if (kept === 1) continue;
    const [x, y, z] = [data[at] * scale, data[at + 1] * scale, data[at + 2] * scale];
    const i = Math.min(size - 2, x | 0);
    const j = Math.min(size - 2, y | 0);
    const k = Math.min(size - 2, z | 0);
    const [u, v, w] = [x - i, y - j, z - k];
    const base = ((k * size + j) * size + i) * 3;
    const row = size * 3;
    const sheet = size * row;
    for (let c = 0; c < 3; c++) {
      const p = base + c;
      const near =
        (table[p] * (1 - u) + table[p + 3] * u) * (1 - v) +
        (table[p + row] * (1 - u) + table[p + row + 3] * u) * v;
      const far =
        (table[p + sheet] * (1 - u) + table[p + sheet + 3] * u) * (1 - v) +
        (table[p + sheet + row] * (1 - u) + table[p + sheet + row + 3] * u) * v;
      const level = 255 * (near * (1 - w) + far * w);
      out[at + c] = level + kept * (data[at + c] - level);
    }
  }
  return { width, height, data: out };
}

/** The table as `.cube` text, red the fastest. */
export function cubeText(table: Float32Array, title: string): string {
  const lines = [
    `TITLE "${title.replace(/["\u0000-\u001f]/g, ' ').trim()}"`,
    `LUT_3D_SIZE ${TABLE_SIZE}`,
    'DOMAIN_MIN 0.0 0.0 0.0',
    'DOMAIN_MAX 1.0 1.0 1.0',
  ];
  for (let at = 0; at < table.length; at += 3)
    lines.push([table[at], table[at + 1], table[at + 2]].map((one) => one.toFixed(6)).join(' '));
  return `${lines.join('\n')}\n`;
}
