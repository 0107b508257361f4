import { atValue } from '../colour/at-value';
import { bytesFromOklab } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { OPAQUE, type Picture } from '../picture/picture';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { writeOklab } from '../colour/oklab';
import { boxSums } from '../raster/box-sums';
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
  const around = new Float64Array(mask.length * 4);
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c]) continue;
    around[c * 4] = 1;
    for (let k = 0; k < 3; k++) around[c * 4 + 1 + k] = oklab[c * 3 + k];
  }
  boxSums(around, width, height, 4, REACH);
  const mean = (c: number, k: number) => around[c * 4 + k] / around[c * 4];
  const at = (c: number) => temperature({ a: mean(c, 2), b: mean(c, 3) });
  let coolest = -1;
  let warmest = -1;
  let [least, most] = [Infinity, -Infinity];
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c]) continue;
    const here = at(c);
    if (here < least) [least, coolest] = [here, c];
    if (here > most) [most, warmest] = [here, c];
  }
  if (coolest < 0) throw new RangeError('nothing to read: every pixel is transparent');
  const place = (c: number): TemperaturePlace => ({
    ...placeOfCell(grid, c),
    temperature: at(c),
    colour: { L: mean(c, 1), a: mean(c, 2), b: mean(c, 3) },
  });
  return [place(coolest), place(warmest)];
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

/** How far from the mean a temperature has to lie to be drawn in full colour, and how strong that is. */
const SPAN = 0.9;
const FULL_CHROMA = 0.11;
/** All of the map is of one value, so that it can't be read as light and shadow. */
const MAP_VALUE = 6.5;
const WARM_HUE = 55;
const COOL_HUE = 235;
const MAP_STEPS = 255;

/** The colours of the map from coolest to warmest, three bytes each. */
const MAP_COLOURS: Uint8Array = Uint8Array.from(
  Array.from({ length: MAP_STEPS + 1 }, (_, step) => {
    const far = (2 * step) / MAP_STEPS - 1;
    return bytesFromOklab(
      atValue(MAP_VALUE, far < 0 ? COOL_HUE : WARM_HUE, () => Math.abs(far) * FULL_CHROMA),
    );
  }).flat(),
);

/** The picture in its temperature about `mean`: orange is warmer, blue cooler, grey between, all of one value. */
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
    const far = (temperature({ a: ok[1], b: ok[2] }) - mean) / SPAN;
    const step = Math.round(((1 + Math.min(1, Math.max(-1, far))) / 2) * MAP_STEPS);
    for (let k = 0; k < 3; k++) out[i + k] = MAP_COLOURS[step * 3 + k];
    out[i + 3] = 255;
  }
  return { width, height, data: out };
}
