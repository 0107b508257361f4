import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import type { Role } from '../palette/proportion';
import type { Stick, StickRecipe } from './sticks';

/** In the order in which sticks are used. */
export const STICK_STAGES = ['underpainting', 'body', 'lights', 'accents', 'neutrals'] as const;
export type StickStage = (typeof STICK_STAGES)[number];

/** A colour of a picture with the recipe that was chosen for it. */
export interface PlannedColour {
  colour: Oklab;
  share: number;
  role: Role | null;
  recipe: StickRecipe;
}

export interface LaidOutStick {
  stick: Stick;
  /** The stage in which it is first used. */
  stage: StickStage;
  /** Share of the picture that it lies on. */
  share: number;
}

/** OKLCH chroma under which a colour is a neutral, and from which a small one is an accent. */
const NEUTRAL = 0.035;
const STRONG = 0.08;
const SMALL = 0.05;
/** Munsell values: lights from here, and what an underpainting lies between. */
const LIGHT = 7;
const MIDDLE: readonly [number, number] = [3.5, 6.5];

/**
 * The sticks that a picture takes, each once, in the order they are used: what lies under others and is of middle
 * value, the body, the lights, the strong colours small, neutrals at last. Within a stage the larger share goes first.
 */
export function laidOut(planned: readonly PlannedColour[]): LaidOutStick[] {
  const found = new Map<string, LaidOutStick>();
  const add = (stick: Stick, stage: StickStage, share: number) => {
    const was = found.get(stick.id);
    const first =
      was && STICK_STAGES.indexOf(was.stage) < STICK_STAGES.indexOf(stage) ? was.stage : stage;
    found.set(stick.id, { stick, stage: first, share: (was?.share ?? 0) + share });
  };
  for (const one of planned) {
    const { stick, over } = one.recipe;
    const stage = stageOf(one);
    add(stick, over && isMiddle(stick.colour) ? 'underpainting' : stage, one.share);
    if (over) add(over.stick, stage, one.share * (1 - over.showing));
  }
  return [...found.values()].sort(
    (one, other) =>
      STICK_STAGES.indexOf(one.stage) - STICK_STAGES.indexOf(other.stage) ||
      other.share - one.share,
  );
}

function stageOf({ colour, share, role }: PlannedColour): StickStage {
  const { C } = oklchFromOklab(colour);
  if (role === 'accent' || (share < SMALL && C >= STRONG)) return 'accents';
  if (valueOfOklab(colour) >= LIGHT) return 'lights';
  return C < NEUTRAL ? 'neutrals' : 'body';
}

function isMiddle(colour: Oklab): boolean {
  const value = valueOfOklab(colour);
  return value >= MIDDLE[0] && value <= MIDDLE[1];
}

/** A kind of stick that a set has none of. */
export interface StickGap {
  temperature: 'warm' | 'cool' | 'neutral';
  /** Munsell values that it lies between. */
  from: number;
  to: number;
}

const BANDS: readonly (readonly [number, number])[] = [
  [0, 2.5],
  [2.5, 4.5],
  [4.5, 6.5],
  [6.5, 8.5],
  [8.5, 10],
];

/** What a set has no stick of: warm, cool and neutral ones in five bands of value, dark before light. */
export function stickGaps(sticks: readonly Stick[]): StickGap[] {
  const has = new Set(sticks.map(({ colour }) => `${temperatureOf(colour)} ${bandOf(colour)}`));
  return BANDS.flatMap(([from, to], band) =>
    (['warm', 'cool', 'neutral'] as const)
      .filter((kind) => !has.has(`${kind} ${band}`))
      .map((kind) => ({ temperature: kind, from, to })),
  );
}

/** "no cool dark under value 2.5" */
export function gapWords({ temperature: kind, from, to }: StickGap): string {
  if (from === 0) return `no ${kind} dark under value ${to}`;
  if (to === 10) return `no ${kind} light over value ${from}`;
  return `no ${kind} one between value ${from} and ${to}`;
}

function temperatureOf(colour: Oklab): StickGap['temperature'] {
  if (oklchFromOklab(colour).C < NEUTRAL) return 'neutral';
  // Greens and violets lie between; a painter takes them for the side that they lean to.
  return temperature(colour) >= 0 ? 'warm' : 'cool';
}

function bandOf(colour: Oklab): number {
  const value = valueOfOklab(colour);
  return BANDS.findIndex(([, to], i) => value < to || i === BANDS.length - 1);
}
