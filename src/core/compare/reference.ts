import { oklabFromLinear } from '../colour/oklab';
import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import type { Picture } from '../picture/picture';
import { inverted, mapped, type Homography } from '../raster/homography';
import { solved } from '../mixing/linear-system';
import { quantileOf } from '../raster/quantile';
import { isClipped, pixelAt, type LaidOn } from './laid-on';

/** White paper, and the grey side of a card: the share of light they send back. */
export const PAPER_REFLECTANCE = 0.9;
export const CARD_REFLECTANCE = 0.18;

/** Light of something of known colour: its place in fractions of the model, and the logarithms of linear red, green and blue. */
export interface KnownSample {
  u: number;
  v: number;
  logs: readonly [number, number, number];
}

/** Distances from the study's edge that are looked at for paper, as shares of its longer side; samples along each side. */
const DEPTHS = [0.014, 0.022, 0.03, 0.04, 0.055] as const;
const ALONG = 36;
/** Paper lies within this about a plane of the logarithm of light. */
const ONE_PAPER = 0.07;
/** Of what is looked at around the study so much has to be paper, in the half of the sides that have most of it. */
const MIN_PAPER = 0.6;
const MIN_SAMPLES = 40;
/** Paint on paper is hardly brighter than the paper: the study's lights against it, and what counts as its lights. */
const MAX_LIGHTS = 1.25;
const LIGHTS = 0.97;
/** Paper sends at least so much light to the camera. */
const MIN_LIGHT = 0.3;
/** A white that the camera took as stronger than this in OKLab is no white. */
const MAX_CHROMA = 0.1;
/** A card or paper that was named is read within this share of the photograph's diagonal. */
const PLACE_REACH = 0.012;
const DARK = 1e-4;

const logsAt = ({ data }: Picture, at: number): KnownSample['logs'] =>
  [0, 1, 2].map((k) =>
    Math.log(Math.max(DARK, LINEAR_OF_BYTE[data[at + k]])),
  ) as unknown as KnownSample['logs'];

/**
 * The paper that shows around a study: what is bright, even and of hardly any colour along its edges. None where there is
 * none, or where it has run out to white; a table that is as bright and pale as paper is taken for paper.
 */
export function marginSamples(
  photo: Picture,
  toPhoto: Homography,
  aspect: number,
  study: LaidOn,
): KnownSample[] {
  const [deepX, deepY] = aspect >= 1 ? [1, aspect] : [1 / aspect, 1];
  const sides = [0, 1, 2, 3].map((side) => {
    const found: KnownSample[] = [];
    for (const depth of DEPTHS)
      for (let i = 0; i < ALONG; i++) {
        const along = (i + 0.5) / ALONG;
        const [u, v] = [
          [along, -depth * deepY],
          [1 + depth * deepX, along],
          [along, 1 + depth * deepY],
          [-depth * deepX, along],
        ][side];
        const at = pixelAt(photo, toPhoto, u, v);
        if (at >= 0 && !isClipped(photo, at)) found.push({ u, v, logs: logsAt(photo, at) });
      }
    return found;
  });
  const all = sides.flat();
  if (all.length < MIN_SAMPLES) return [];
  const paper = onOnePlane(all);
  const kept = sides.filter(
    (side) =>
      side.length > 0 && side.filter((one) => paper.has(one)).length >= MIN_PAPER * side.length,
  );
  const samples = kept.flat().filter((one) => paper.has(one));
  if (samples.length < MIN_SAMPLES || !isWhite(samples, study)) return [];
  return samples;
}

/** The samples that lie on the plane of light which the brightest of them begin. */
function onOnePlane(samples: readonly KnownSample[]): Set<KnownSample> {
  const greens = Float64Array.from(samples, ({ logs }) => logs[1]);
  let plane = [quantileOf(greens, 0.8), 0, 0];
  const isOn = ({ u, v, logs }: KnownSample, within: number) =>
    Math.abs(logs[1] - plane[0] - plane[1] * (u - 0.5) - plane[2] * (v - 0.5)) < within;
  for (const within of [0.35, 0.25, 0.16, 0.11, ONE_PAPER]) {
    const near = samples.filter((one) => isOn(one, within));
    if (near.length < MIN_SAMPLES / 2) break;
    plane = planeOf(near);
  }
  return new Set(samples.filter((one) => isOn(one, ONE_PAPER)));
}

function planeOf(samples: readonly KnownSample[]): number[] {
  const rows = Array.from({ length: 3 }, () => new Float64Array(4));
  for (const { u, v, logs } of samples) {
    const by = [1, u - 0.5, v - 0.5];
    by.forEach((one, i) => {
      by.forEach((other, j) => (rows[i][j] += one * other));
      rows[i][3] += one * logs[1];
    });
  }
  // A side alone says nothing of the slope away from it.
  for (let i = 1; i < 3; i++) rows[i][i] += 1e-3 * samples.length;
  return solved(rows);
}

function isWhite(samples: readonly KnownSample[], { light, mask }: LaidOn): boolean {
  const [r, g, b] = [0, 1, 2].map((k) =>
    Math.exp(
      quantileOf(
        Float64Array.from(samples, ({ logs }) => logs[k]),
        0.5,
      ),
    ),
  );
  const Y = luminance(r, g, b);
  const study: number[] = [];
  mask.forEach((there, c) => {
    if (there) study.push(luminance(light[c * 3], light[c * 3 + 1], light[c * 3 + 2]));
  });
  const { a, b: blue } = oklabFromLinear({ r: r / Y, g: g / Y, b: b / Y });
  return (
    Y >= MIN_LIGHT &&
    MAX_LIGHTS * Y >= quantileOf(Float64Array.from(study), LIGHTS) &&
    Math.hypot(a, blue) < MAX_CHROMA
  );
}

/** The light at a place of a photograph (fractions of it) that was named as paper or a grey card; null where it has run out. */
export function placeSample(
  photo: Picture,
  toPhoto: Homography,
  place: { x: number; y: number },
): KnownSample | null {
  const { width, height } = photo;
  const reach = Math.max(1, PLACE_REACH * Math.hypot(width, height));
  const [px, py] = [place.x * width, place.y * height];
  const found: KnownSample['logs'][] = [];
  let clipped = 0;
  for (let y = Math.max(0, Math.ceil(py - reach)); y < Math.min(height, py + reach); y++)
    for (let x = Math.max(0, Math.ceil(px - reach)); x < Math.min(width, px + reach); x++) {
      const at = (y * width + x) * 4;
      if (isClipped(photo, at)) clipped++;
      else found.push(logsAt(photo, at));
    }
  if (found.length === 0 || clipped > found.length) return null;
  const [u, v] = mapped(inverted(toPhoto), place.x, place.y);
  const middle = (k: 0 | 1 | 2) =>
    quantileOf(
      Float64Array.from(found, (logs) => logs[k]),
      0.5,
    );
  return { u, v, logs: [middle(0), middle(1), middle(2)] };
}
