import { writeOklab } from '../colour/oklab';
import { luminance, toLinear } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { HISTOGRAM_BINS } from '../picture/colour-histogram';

/**
 * A picture's colours without their places: some thousand parts, each the mean of pixels that agree
 * in the upper five bits of every channel and lie on one side of the light. One entry a part.
 */
export interface ColourParts {
  /** Share of the picture, 0–1. */
  share: Float64Array;
  /** 0 in the shadow, 1 in the light. */
  side: Uint8Array;
  /** OKLab, three floats a part. */
  oklab: Float64Array;
  /** OKLCH chroma and hue (degrees). */
  chroma: Float64Array;
  hue: Float64Array;
  /** Munsell value. */
  value: Float64Array;
}

/**
 * The colours of a picture by the histograms (`groupHistograms`) of its shadow and its light. Only the parts
 * are converted, not the pixels. Throws a RangeError when no pixel is opaque.
 */
export function colourParts(sums: Uint32Array): ColourParts {
  const occupied: number[] = [];
  let opaque = 0;
  for (let k = 0; k < HISTOGRAM_BINS * 2; k++) {
    if (sums[k * 4] === 0) continue;
    opaque += sums[k * 4];
    occupied.push(k);
  }
  if (opaque === 0) throw new RangeError('nothing to read: every pixel is transparent');
  const parts: ColourParts = {
    share: Float64Array.from(occupied, (k) => sums[k * 4] / opaque),
    side: Uint8Array.from(occupied, (k) => (k >= HISTOGRAM_BINS ? 1 : 0)),
    oklab: new Float64Array(occupied.length * 3),
    chroma: new Float64Array(occupied.length),
    hue: new Float64Array(occupied.length),
    value: new Float64Array(occupied.length),
  };
  occupied.forEach((k, part) => {
    const count = sums[k * 4];
    const r = toLinear(sums[k * 4 + 1] / count / 255);
    const g = toLinear(sums[k * 4 + 2] / count / 255);
    const b = toLinear(sums[k * 4 + 3] / count / 255);
    writeOklab(r, g, b, parts.oklab, part * 3);
    const a = parts.oklab[part * 3 + 1];
    const bb = parts.oklab[part * 3 + 2];
    parts.chroma[part] = Math.hypot(a, bb);
    parts.hue[part] = ((Math.atan2(bb, a) * 180) / Math.PI + 360) % 360;
    parts.value[part] = quickValueOfLuminance(luminance(r, g, b));
  });
  return parts;
}

/** The mean OKLab of some of the parts, each weighing `weightOf` it; null where nothing weighs. */
export function meanColour({ share, oklab }: ColourParts, weightOf: (part: number) => number) {
  let all = 0;
  const sum = [0, 0, 0];
  for (let part = 0; part < share.length; part++) {
    const weight = share[part] * weightOf(part);
    if (weight === 0) continue;
    all += weight;
    for (let c = 0; c < 3; c++) sum[c] += weight * oklab[part * 3 + c];
  }
  if (all === 0) return null;
  const [L, a, b] = sum.map((one) => one / all);
  return { L, a, b };
}
