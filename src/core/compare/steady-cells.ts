import type { ColourGrid } from '../picture/colour-grid';

/** Differences between cells from which on an edge lies there: Munsell steps, and OKLab a and b together. */
const VALUE_EDGE = 0.6;
const COLOUR_EDGE = 0.03;
/** Cells around one that are looked at for an edge, to each side. */
const REACH = 2;
/** Cells along the model's sides that are left out: a hair's breadth of place, and they show what lies beyond. */
const RIM = 2;
/** Of all cells so much has to be steady; else those without a neighbouring edge will do, and at last all. */
const MIN_STEADY = 0.12;

/**
 * 1 for each cell that lies away from edges of the model, where a hair's breadth of place is much colour. A model that is
 * nearly all edges has the cells with fewest of them.
 */
export function steadyCells(model: ColourGrid): Uint8Array {
  const { width, height, mask } = model;
  const inside = Uint8Array.from(mask, (there, c) => {
    const x = c % width;
    const y = Math.floor(c / width);
    return there > 0 && x >= RIM && y >= RIM && x < width - RIM && y < height - RIM ? 1 : 0;
  });
  const all = inside.reduce((sum, one) => sum + one, 0);
  for (let reach = REACH; reach > 0; reach--) {
    const steady = inside.map((there, c) => (there && !hasEdge(model, c, reach) ? 1 : 0));
    if (steady.reduce((sum, one) => sum + one, 0) >= MIN_STEADY * all) return steady;
  }
  return inside;
}

function hasEdge({ width, value, oklab, mask }: ColourGrid, c: number, reach: number): boolean {
  for (let y = -reach; y <= reach; y++)
    for (let x = -reach; x <= reach; x++) {
      const d = c + y * width + x;
      if (d < 0 || d >= value.length || !(mask[d] > 0)) continue;
      if (Math.abs(value[d] - value[c]) > VALUE_EDGE) return true;
      const a = oklab[d * 3 + 1] - oklab[c * 3 + 1];
      const b = oklab[d * 3 + 2] - oklab[c * 3 + 2];
      if (a * a + b * b > COLOUR_EDGE * COLOUR_EDGE) return true;
    }
  return false;
}
