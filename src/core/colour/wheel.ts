import { oklchFromOklab, rgbFromOklab, type Oklab } from './oklab';

/**
 * A colour wheel of twelve families. `centres` are degrees on the wheel's own hue circle, rising,
 * and may pass 360; between two centres the position on the wheel is linear, so that boundaries lie
 * halfway and "opposite" is six families away, however unevenly the centres stand.
 */
export interface Wheel {
  id: 'painters' | 'screen' | 'even';
  title: string;
  families: readonly string[];
  centres: readonly number[];
  /** A colour's hue in degrees on the circle that `centres` are given in. */
  hueOf: (colour: Oklab) => number;
}

const oklchHue = (colour: Oklab) => oklchFromOklab(colour).h;

/** The painters' wheel; centres are OKLCH hues. */
export const PAINTERS_WHEEL: Wheel = {
  id: 'painters',
  title: 'painters’ wheel',
  families: [
    'red',
    'red-orange',
    'orange',
    'yellow-orange',
    'yellow',
    'yellow-green',
    'green',
    'blue-green',
    'blue',
    'blue-violet',
    'violet',
    'red-violet',
  ],
  centres: [25, 39, 55, 76, 100, 125, 152, 198, 258, 288, 314, 350],
  hueOf: oklchHue,
};

/** The screen's wheel, by HSV hue. */
export const SCREEN_WHEEL: Wheel = {
  id: 'screen',
  title: 'screen wheel',
  families: [
    'red',
    'orange',
    'yellow',
    'chartreuse',
    'green',
    'spring green',
    'cyan',
    'azure',
    'blue',
    'violet',
    'magenta',
    'rose',
  ],
  centres: [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330],
  hueOf: hsvHue,
};

/** Plain OKLCH hue in twelve even parts. */
export const EVEN_WHEEL: Wheel = {
  id: 'even',
  title: 'even wheel',
  families: [
    'crimson',
    'red',
    'orange',
    'gold',
    'lime',
    'green',
    'teal',
    'cyan',
    'azure',
    'blue',
    'violet',
    'magenta',
  ],
  centres: [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330],
  hueOf: oklchHue,
};

export const WHEELS = [PAINTERS_WHEEL, SCREEN_WHEEL, EVEN_WHEEL] as const;

export type WheelId = Wheel['id'];
export const WHEEL_IDS = ['painters', 'screen', 'even'] as const satisfies WheelId[];

export function wheelOf(id: WheelId): Wheel {
  return WHEELS.find((wheel) => wheel.id === id) ?? PAINTERS_WHEEL;
}

/** Where a hue stands on a wheel, 0 ≤ position < 12: whole numbers are family centres. */
export function wheelPosition(hue: number, wheel: Wheel): number {
  const { centres } = wheel;
  const count = centres.length;
  const turned = centres[0] + modulo(hue - centres[0], 360);
  let i = count - 1;
  while (centres[i] > turned) i--;
  const next = i + 1 < count ? centres[i + 1] : centres[0] + 360;
  return modulo(i + (turned - centres[i]) / (next - centres[i]), count);
}

/** The hue in degrees (0 ≤ h < 360) at a position on a wheel; the inverse of `wheelPosition`. */
export function hueAtPosition(position: number, wheel: Wheel): number {
  const { centres } = wheel;
  const count = centres.length;
  const bounded = modulo(position, count);
  const i = Math.floor(bounded);
  const next = i + 1 < count ? centres[i + 1] : centres[0] + 360;
  return modulo(centres[i] + (next - centres[i]) * (bounded - i), 360);
}

/** The hue six families away. */
export function oppositeHue(hue: number, wheel: Wheel): number {
  return hueAtPosition(wheelPosition(hue, wheel) + wheel.centres.length / 2, wheel);
}

export interface Family {
  name: string;
  index: number;
  /** The neighbouring family the hue leans toward. */
  leaning: string;
  /** How far it leans: 0 at the centre, 1 at the boundary. */
  lean: number;
}

export function familyOfHue(hue: number, wheel: Wheel): Family {
  const count = wheel.families.length;
  const position = wheelPosition(hue, wheel);
  const index = Math.round(position) % count;
  const offset = position - Math.round(position);
  const neighbour = modulo(index + (offset < 0 ? -1 : 1), count);
  return {
    name: wheel.families[index],
    index,
    leaning: wheel.families[neighbour],
    lean: Math.abs(offset) * 2,
  };
}

/** The family of a colour, a neutral's only as the direction it leans in. */
export function familyOf(colour: Oklab, wheel: Wheel = PAINTERS_WHEEL): Family {
  return familyOfHue(wheel.hueOf(colour), wheel);
}

/** Hue of the HSV hexcone in degrees. Source: A. R. Smith, "Color gamut transform pairs", SIGGRAPH 1978. */
function hsvHue(colour: Oklab): number {
  const { r, g, b } = rgbFromOklab(colour);
  const most = Math.max(r, g, b);
  const range = most - Math.min(r, g, b);
  if (range < 1e-9) return 0;
  if (most === r) return modulo(((g - b) / range) * 60, 360);
  if (most === g) return ((b - r) / range) * 60 + 120;
  return ((r - g) / range) * 60 + 240;
}

function modulo(n: number, by: number): number {
  return ((n % by) + by) % by;
}
