/**
 * sRGB, IEC 61966-2-1. Encoded and linear channels both run 0–1; values outside that range are
 * colours outside the gamut and keep their sign through the transfer.
 */
export interface Rgb {
  r: number;
  g: number;
  b: number;
}

/** Encoded sRGB channel (0–1) to linear light. Source: IEC 61966-2-1. */
export function toLinear(channel: number): number {
  const size = Math.abs(channel);
  const linear = size <= 0.04045 ? size / 12.92 : ((size + 0.055) / 1.055) ** 2.4;
  return channel < 0 ? -linear : linear;
}

/** Linear light (0–1) to an encoded sRGB channel. Source: IEC 61966-2-1. */
export function toEncoded(linear: number): number {
  const size = Math.abs(linear);
  const channel = size <= 0.0031308 ? size * 12.92 : 1.055 * size ** (1 / 2.4) - 0.055;
  return linear < 0 ? -channel : channel;
}

/** The 256 8-bit channel values in linear light, for loops over pixels. */
export const LINEAR_OF_BYTE: Float64Array = Float64Array.from({ length: 256 }, (_, byte) =>
  toLinear(byte / 255),
);

export const ENCODE_STEPS = 16384;

/**
 * Linear light in 1/16384 steps to an 8-bit channel, for loops over pixels: within half a byte of
 * the exact transfer everywhere but the lowest seven steps, where it is within one.
 */
export const BYTE_OF_LINEAR: Uint8Array = Uint8Array.from({ length: ENCODE_STEPS + 1 }, (_, step) =>
  Math.round(toEncoded(step / ENCODE_STEPS) * 255),
);

/** Linear light, clamped to 0–1, to the nearest 8-bit channel. */
export function byteOfLinear(linear: number): number {
  const bounded = linear < 0 ? 0 : linear > 1 ? 1 : linear;
  return BYTE_OF_LINEAR[(bounded * ENCODE_STEPS + 0.5) | 0];
}

/** What red, green and blue light give to relative luminance. Source: IEC 61966-2-1, the second row of its matrix. */
export const RED_LUMINANCE = 0.2126390058715104;
export const GREEN_LUMINANCE = 0.7151686787677559;
export const BLUE_LUMINANCE = 0.07219231536073371;

/** Relative luminance Y (0–1) of linear light. */
export function luminance(r: number, g: number, b: number): number {
  return RED_LUMINANCE * r + GREEN_LUMINANCE * g + BLUE_LUMINANCE * b;
}
