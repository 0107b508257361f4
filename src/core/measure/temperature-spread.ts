import type { Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { OPAQUE, type Picture } from '../picture/picture';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { writeOklab } from '../colour/oklab';
import { meanColour, type ColourParts } from './colour-parts';

export interface TemperaturePlace extends Place {
  temperature: number;
  colour: Oklab;
}

/** Where a picture is warm and where cool; temperatures −3 (cool) to 3 (warm). */
export interface TemperatureReading {
  /** Of the mean colour of all, of the light, and of the shadow; null for a side that holds nothing. */
  mean: number;
  light: number | null;
  shadow: number | null;
  warmest: TemperaturePlace;
  coolest: TemperaturePlace;
  /** Of each value zone, from dark to light; null for an empty one. */
  zones: (number | null)[];
}

/** How far around a place its temperature is taken, in cells of the grid. */
const REACH = 2;

/** `thresholds` are the Munsell values that part the zones, rising. */
export function readTemperature(
  parts: ColourParts,
  grid: ColourGrid,
  thresholds: readonly number[],
): TemperatureReading {
  const of = (weightOf: (part: number) => number) => {
    const colour = meanColour(parts, weightOf);
    return colour && temperature(colour);
  };
  const zoneOf = (part: number) =>
    thresholds.filter((threshold) => parts.value[part] >= threshold).length;
  const [coolest, warmest] = extremes(grid);
  return {
    mean: of(() => 1) ?? 0,
    light: of((part) => (parts.side[part] === 1 ? 1 : 0)),
    shadow: of((part) => (parts.side[part] === 0 ? 1 : 0)),
    warmest,
    coolest,
    zones: Array.from({ length: thresholds.length + 1 }, (_, zone) =>
      of((part) => (zoneOf(part) === zone ? 1 : 0)),
    ),
  };
}

/** The coolest and the warmest place, each a mean of the cells around it. */
function extremes(grid: ColourGrid): [TemperaturePlace, TemperaturePlace] {
  const { width, height, oklab, mask } = grid;
  let coolest: TemperaturePlace | null = null;
  let warmest: TemperaturePlace | null = null;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (!mask[y * width + x]) continue;
      let n = 0;
      const sum = [0, 0, 0];
      for (let j = Math.max(0, y - REACH); j <= Math.min(height - 1, y + REACH); j++)
        for (let i = Math.max(0, x - REACH); i <= Math.min(width - 1, x + REACH); i++) {
          const c = j * width + i;
          if (!mask[c]) continue;
          n++;
          for (let k = 0; k < 3; k++) sum[k] += oklab[c * 3 + k];
        }
      const [L, a, b] = sum.map((one) => one / n);
      const here = temperature({ a, b });
      if (coolest && here >= coolest.temperature && warmest && here <= warmest.temperature)
        continue;
      const place = {
        ...placeOfCell(grid, y * width + x),
        temperature: here,
        colour: { L, a, b },
      };
      if (!coolest || here < coolest.temperature) coolest = place;
      if (!warmest || here > warmest.temperature) warmest = place;
    }
  if (!coolest || !warmest) throw new RangeError('nothing to read: every pixel is transparent');
  return [coolest, warmest];
}

/** The temperature of the mean of a grid's cells. */
export function meanTemperature({ oklab, mask }: ColourGrid): number {
  let a = 0;
  let b = 0;
  let cells = 0;
  mask.forEach((one, c) => {
    cells += one;
    a += one * oklab[c * 3 + 1];
    b += one * oklab[c * 3 + 2];
  });
  return cells === 0 ? 0 : temperature({ a: a / cells, b: b / cells });
}

/** How far from the mean a temperature has to lie to be drawn white or black. */
const SPAN = 0.9;

/** The picture in greys of its temperature about `mean`: the lighter the warmer. */
export function temperaturePicture({ width, height, data }: Picture, mean: number): Picture {
  const out = new Uint8ClampedArray(data.length);
  const ok = new Float32Array(3);
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    writeOklab(
      LINEAR_OF_BYTE[data[i]],
      LINEAR_OF_BYTE[data[i + 1]],
      LINEAR_OF_BYTE[data[i + 2]],
      ok,
      0,
    );
    const grey = 128 + (127 * (temperature({ a: ok[1], b: ok[2] }) - mean)) / SPAN;
    out[i] = out[i + 1] = out[i + 2] = grey;
    out[i + 3] = 255;
  }
  return { width, height, data: out };
}
