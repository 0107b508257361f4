import type { Oklab } from '../colour/oklab';
import type { Border } from '../measure/borders';
import { LIGHT } from '../measure/light-split';
import type { Masses } from '../measure/masses';
import { localColourLikeness } from '../measure/warm-cool';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { spreadWave } from '../raster/wavefront';
import { reflectedRegions } from './reflected-light';

/** A colour at a place. */
interface Spot {
  place: Place;
  colour: Oklab;
  /** Munsell value. */
  value: number;
}

/** A form that turns from light into shadow, and the light that comes back into it. */
export interface ShadowForm {
  /** The mass in which its shadow is darkest. */
  mass: number;
  /** Where the light comes from, across the picture: degrees, 0 from the right, 90 from above. */
  light: number;
  /** Where the shadow is darkest. */
  core: Spot;
  /** Where it is lighter again, by how many Munsell steps, and the mass that likely throws that light; null where none near it has its hue. */
  reflected: Spot & { step: number; from: number | null };
  /** The shadow that it throws on what stands beside it, and the mass that lies in the light there. */
  cast: (Spot & { on: number; share: number }) | null;
}

/** A shadow and the ground that it is thrown on are alike from here on, and part by so many Munsell steps. */
const ONE_GROUND = 0.5;
const MIN_THROWN = 0.6;
/** So much of a mass lies in the light, or in shadow, to be of it. */
const MOSTLY = 0.7;
/** From this shift in a, b on, relative to lightness, reflected light has a hue … */
const MIN_SHIFT = 0.008;
/** … and comes from a mass whose own lies within this cosine of it. */
const MIN_COSINE = 0.5;
/** How near what throws it stands, in cells. */
const REACH = 40;

/**
 * The forms that turn from light into shadow and have light thrown back into them: for each the core of its
 * shadow, the reflected light with the mass that likely throws it, and the shadow it casts. `labels` are the
 * masses of the cells of `grid`, which is not squinted; `lit` is the part of each mass that lies in the light.
 */
export function readShadowForms(
  masses: Masses,
  borders: readonly Border[],
  grid: ColourGrid,
  labels: Int16Array,
  lit: readonly number[],
): ShadowForm[] {
  return reflectedRegions(grid)
    .flatMap(({ cells, core: coreCells, form, away }) => {
      const mass = mostCommon(coreCells.map((c) => labels[c]));
      // The masses' coarser cells miss what only single pixels of are there.
      if (mass < 0) return [];
      const core = spotOf(coreCells, grid);
      const back = spotOf(cells, grid);
      const own = mainOf([...form, ...cells].map((c) => labels[c]));
      const found = {
        mass,
        light: ((Math.atan2(away[1], -away[0]) * 180) / Math.PI + 360) % 360,
        core,
        reflected: {
          ...back,
          step: back.value - core.value,
          from: throwerOf(masses, labels, own, cells, core, back, grid),
        },
        cast: castShadow(masses, borders, own, lit, core.place, away),
        size: cells.length,
      };
      return [found];
    })
    .sort((one, other) => other.size - one.size)
    .map(({ size: _, ...form }) => form);
}

/** Those that are a fifth and more of all. */
function mainOf(of: readonly number[]): Set<number> {
  const counts = new Map<number, number>();
  for (const one of of) counts.set(one, (counts.get(one) ?? 0) + 1);
  return new Set([...counts.keys()].filter((one) => (counts.get(one) ?? 0) >= of.length / 5));
}

function mostCommon(of: readonly number[]): number {
  const counts = new Map<number, number>();
  for (const one of of) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts.entries()].reduce((most, one) => (one[1] > most[1] ? one : most))[0];
}

function centroid(cells: readonly number[], width: number): [number, number] {
  let [x, y] = [0, 0];
  for (const c of cells) {
    x += c % width;
    y += Math.floor(c / width);
  }
  return [x / cells.length, y / cells.length];
}

/** The means of some cells, at the one of them that is nearest to their middle. */
function spotOf(cells: readonly number[], grid: ColourGrid): Spot {
  const { oklab, value, width } = grid;
  const [x, y] = centroid(cells, width);
  const sum = { L: 0, a: 0, b: 0 };
  let light = 0;
  let nearest = cells[0];
  let least = Infinity;
  for (const c of cells) {
    sum.L += oklab[c * 3];
    sum.a += oklab[c * 3 + 1];
    sum.b += oklab[c * 3 + 2];
    light += value[c];
    const away = Math.hypot((c % width) - x, Math.floor(c / width) - y);
    if (away < least) {
      least = away;
      nearest = c;
    }
  }
  const n = cells.length;
  return {
    place: placeOfCell(grid, nearest),
    colour: { L: sum.L / n, a: sum.a / n, b: sum.b / n },
    value: light / n,
  };
}

/** a, b for their lightness: what light alone does not change. */
function hueShift(of: Oklab, against: Oklab): [number, number] {
  const [one, other] = [of, against].map(({ L, a, b }) => [
    a / Math.max(0.05, L),
    b / Math.max(0.05, L),
  ]);
  return [0.7 * (one[0] - other[0]), 0.7 * (one[1] - other[1])];
}

/** The mass outside a form that likely throws light into some of its cells: the nearer and larger, and of the hue of what it adds. */
function throwerOf(
  { masses }: Masses,
  labels: Int16Array,
  own: ReadonlySet<number>,
  cells: readonly number[],
  core: Spot,
  back: Spot,
  { width }: ColourGrid,
): number | null {
  const distances = new Int16Array(labels.length).fill(-1);
  const weights = new Map<number, number>();
  for (const c of cells) distances[c] = 0;
  spreadWave([...new Set(cells)], width, labels.length, (c, from) => {
    if (distances[c] >= 0 || labels[c] < 0 || distances[from] >= REACH) return false;
    distances[c] = distances[from] + 1;
    if (!own.has(labels[c]))
      weights.set(labels[c], (weights.get(labels[c]) ?? 0) + 1 / distances[c]);
    return true;
  });
  const shift = hueShift(back.colour, core.colour);
  const size = Math.hypot(...shift);
  let best: number | null = null;
  let most = 0;
  for (const [mass, weight] of weights) {
    const { colour, value } = masses[mass];
    if (value <= back.value) continue;
    const own = hueShift(colour, core.colour);
    const cosine = (own[0] * shift[0] + own[1] * shift[1]) / (Math.hypot(...own) * size || 1);
    if (size >= MIN_SHIFT && cosine < MIN_COSINE) continue;
    const score = weight * (size >= MIN_SHIFT ? cosine * Math.hypot(...own) : value);
    if (score > most) {
      most = score;
      best = mass;
    }
  }
  return best;
}

/** The mass in shadow beside a form, on its far side, that could be what lies in the light beyond it. */
function castShadow(
  { grid, masses: all }: Masses,
  borders: readonly Border[],
  own: ReadonlySet<number>,
  lit: readonly number[],
  core: Place,
  away: readonly [number, number],
): ShadowForm['cast'] {
  const besides = (mass: number) =>
    borders.flatMap(({ one, other }) => (one === mass ? [other] : other === mass ? [one] : []));
  const candidates = all.flatMap((shadow, i): NonNullable<ShadowForm['cast']>[] => {
    if (own.has(i) || lit[i] > 1 - MOSTLY || !besides(i).some((one) => own.has(one))) return [];
    const x = (shadow.place.x - core.x) * grid.across;
    const y = (shadow.place.y - core.y) * grid.down;
    if (x * away[0] + y * away[1] <= 0) return [];
    const grounds = besides(i).filter(
      (ground) =>
        !own.has(ground) &&
        lit[ground] >= MOSTLY &&
        all[ground].value - shadow.value >= MIN_THROWN &&
        localColourLikeness(all[ground].colour, shadow.colour) >= ONE_GROUND,
    );
    if (grounds.length === 0) return [];
    const { place, colour, value, share } = shadow;
    // Masses stand by area.
    return [{ place, colour, value, share, on: Math.min(...grounds) }];
  });
  return candidates[0] ?? null;
}

/** The part of each mass that lies in the light, 0–1. */
export function litShares({ labels, masses }: Masses, sides: Uint8Array): number[] {
  const lit = new Float64Array(masses.length);
  const all = new Float64Array(masses.length);
  labels.forEach((mass, c) => {
    if (mass < 0) return;
    all[mass]++;
    if (sides[c] === LIGHT) lit[mass]++;
  });
  return Array.from(lit, (n, i) => n / all[i]);
}
