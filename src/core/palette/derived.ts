import { atValue, withValue } from '../colour/at-value';
import { toGamut } from '../colour/gamut';
import {
  linearFromOklab,
  oklabFromLinear,
  oklabFromOklch,
  oklchFromOklab,
  type Oklab,
} from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { oppositeHue, type Wheel } from '../colour/wheel';
import { oklchHueOn } from '../colour/wheel-hue';
import { turnedTo } from './ladder';

export const RULES = [
  'tint',
  'shade',
  'tone',
  'shadow',
  'light',
  'half-tone edge',
  'reflection',
  'distance',
  'complement on the wheel',
  'complement of the after-image',
  'complement that mixes to grey',
  'neutral that reads as its complement',
] as const;
export type Rule = (typeof RULES)[number];

/** What a rule is told: how far to go, and by which light. */
export interface DerivedSettings {
  /** 0–1. */
  amount: number;
  /** −1 (a cool light) to 1 (a warm light); only some rules ask. */
  warmth: number;
}

export const DEFAULT_DERIVED: DerivedSettings = { amount: 0.5, warmth: 0.5 };

const WARM = 55;
const MIDDLE = 5;
/** The air of a fair day: light, cool, dull. */
const HAZE = { value: 7.6, hue: 248, chroma: 0.02 };

const RULE: Record<
  Rule,
  {
    reason: string;
    derive: (colour: Oklab, told: DerivedSettings, wheel: Wheel) => Oklab;
  }
> = {
  tint: {
    reason: 'White is mixed in: lighter, and duller as it goes.',
    derive: ({ L, a, b }, { amount }) => {
      const left = 1 - 0.9 * amount;
      return { L: 1 - (1 - L) * left, a: a * left, b: b * left };
    },
  },
  shade: {
    reason: 'Black is mixed in: darker, and duller as it goes.',
    derive: ({ L, a, b }, { amount }) => {
      const left = 1 - 0.8 * amount;
      return { L: L * left, a: a * left, b: b * left };
    },
  },
  tone: {
    reason: 'Grey of its own value is mixed in: duller, no lighter and no darker.',
    derive: (colour, { amount }) => duller(colour, amount),
  },
  shadow: {
    reason:
      'Out of the light: darker, a little duller, and turned away from the light’s own temperature.',
    derive: (colour, { amount, warmth }) => inLight(colour, -amount, warmth),
  },
  light: {
    reason: 'Into the light: lighter, and turned toward the light’s own temperature.',
    derive: (colour, { amount, warmth }) => inLight(colour, amount, warmth),
  },
  'half-tone edge': {
    reason: 'Where it turns out of the light it is between the two in value, and strongest.',
    derive: (colour, { amount, warmth }) => {
      const dark = inLight(colour, -amount, warmth);
      const value = (valueOfOklab(colour) + valueOfOklab(dark)) / 2;
      const { C, h } = oklchFromOklab(colour);
      return atValue(value, turnedTo(h, WARM, -warmth * 6 * amount), () => C * (1 + 0.5 * amount));
    },
  },
  reflection: {
    reason: 'In water or glass lights are darker, darks lighter, and all is duller.',
    derive: (colour, { amount }) => {
      const value = valueOfOklab(colour);
      const moved = value + (MIDDLE - value) * 0.5 * amount;
      return withValue(duller(colour, 0.6 * amount), moved);
    },
  },
  distance: {
    reason: 'Through air it goes lighter, cooler and duller.',
    derive: (colour, { amount }) => {
      const part = 0.85 * amount;
      const value = valueOfOklab(colour);
      const haze = oklabFromOklch({ L: 0.8, C: HAZE.chroma, h: HAZE.hue });
      const mixed = {
        L: colour.L,
        a: colour.a + (haze.a - colour.a) * part,
        b: colour.b + (haze.b - colour.b) * part,
      };
      return withValue(mixed, value + Math.max(0, HAZE.value - value) * part);
    },
  },
  'complement on the wheel': {
    reason: 'Six families away on the wheel you chose, at its own value.',
    derive: (colour, { amount }, wheel) => {
      const target = oppositeHue(wheel.hueOf(colour), wheel);
      const { L, C } = oklchFromOklab(colour);
      const alike = (h: number) => toGamut(oklabFromOklch({ L, C: Math.max(C, 0.03), h }));
      return atHue(colour, oklchHueOn(target, wheel, alike), amount);
    },
  },
  'complement of the after-image': {
    reason: 'What the eye sees on white after looking at it long.',
    derive: (colour, { amount }) => atHue(colour, oklchFromOklab(colour).h + 180, amount),
  },
  'complement that mixes to grey': {
    reason:
      'What swallows just the light that it gives back: an estimate for paints, filter over filter.',
    derive: (colour, { amount }) => atHue(colour, swallowingHue(colour), amount),
  },
  'neutral that reads as its complement': {
    reason:
      'A plain grey of nearly its value: laid on it, small, the eye gives it the opposite colour.',
    derive: (colour, { amount }) =>
      withValue({ L: colour.L, a: 0, b: 0 }, valueOfOklab(colour) + 0.6 * (amount - 0.5)),
  },
};

/** A colour that follows from another by one of the rules, within sRGB. */
export function derived(colour: Oklab, rule: Rule, settings: DerivedSettings, wheel: Wheel): Oklab {
  return toGamut(RULE[rule].derive(colour, settings, wheel));
}

/** Why a rule does what it does, in a line. */
export function reasonOf(rule: Rule): string {
  return RULE[rule].reason;
}

/** Less chroma at the same value. */
function duller(colour: Oklab, amount: number): Oklab {
  const left = 1 - amount;
  return withValue({ L: colour.L, a: colour.a * left, b: colour.b * left }, valueOfOklab(colour));
}

/** So many Munsell values up or down at an amount of 1. */
const DEPTH = 4;

function inLight(colour: Oklab, amount: number, warmth: number): Oklab {
  const { C, h } = oklchFromOklab(colour);
  const value = Math.min(9.8, Math.max(0.4, valueOfOklab(colour) + DEPTH * amount));
  const hue = turnedTo(h, WARM, warmth * 24 * amount);
  const strength = amount < 0 ? 1 + 0.25 * amount : 1;
  const turned = atValue(value, hue, () => C * strength);
  // The light itself lies on everything, greys too.
  const cast = 0.025 * warmth * amount;
  const angle = (WARM * Math.PI) / 180;
  return withValue(
    { ...turned, a: turned.a + cast * Math.cos(angle), b: turned.b + cast * Math.sin(angle) },
    value,
  );
}

/** At another hue and its own value, as strong as `amount` says: half is its own chroma, or the most there is. */
function atHue(colour: Oklab, hue: number, amount: number): Oklab {
  const { C } = oklchFromOklab(colour);
  return atValue(valueOfOklab(colour), hue, () => C * 2 * amount);
}

/** The hue of the colour whose light, multiplied with this one's, is grey. */
function swallowingHue(colour: Oklab): number {
  const { r, g, b } = linearFromOklab(colour);
  const floor = 0.02;
  const inverse = [r, g, b].map((one) => 1 / Math.max(floor, one));
  const most = Math.max(...inverse);
  return oklchFromOklab(
    oklabFromLinear({ r: inverse[0] / most, g: inverse[1] / most, b: inverse[2] / most }),
  ).h;
}
