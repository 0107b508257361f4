import { NEUTRAL_CHROMA } from '../colour/intensity';
import { temperature } from '../colour/temperature';
import { bordersOf } from '../measure/borders';
import { massesOf } from '../measure/masses';
import { keyOf, rangeOf, type Key, type ValueRange } from '../measure/values';
import type { ColourGrid } from '../picture/colour-grid';
import { quantileOf } from '../raster/quantile';
import { THREE_ZONES, type ThreeZone } from './proportions';

/** What a picture is by itself, as key, range, families and edges are told of it. */
export interface OwnReading {
  key: Key;
  range: ValueRange;
  /** Munsell values: the 5th percentile, the median, the 95th. */
  darkest: number;
  median: number;
  lightest: number;
  zones: Record<ThreeZone, number>;
  /** Mean OKLCH chroma, and the share that is all but grey. */
  chroma: number;
  neutral: number;
  /** Of what is coloured, the share that is warm; null where nothing is. */
  warm: number | null;
  /** Hues (OKLCH degrees) that take more than a tenth of the coloured, the largest first. */
  families: { hue: number; share: number }[];
  edges: { found: number; soft: number; lost: number };
}

/** Where dark, middle and light part when nothing else is known: Munsell values. */
const PARTS = [3.5, 6.5];
const SECTORS = 12;
const MIN_FAMILY = 0.1;

export function ownReading(grid: ColourGrid): OwnReading {
  const { oklab, value, mask } = grid;
  const values: number[] = [];
  const zones = [0, 0, 0];
  const sectors = Array.from({ length: SECTORS }, () => ({ n: 0, a: 0, b: 0 }));
  let [chroma, neutral, warm] = [0, 0, 0];
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c]) continue;
    values.push(value[c]);
    zones[PARTS.filter((edge) => value[c] >= edge).length]++;
    const [a, b] = [oklab[c * 3 + 1], oklab[c * 3 + 2]];
    const C = Math.hypot(a, b);
    chroma += C;
    if (C < NEUTRAL_CHROMA) {
      neutral++;
      continue;
    }
    if (temperature({ a, b }) > 0) warm++;
    const turn = (Math.atan2(b, a) / (2 * Math.PI) + 1) % 1;
    const sector = sectors[Math.min(SECTORS - 1, Math.floor(turn * SECTORS))];
    sector.n++;
    sector.a += a;
    sector.b += b;
  }
  const all = Math.max(1, values.length);
  const coloured = values.length - neutral;
  const sorted = Float64Array.from(values.length > 0 ? values : [5]);
  const [darkest, median, lightest] = [0.05, 0.5, 0.95].map((q) => quantileOf(sorted, q));
  return {
    key: keyOf(median),
    range: rangeOf(darkest, lightest),
    darkest,
    median,
    lightest,
    zones: Object.fromEntries(
      THREE_ZONES.map((zone, i) => [zone, zones[i] / all]),
    ) as OwnReading['zones'],
    chroma: chroma / all,
    neutral: neutral / all,
    warm: coloured > 0 ? warm / coloured : null,
    families: sectors
      .filter(({ n }) => n > MIN_FAMILY * coloured)
      .map(({ n, a, b }) => ({
        hue: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360,
        share: n / coloured,
      }))
      .sort((one, other) => other.share - one.share),
    edges: edgeShares(grid),
  };
}

function edgeShares(grid: ColourGrid): OwnReading['edges'] {
  const shares = { found: 0, soft: 0, lost: 0 };
  for (const { length, ...border } of bordersOf(massesOf(grid)))
    for (const edge of ['found', 'soft', 'lost'] as const) shares[edge] += length * border[edge];
  return shares;
}
