import type { ColourGrid } from '../picture/colour-grid';
import { localColourLikeness } from '../measure/warm-cool';
import { connectedComponents } from '../raster/connected-components';

/** A part of a shadow that is lighter again on the side away from the light, by the cells of a grid. */
export interface ReflectedRegion {
  /** The reflected light, the darkest of the shadow beside it, and the cells lit or turning that belong to them. */
  cells: number[];
  core: number[];
  form: number[];
  /** From the light into the shadow, in cells, y downward, of length 1. */
  away: [number, number];
}

/** The ways lines are laid through a picture: across, down and aslant. Each is read from both its ends. */
const WAYS: readonly (readonly [number, number])[] = [
  [1, 0],
  [0, 1],
  [1, 1],
  [-1, 1],
];
/** A change over two cells that is an edge: Munsell steps, OKLab a, b. */
const EDGE = 1.15;
const COLOUR_EDGE = 0.035;
/** The shortest run, in cells, and the least step from its lightest to its darkest. */
const MIN_RUN = 16;
const MIN_TURN = 1.5;
/** The least rise from the core to the reflected light, and the part of the turn beyond which it is a light of its own. */
const MIN_RISE = 0.3;
const MAX_RISE = 0.35;
/** The part of the rise from which on a cell is of the reflected light. */
const UPPER = 0.6;
/** So many lines have to find it beside each other. */
const MIN_LINES = 16;
/** The longest way from the light to the core, in cells: what turns more slowly is a sky or a field. */
const MAX_TURN_LENGTH = 150;
/** How likely light and core have to be one local colour. */
const ONE_COLOUR = 0.3;
/** On the way from the light to the core value may rise again by this part of the turn in all: more is a texture. */
const MAX_BACK = 0.2;
/** Cells at an end of a run that are mixed with what lies beyond. */
const MIXED = 1;

/** A line through the cells: the first, how far each next one lies from it, and how many there are. */
interface Line {
  start: number;
  step: number;
  length: number;
}

/** What one line finds: indices into it, from the light on. */
interface Turn {
  line: Line;
  light: number;
  core: number;
  /** The one after the last. */
  end: number;
  rise: number;
}

/**
 * Where light comes back into a shadow. Lines through the picture are cut where value or colour jump; along
 * each piece that turns from light into shadow without an edge, the shadow is darkest at its core, and what
 * rises again beyond it, up to the next edge, is reflected light. What enough neighbouring lines find is one
 * region. `grid` is not squinted.
 */
export function reflectedRegions(grid: ColourGrid): ReflectedRegion[] {
  const found = WAYS.flatMap(([dx, dy]) => {
    const turns = linesOf(dx, dy, grid).flatMap((line) => turnsAlong(line, grid));
    const length = Math.hypot(dx, dy);
    return [1, -1].flatMap((sign) =>
      regionsOf(
        turns.filter(({ light, core }) => Math.sign(core - light) === sign),
        grid,
        [(sign * dx) / length, (sign * dy) / length],
      ),
    );
  });
  return withoutRepeats(found);
}

/** The cells of a turn beyond its core that are lighter by most of its rise. */
function backOf({ line, core, end, rise }: Turn, { value }: ColourGrid): number[] {
  const limit = value[cellOf(line, core)] + UPPER * rise;
  const sign = Math.sign(end - core);
  const cells: number[] = [];
  for (let i = core + sign; i !== end; i += sign)
    if (value[cellOf(line, i)] >= limit) cells.push(cellOf(line, i));
  return cells;
}

const cellOf = ({ start, step }: Line, i: number) => start + i * step;

/** What neighbouring lines of one way find. */
function regionsOf(
  turns: readonly Turn[],
  grid: ColourGrid,
  away: [number, number],
): ReflectedRegion[] {
  if (turns.length < MIN_LINES) return [];
  const { width, height } = grid;
  const isBack = new Uint8Array(width * height);
  const backs = turns.map((turn) => backOf(turn, grid));
  for (const cells of backs) for (const c of cells) isBack[c] = 1;
  // A gap of one line is noise.
  const closed = isBack.map((is, c) =>
    is || (isBack[c - 1] && isBack[c + 1]) || (isBack[c - width] && isBack[c + width]) ? 1 : 0,
  );
  const parts = connectedComponents(closed, width, height, 0);
  const regions = Array.from(parts.size, () => ({
    cells: [] as number[],
    core: [] as number[],
    form: [] as number[],
    away,
  }));
  turns.forEach((turn, k) => {
    const [first] = backs[k];
    if (first === undefined) return;
    const region = regions[parts.labels[first]];
    const { line, light, core, end } = turn;
    const own = new Set(backs[k]);
    region.core.push(cellOf(line, core));
    region.cells.push(...backs[k]);
    for (let i = light; i !== end; i += Math.sign(end - light))
      if (!own.has(cellOf(line, i))) region.form.push(cellOf(line, i));
  });
  return regions.filter(({ core }) => core.length >= MIN_LINES);
}

/** Regions that lines of several ways find: the one that most of them do. */
function withoutRepeats(found: readonly ReflectedRegion[]): ReflectedRegion[] {
  const taken = new Set<number>();
  return [...found]
    .sort((one, other) => other.core.length - one.core.length)
    .filter(({ cells, core }) => {
      const isRepeat = cells.some((c) => taken.has(c)) || core.some((c) => taken.has(c));
      for (const c of [...cells, ...core]) taken.add(c);
      return !isRepeat;
    });
}

/** All lines of one way. */
function linesOf(dx: number, dy: number, { width, height }: ColourGrid): Line[] {
  const lines: Line[] = [];
  const add = (x: number, y: number) => {
    const across = dx > 0 ? width - x : dx < 0 ? x + 1 : Infinity;
    const down = dy > 0 ? height - y : Infinity;
    lines.push({ start: y * width + x, step: dy * width + dx, length: Math.min(across, down) });
  };
  if (dy > 0) for (let x = 0; x < width; x++) add(x, 0);
  if (dx !== 0) for (let y = dy > 0 ? 1 : 0; y < height; y++) add(dx > 0 ? 0 : width - 1, y);
  return lines;
}

/** The pieces of a line, from edge to edge, that turn from light into shadow and rise again, read from either end. */
function turnsAlong(line: Line, { value, oklab, mask }: ColourGrid): Turn[] {
  const { start, step, length } = line;
  const isEdge = (i: number) => {
    const at = start + i * step;
    const c = at - step;
    const d = at + step;
    if (!mask[at] || Math.abs(value[c] - value[d]) >= EDGE) return true;
    const a = oklab[c * 3 + 1] - oklab[d * 3 + 1];
    const b = oklab[c * 3 + 2] - oklab[d * 3 + 2];
    return a * a + b * b >= COLOUR_EDGE * COLOUR_EDGE;
  };
  const isOneColour = ({ light, core }: Turn) => {
    const [one, other] = [light, core].map((i) => {
      const c = (start + i * step) * 3;
      return { L: oklab[c], a: oklab[c + 1], b: oklab[c + 2] };
    });
    return localColourLikeness(one, other) >= ONE_COLOUR;
  };
  const turns: Turn[] = [];
  for (let from = 1; from < length - 1;) {
    let to = from;
    while (to < length - 1 && !isEdge(to)) to++;
    if (to - from >= MIN_RUN) {
      const smooth = smoothedAlong(line, value, from + MIXED, to - MIXED);
      // What rises up to the border of the picture may go on rising.
      const forward = to < length - 1 ? turnIn(smooth) : null;
      const backward = from > 1 ? turnIn(smooth.reverse()) : null;
      if (forward)
        turns.push({
          line,
          light: from + MIXED + forward.light,
          core: from + MIXED + forward.core,
          end: to - MIXED,
          rise: forward.rise,
        });
      if (backward)
        turns.push({
          line,
          light: to - MIXED - 1 - backward.light,
          core: to - MIXED - 1 - backward.core,
          end: from + MIXED - 1,
          rise: backward.rise,
        });
    }
    from = to + 1;
  }
  return turns.filter(isOneColour);
}

/** Values along a part of a line, each a mean of three: grain is no turn. */
function smoothedAlong({ start, step }: Line, value: Float32Array, from: number, end: number) {
  const smooth = new Float64Array(end - from);
  for (let i = from; i < end; i++)
    smooth[i - from] =
      (value[start + Math.max(from, i - 1) * step] +
        value[start + i * step] +
        value[start + Math.min(end - 1, i + 1) * step]) /
      3;
  return smooth;
}

/** The light, the core and the rise beyond it, of values from one end to the other; null where they don't turn so. */
function turnIn(values: Float64Array): { light: number; core: number; rise: number } | null {
  let core = 0;
  for (let i = 1; i < values.length; i++) if (values[i] < values[core]) core = i;
  let light = 0;
  for (let i = 1; i < core; i++) if (values[i] > values[light]) light = i;
  const turn = values[light] - values[core];
  if (turn < MIN_TURN || core - light > MAX_TURN_LENGTH) return null;
  let rise = 0;
  for (let i = core; i < values.length; i++) rise = Math.max(rise, values[i] - values[core]);
  if (rise < MIN_RISE || rise > MAX_RISE * turn) return null;
  let back = 0;
  for (let i = light; i < core; i++) back += Math.max(0, values[i + 1] - values[i]);
  return back > MAX_BACK * turn ? null : { light, core, rise };
}
