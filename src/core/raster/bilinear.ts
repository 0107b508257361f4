/**
 * Writes each channel of a grid of numbers (`channels` a cell) at a place between its cells, whose
 * middles lie at whole numbers; beyond the outermost middles their numbers hold.
 */
export function bilinear(
  numbers: Float32Array,
  width: number,
  channels: number,
  x: number,
  y: number,
  out: Float64Array,
): void {
  const height = numbers.length / channels / width;
  const u = Math.min(width - 1, Math.max(0, x));
  const v = Math.min(height - 1, Math.max(0, y));
  const u0 = Math.min(Math.max(0, width - 2), u | 0);
  const v0 = Math.min(Math.max(0, height - 2), v | 0);
  const fu = u - u0;
  const fv = v - v0;
  const right = width > 1 ? channels : 0;
  const below = height > 1 ? width * channels : 0;
  const at = (v0 * width + u0) * channels;
  for (let k = 0; k < channels; k++) {
    const c = at + k;
    const upper = numbers[c] + (numbers[c + right] - numbers[c]) * fu;
    const lower = numbers[c + below] + (numbers[c + below + right] - numbers[c + below]) * fu;
    out[k] = upper + (lower - upper) * fv;
  }
}
