import { linearFromOklab, oklabFromLinear } from '../../src/core/colour/oklab';
import { LINEAR_OF_BYTE, luminance, toEncoded } from '../../src/core/colour/srgb';
import { luminanceOfValue, quickValueOfLuminance } from '../../src/core/colour/value';
import { pictureOf, type Picture } from '../../src/core/picture/picture';
import { inverted, mapped, squareToQuad, type Quad } from '../../src/core/raster/homography';
import { chance, noise } from './chance';

/** What a study has otherwise than its model: Munsell steps, OKLCH chroma (a factor for the whole, a difference for a mass), degrees. */
export interface Shift {
  value: number;
  /** About the middle of the scale. */
  valueGain: number;
  chromaGain: number;
  hueTurn: number;
}
export interface Fault {
  value: number;
  chroma: number;
  hue: number;
}

/** A picture in linear light, three floats a pixel. */
export interface Light {
  width: number;
  height: number;
  light: Float32Array;
}

/** A model as it comes out under a shift, with faults where `faultAt` says so (a share of each, 0–1, by pixel). */
export function shifted(
  { width, height, data }: Picture,
  shift: Shift,
  faults: readonly (Fault & { mask: Float32Array })[],
): Light {
  const light = new Float32Array(width * height * 3);
  for (let p = 0; p < width * height; p++) {
    const rgb = {
      r: LINEAR_OF_BYTE[data[p * 4]],
      g: LINEAR_OF_BYTE[data[p * 4 + 1]],
      b: LINEAR_OF_BYTE[data[p * 4 + 2]],
    };
    let value = quickValueOfLuminance(luminance(rgb.r, rgb.g, rgb.b));
    const { L, a, b } = oklabFromLinear(rgb);
    let chroma = Math.hypot(a, b) * shift.chromaGain;
    let hue = Math.atan2(b, a) + (shift.hueTurn * Math.PI) / 180;
    value = 5 + shift.valueGain * (value - 5) + shift.value;
    for (const { mask, ...fault } of faults) {
      value += mask[p] * fault.value;
      chroma = Math.max(0, chroma + mask[p] * fault.chroma);
      hue += (mask[p] * fault.hue * Math.PI) / 180;
    }
    const wanted = luminanceOfValue(Math.min(9.9, Math.max(0.05, value)));
    const [ca, cb] = [chroma * Math.cos(hue), chroma * Math.sin(hue)];
    // Lightness by Newton's steps: luminance grows with nearly its cube.
    let lightness = Math.max(0.05, L);
    let out = rgb;
    for (let i = 0; i < 4; i++) {
      out = linearFromOklab({ L: lightness, a: ca, b: cb });
      const Y = Math.max(1e-5, luminance(out.r, out.g, out.b));
      lightness *= Math.cbrt(wanted / Y);
    }
    light[p * 3] = Math.min(1, Math.max(0, out.r));
    light[p * 3 + 1] = Math.min(1, Math.max(0, out.g));
    light[p * 3 + 2] = Math.min(1, Math.max(0, out.b));
  }
  return { width, height, light };
}

export interface Photography {
  seed: number;
  /** Of the photograph, in pixels. */
  width: number;
  height: number;
  /** Degrees the camera is off the study's upright, to the side and up or down, and rolled. */
  yaw: number;
  pitch: number;
  roll: number;
  /** Of the photograph's longer side, what the study takes. */
  fill: number;
  /** Its middle off the photograph's, in fractions. */
  off: readonly [number, number];
  /** Of the study's longer side, how much paper shows around it. */
  margin: number;
  /** Whether an 18 % grey card lies beside it, below or to the right. */
  card: boolean;
  /** How much darker the light gets from one side to the other, which way, and how much toward the corners. */
  fall: number;
  fallAngle: number;
  corners: number;
  whiteBalance: readonly [number, number, number];
  exposure: number;
  /** In pixels of the photograph. */
  blur: number;
  /** Standard deviation in 8-bit levels. */
  grain: number;
}

export const PAPER_REFLECTANCE = 0.9;
export const CARD_REFLECTANCE = 0.18;
const TABLE: readonly [number, number, number] = [0.12, 0.08, 0.05];

/** A study as somebody photographs it on a table; its corners, and a place of the card if there is one, in fractions. */
export function photographedStudy(
  study: Light,
  shot: Photography,
): { picture: Picture; corners: Quad; card: readonly [number, number] | null } {
  const { width, height, seed } = shot;
  const aspect = study.width / study.height;
  const [halfX, halfY] = aspect >= 1 ? [1, 1 / aspect] : [aspect, 1];
  const place = camera(shot);
  const corners = (
    [
      [-halfX, -halfY],
      [halfX, -halfY],
      [halfX, halfY],
      [-halfX, halfY],
    ] as const
  ).map(([x, y]) => place(x, y)) as unknown as Quad;
  const toStudy = inverted(squareToQuad(corners)!);
  const random = chance(seed);
  const bell = () => (random() + random() + random() + random() - 2) * 1.73;
  const [marginX, marginY] = [shot.margin / halfX / 1, shot.margin / halfY / 1];
  // The card lies beyond the paper: to the right of a tall study, below a wide one.
  const cardSide = 0.34;
  const beyond = (shot.card ? 0.06 : 9) + 2 * shot.margin;
  const cardAt: readonly [number, number] =
    aspect >= 1
      ? [0.3, 1 + (beyond + cardSide / 2) / (2 * halfY)]
      : [1 + (beyond + cardSide / 2) / (2 * halfX), 0.6];
  const light = new Float32Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = mapped(toStudy, (x + 0.5) / width, (y + 0.5) / height);
      const at = (y * width + x) * 3;
      const surface = surfaceAt(u, v, x / width, y / height);
      const [px, py] = [(u - 0.5) * 2, (v - 0.5) * 2];
      const lit =
        shot.exposure *
        (1 -
          shot.fall *
            0.5 *
            (Math.cos(shot.fallAngle) * px * halfX + Math.sin(shot.fallAngle) * py * halfY)) *
        (1 - shot.corners * 0.5 * (px * px + py * py));
      for (let k = 0; k < 3; k++)
        light[at + k] = surface[k] * Math.max(0.1, lit) * shot.whiteBalance[k];
    }
  const soft = blurredLight({ width, height, light }, shot.blur);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let p = 0; p < width * height; p++) {
    for (let k = 0; k < 3; k++)
      data[p * 4 + k] =
        toEncoded(Math.min(1, soft[p * 3 + k])) * 255 + (shot.grain > 0 ? shot.grain * bell() : 0);
    data[p * 4 + 3] = 255;
  }
  const card = shot.card ? mapped(squareToQuad(corners)!, ...cardAt) : null;
  return { picture: pictureOf(width, height, data), corners, card };

  function surfaceAt(u: number, v: number, x: number, y: number): ArrayLike<number> {
    if (u >= 0 && u < 1 && v >= 0 && v < 1) {
      const [sx, sy] = [u * study.width - 0.5, v * study.height - 0.5];
      const x0 = Math.min(study.width - 2, Math.max(0, Math.floor(sx)));
      const y0 = Math.min(study.height - 2, Math.max(0, Math.floor(sy)));
      const [fx, fy] = [Math.min(1, Math.max(0, sx - x0)), Math.min(1, Math.max(0, sy - y0))];
      const i = (y0 * study.width + x0) * 3;
      const j = i + study.width * 3;
      return [0, 1, 2].map(
        (k) =>
          (study.light[i + k] * (1 - fx) + study.light[i + 3 + k] * fx) * (1 - fy) +
          (study.light[j + k] * (1 - fx) + study.light[j + 3 + k] * fx) * fy,
      );
    }
    const inPaper = u >= -marginX && u < 1 + marginX && v >= -marginY && v < 1 + marginY;
    if (inPaper) {
      const paper = PAPER_REFLECTANCE * (1 + 0.01 * noise(u * 300, v * 300, seed + 7));
      return [paper, paper, paper];
    }
    const inCard =
      shot.card &&
      Math.abs(u - cardAt[0]) * 2 * halfX < cardSide / 2 &&
      Math.abs(v - cardAt[1]) * 2 * halfY < cardSide / 2;
    if (inCard) return [CARD_REFLECTANCE, CARD_REFLECTANCE, CARD_REFLECTANCE];
    const wood = 1 + 0.35 * noise(x * 4, y * 60, seed + 11);
    return TABLE.map((channel) => channel * wood);
  }
}

/** From places on the study's plane (its longer half 1) to fractions of the photograph. */
function camera({ width, height, yaw, pitch, roll, fill, off }: Photography) {
  const radians = (degrees: number) => (degrees * Math.PI) / 180;
  const [cy, sy] = [Math.cos(radians(yaw)), Math.sin(radians(yaw))];
  const [cp, sp] = [Math.cos(radians(pitch)), Math.sin(radians(pitch))];
  const [cr, sr] = [Math.cos(radians(roll)), Math.sin(radians(roll))];
  const FAR = 3.2;
  return (x: number, y: number): readonly [number, number] => {
    const [x1, z1] = [x * cy, x * sy];
    const [y2, z2] = [y * cp - z1 * sp, y * sp + z1 * cp];
    const depth = FAR / (FAR + z2);
    const [px, py] = [x1 * depth, y2 * depth];
    const unit = (fill * Math.max(width, height)) / 2;
    return [
      0.5 + off[0] + ((px * cr - py * sr) * unit) / width,
      0.5 + off[1] + ((px * sr + py * cr) * unit) / height,
    ];
  };
}

/** Two box blurs; what is below half a pixel is left. */
function blurredLight({ width, height, light }: Light, radius: number): Float32Array {
  const reach = Math.round(radius);
  if (reach < 1) return light;
  let now = light;
  for (const step of [3, width * 3]) {
    const out = new Float32Array(now.length);
    const [lines, length, between] = step === 3 ? [height, width, width * 3] : [width, height, 3];
    for (let line = 0; line < lines; line++)
      for (let i = 0; i < length; i++)
        for (let k = 0; k < 3; k++) {
          let sum = 0;
          for (let j = -reach; j <= reach; j++)
            sum += now[line * between + Math.min(length - 1, Math.max(0, i + j)) * step + k];
          out[line * between + i * step + k] = sum / (2 * reach + 1);
        }
    now = out;
  }
  return now;
}
