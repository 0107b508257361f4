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

/** The ways lines are laid through a picture: from each side and aslant. */
const WAYS: readonly (readonly [number, number])[] = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
  [1, 1],
  [-1, -1],
  [1, -1],
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

/** What one line finds: indices into it. */
interface Turn {
  light: number;
  core: number;
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
  const { width, height } = grid;
  const found: ReflectedRegion[] = [];
  for (const way of WAYS) {
    const turns: { cells: number[]; turn: Turn }[] = [];
    const isBack = new Uint8Array(width * height);
    for (const start of startsOf(way, width, height)) {
      const cells = lineFrom(start, way, width, height);
      for (const turn of turnsAlong(cells, grid)) {
        turns.push({ cells, turn });
        for (let i = turn.core + 1; i < turn.end; i++)
          if (grid.value[cells[i]] >= grid.value[cells[turn.core]] + UPPER * turn.rise)
            isBack[cells[i]] = 1;
      }
    }
    // A gap of one line is noise.
    const closed = isBack.map((is, c) =>
      is || (isBack[c - 1] && isBack[c + 1]) || (isBack[c - width] && isBack[c + width]) ? 1 : 0,
    );
    const parts = connectedComponents(closed, width, height, 0);
    const length = Math.hypot(...way);
    const away: [number, number] = [way[0] / length, way[1] / length];
    const regions = Array.from(parts.size, () => ({
      cells: [] as number[],
      core: [] as number[],
      form: [] as number[],
      away,
      lines: 0,
    }));
    for (const { cells, turn } of turns) {
      const first = cells.slice(turn.core + 1, turn.end).find((c) => isBack[c]);
      if (first === undefined) continue;
      const region = regions[parts.labels[first]];
      region.lines++;
      region.core.push(cells[turn.core]);
      for (let i = turn.light; i < turn.end; i++)
        (i > turn.core && isBack[cells[i]] ? region.cells : region.form).push(cells[i]);
    }
    found.push(...regions.filter(({ lines }) => lines >= MIN_LINES));
  }
  return withoutRepeats(found);
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

/** The cells at which lines of one way begin. */
function startsOf([dx, dy]: readonly [number, number], width: number, height: number): number[] {
  const starts: number[] = [];
  for (let c = 0; c < width * height; c++) {
    const x = (c % width) - dx;
    const y = Math.floor(c / width) - dy;
    if (x < 0 || x >= width || y < 0 || y >= height) starts.push(c);
  }
  return starts;
}

function lineFrom(
  start: number,
  [dx, dy]: readonly [number, number],
  width: number,
  height: number,
): number[] {
  const cells: number[] = [];
  let x = start % width;
  let y = Math.floor(start / width);
  while (x >= 0 && x < width && y >= 0 && y < height) {
    cells.push(y * width + x);
    x += dx;
    y += dy;
  }
  return cells;
}

/** The pieces of a line, from edge to edge, that turn from light into shadow and rise again. */
function turnsAlong(cells: readonly number[], { value, oklab, mask }: ColourGrid): Turn[] {
  const isEdge = (i: number) => {
    const [c, d] = [cells[i - 1], cells[i + 1]];
    return (
      !mask[cells[i]] ||
      Math.abs(value[c] - value[d]) >= EDGE ||
      Math.hypot(oklab[c * 3 + 1] - oklab[d * 3 + 1], oklab[c * 3 + 2] - oklab[d * 3 + 2]) >=
        COLOUR_EDGE
    );
  };
  const colourAt = (i: number) => {
    const c = cells[i] * 3;
    return { L: oklab[c], a: oklab[c + 1], b: oklab[c + 2] };
  };
  const turns: Turn[] = [];
  for (let from = 1; from < cells.length - 1;) {
    let to = from;
    while (to < cells.length - 1 && !isEdge(to)) to++;
    const turn = to - from >= MIN_RUN ? turnIn(cells, value, from + MIXED, to - MIXED) : null;
    const isOne =
      turn && localColourLikeness(colourAt(turn.light), colourAt(turn.core)) >= ONE_COLOUR;
    // What rises up to the border of the picture may go on rising.
    if (turn && isOne && to < cells.length - 1) turns.push(turn);
    from = to + 1;
  }
  return turns;
}

function turnIn(
  cells: readonly number[],
  value: Float32Array,
  from: number,
  end: number,
): Turn | null {
  // A mean of three along the line: grain is no turn.
  const at = (i: number) =>
    (value[cells[Math.max(from, i - 1)]] +
      value[cells[i]] +
      value[cells[Math.min(end - 1, i + 1)]]) /
    3;
  let core = from;
  for (let i = from; i < end; i++) if (at(i) < at(core)) core = i;
  let light = from;
  for (let i = from; i < core; i++) if (at(i) > at(light)) light = i;
  let rise = 0;
  for (let i = core; i < end; i++) rise = Math.max(rise, at(i) - at(core));
  const turn = at(light) - at(core);
  let back = 0;
  for (let i = light; i < core; i++) back += Math.max(0, at(i + 1) - at(i));
  if (back > MAX_BACK * turn || core - light > MAX_TURN_LENGTH) return null;
  if (turn < MIN_TURN || rise < MIN_RISE || rise > MAX_RISE * turn) return null;
  return { light, core, end, rise };
}
