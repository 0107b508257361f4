import type { Masses } from '../measure/masses';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';

/** So many places a colour is echoed at. */
export const ECHOES = 3;
/** Cells from the picture's edge where nothing is echoed, as a share of the diagonal. */
const RIM = 0.03;
/** A touch has room where cells so near, as a share of the diagonal, have its value too. */
const ROOM = 0.012;
/** Two places nearer than this, as a share of the diagonal, would be one. */
const APART = 0.12;

/**
 * Where a colour would tie the picture together: places outside its own masses, within `half` a step (Munsell) of its
 * value, so that it can be laid there and only its hue is new. Each next place is the one farthest from where the colour is
 * already, so that the eye is led across. Fewer than `ECHOES` where there are no more.
 */
export function echoPlaces(
  { labels }: Masses,
  grid: ColourGrid,
  own: readonly boolean[],
  value: number,
  half: number,
): Place[] {
  const { width, across, down } = grid;
  const diagonal = Math.hypot(across, down);
  const rim = Math.ceil(RIM * diagonal);
  const room = Math.max(1, Math.round(ROOM * diagonal));
  const fits = (c: number) =>
    labels[c] >= 0 && !own[labels[c]] && Math.abs(grid.value[c] - value) <= half;
  const candidates: number[] = [];
  const away: number[] = [];
  const taken: number[] = [];
  labels.forEach((label, c) => {
    if (label >= 0 && own[label]) taken.push(c);
  });
  for (let y = rim; y < down - rim; y++)
    for (let x = rim; x < across - rim; x++) {
      const c = y * width + x;
      let isFree = true;
      for (let j = -room; j <= room && isFree; j++)
        for (let i = -room; i <= room && isFree; i++) isFree = fits(c + j * width + i);
      if (isFree) candidates.push(c);
    }
  const distance = (c: number, d: number) =>
    Math.hypot((c % width) - (d % width), Math.floor(c / width) - Math.floor(d / width));
  // The colour's own area is thinned out: distances to every cell of it would take long.
  const stride = Math.max(1, Math.floor(taken.length / 400));
  const from = taken.filter((_, i) => i % stride === 0);
  for (const c of candidates)
    away.push(from.reduce((least, d) => Math.min(least, distance(c, d)), diagonal));
  const found: number[] = [];
  while (found.length < ECHOES) {
    let best = -1;
    for (let i = 0; i < candidates.length; i++)
      if (away[i] >= APART * diagonal && (best < 0 || away[i] > away[best])) best = i;
    if (best < 0) break;
    const chosen = candidates[best];
    found.push(chosen);
    candidates.forEach((c, i) => (away[i] = Math.min(away[i], distance(c, chosen))));
  }
  return found.map((c) => placeOfCell(grid, c));
}
