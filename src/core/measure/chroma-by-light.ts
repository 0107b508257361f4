import type { ColourGrid } from '../picture/colour-grid';
import { LIGHT, SHADOW } from './light-split';

/** Mean OKLCH chroma in each part of the light; null for a part that holds nothing. */
export interface ChromaByLight {
  light: number | null;
  /** Light that is nearer in value to the shadow's than to that of the full light. */
  halfTone: number | null;
  /** Shadow along the light. */
  shadowEdge: number | null;
  shadow: number | null;
}

/** How wide the edge of the shadow is, in cells. */
const EDGE = 2;

/**
 * Where along the turn from light to shadow the saturation lives. `sides` is of pixels, `size` of the
 * picture; `threshold` the Munsell value that parts the two.
 */
export function chromaByLight(
  grid: ColourGrid,
  sides: Uint8Array,
  size: { width: number; height: number },
  threshold: number,
): ChromaByLight {
  const { width, height, across, down, oklab, value, mask } = grid;
  const side = new Int8Array(mask.length).fill(-1);
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      const px = Math.min(size.width - 1, Math.floor(((x + 0.5) / across) * size.width));
      const py = Math.min(size.height - 1, Math.floor(((y + 0.5) / down) * size.height));
      const of = sides[py * size.width + px];
      if (mask[c] && (of === LIGHT || of === SHADOW)) side[c] = of;
    }
  const halfTone = (threshold + fullLight(value, side, threshold)) / 2;
  const isNearLight = (x: number, y: number) => {
    for (let j = Math.max(0, y - EDGE); j <= Math.min(height - 1, y + EDGE); j++)
      for (let i = Math.max(0, x - EDGE); i <= Math.min(width - 1, x + EDGE); i++)
        if (side[j * width + i] === LIGHT) return true;
    return false;
  };
  const sums = { light: [0, 0], halfTone: [0, 0], shadowEdge: [0, 0], shadow: [0, 0] };
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (side[c] < 0) continue;
      const part =
        side[c] === LIGHT
          ? value[c] < halfTone
            ? 'halfTone'
            : 'light'
          : isNearLight(x, y)
            ? 'shadowEdge'
            : 'shadow';
      sums[part][0]++;
      sums[part][1] += Math.hypot(oklab[c * 3 + 1], oklab[c * 3 + 2]);
    }
  const mean = ([cells, sum]: number[]) => (cells > 0 ? sum / cells : null);
  return {
    light: mean(sums.light),
    halfTone: mean(sums.halfTone),
    shadowEdge: mean(sums.shadowEdge),
    shadow: mean(sums.shadow),
  };
}

/** The value that three quarters of the light lie under; the threshold where there is no light. */
function fullLight(value: Float32Array, side: Int8Array, threshold: number): number {
  const light = value.filter((_, c) => side[c] === LIGHT).sort();
  return light.length > 0 ? light[Math.floor(light.length * 0.75)] : threshold;
}
