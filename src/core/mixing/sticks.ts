import {
  aOf,
  bOf,
  lightnessOf,
  linearFromOklab,
  longRoot,
  mediumRoot,
  shortRoot,
  type Oklab,
} from '../colour/oklab';
import { luminance, type Rgb } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';

/** A stick of a set: a colour that can't be mixed, only laid down. */
export interface Stick {
  id: string;
  /** A full stroke on paper. */
  colour: Oklab;
  /** How it covers against what is usual: the share that shows is raised to this. 1 where it is left out. */
  cover?: number;
}

/** A stick alone, or one lightly over another. */
export interface StickRecipe {
  stick: Stick;
  /** What is laid lightly over it, and the share of the first that still shows; null for the stick alone. */
  over: { stick: Stick; showing: number } | null;
  colour: Oklab;
  /** By value first, then family, then intensity: 0 is the colour itself. */
  cost: number;
}

/** Shares of the under layer that a light stroke leaves to be seen. */
export const SHOWING: readonly number[] = [0.3, 0.4, 0.5, 0.6, 0.7];

/** What a Munsell step, an OKLab distance to the side of the hue, and one of chroma cost. */
const VALUE_COST = 1;
const FAMILY_COST = 12;
const INTENSITY_COST = 6;
/** Two sticks have to be nearer than one by this. */
export const SECOND_STICK = 0.3;

/** What the eye makes of strokes that leave a share (0–1) of what lies below to be seen: light adds up. */
export function overlaid(under: Oklab, over: Oklab, showing: number): Oklab {
  return oklabOfLinear(blended(linearFromOklab(under), linearFromOklab(over), showing));
}

/**
 * How to come near a colour with sticks: the best of one stick and of two, the best before others. Of two the upper
 * one lies lightly over the other. Throws a RangeError without sticks.
 */
export function stickRecipes(target: Oklab, sticks: readonly Stick[], count = 4): StickRecipe[] {
  if (sticks.length === 0) throw new RangeError('A recipe takes at least one stick');
  const light = sticks.map(({ colour }) => linearFromOklab(colour));
  const wanted = pointOf(target, linearFromOklab(target));
  const best = new Best<StickRecipe>(count, ({ cost }) => cost);
  sticks.forEach((stick, i) => {
    const cost = costOf(wanted, pointOf(stick.colour, light[i]));
    best.offer(cost, () => ({ stick, over: null, colour: stick.colour, cost }));
  });
  for (let under = 0; under < sticks.length; under++)
    for (let over = 0; over < sticks.length; over++) {
      if (over === under) continue;
      for (const showing of SHOWING) {
        const shows = showing ** (sticks[over].cover ?? 1);
        const mixture = blended(light[under], light[over], shows);
        const colour = oklabOfLinear(mixture);
        const cost = costOf(wanted, pointOf(colour, mixture)) + SECOND_STICK;
        best.offer(cost, () => ({
          stick: sticks[under],
          over: { stick: sticks[over], showing },
          colour,
          cost,
        }));
      }
    }
  return best.all;
}

/** How far a stick is from a colour to who works by value first, then family, then intensity. */
export function stickCost(target: Oklab, colour: Oklab): number {
  return costOf(pointOf(target, linearFromOklab(target)), pointOf(colour, linearFromOklab(colour)));
}

interface Point {
  value: number;
  a: number;
  b: number;
  C: number;
}

function pointOf({ a, b }: Oklab, { r, g, b: blue }: Rgb): Point {
  return {
    value: quickValueOfLuminance(Math.min(1, Math.max(0, luminance(r, g, blue)))),
    a,
    b,
    C: Math.hypot(a, b),
  };
}

function costOf(target: Point, made: Point): number {
  const intensity = made.C - target.C;
  // What is left of the distance in a, b once the chromas are alike: zero for neutrals, whatever their hue.
  const aside = Math.sqrt(
    Math.max(0, (made.a - target.a) ** 2 + (made.b - target.b) ** 2 - intensity ** 2),
  );
  return (
    VALUE_COST * Math.abs(made.value - target.value) +
    FAMILY_COST * aside +
    INTENSITY_COST * Math.abs(intensity)
  );
}

function blended(under: Rgb, over: Rgb, showing: number): Rgb {
  return {
    r: showing * under.r + (1 - showing) * over.r,
    g: showing * under.g + (1 - showing) * over.g,
    b: showing * under.b + (1 - showing) * over.b,
  };
}

function oklabOfLinear({ r, g, b }: Rgb): Oklab {
  const [l, m, s] = [longRoot(r, g, b), mediumRoot(r, g, b), shortRoot(r, g, b)];
  return { L: lightnessOf(l, m, s), a: aOf(l, m, s), b: bOf(l, m, s) };
}

/** The few that cost least of many; what is offered is made only if it is kept. */
class Best<T> {
  readonly all: T[] = [];
  constructor(
    private readonly count: number,
    private readonly costOf: (one: T) => number,
  ) {}

  offer(cost: number, make: () => T): void {
    const { all, count } = this;
    if (all.length === count && cost >= this.costOf(all[count - 1])) return;
    const at = all.findIndex((one) => this.costOf(one) > cost);
    all.splice(at < 0 ? all.length : at, 0, make());
    if (all.length > count) all.pop();
  }
}
