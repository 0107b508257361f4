import type { Picture } from '../src/core/picture/picture';

/** Plain ways to make colours stronger, on the encoded channels. */
export const RIVAL_NAMES = ['plain saturation gain', 'plain vibrance'] as const;
export type RivalName = (typeof RIVAL_NAMES)[number];

/**
 * A saturation gain spreads the channels from their weighted mean (ITU-R BT.709 weights); a vibrance
 * does so the less the more saturated a pixel is (by the spread of its channels against the largest).
 */
export function gained(name: RivalName, { width, height, data }: Picture, gain: number): Picture {
  const out = new Uint8ClampedArray(data.length);
  for (let i = 0; i < data.length; i += 4) {
    const r = data[i];
    const g = data[i + 1];
    const b = data[i + 2];
    const grey = 0.2126 * r + 0.7152 * g + 0.0722 * b;
    const most = Math.max(r, g, b);
    const saturation = most === 0 ? 0 : (most - Math.min(r, g, b)) / most;
    const own = name === 'plain vibrance' ? 1 + (gain - 1) * (1 - saturation) ** 2 : gain;
    out[i] = grey + (r - grey) * own;
    out[i + 1] = grey + (g - grey) * own;
    out[i + 2] = grey + (b - grey) * own;
    out[i + 3] = data[i + 3];
  }
  return { width, height, data: out };
}
