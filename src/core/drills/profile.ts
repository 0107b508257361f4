import type { ColourRegion } from './region';

/** One measured answer: how far off, in the units of its skill, and what its colour was. */
export interface Measured {
  off: number;
  region: ColourRegion;
}

export const REGION_AXES = ['value', 'family', 'intensity'] as const;
export type RegionAxis = (typeof REGION_AXES)[number];

/** How answers lean in a part of the space of colours. */
export interface Leaning {
  axis: RegionAxis;
  /** A third of the values, a family or "grey", an intensity. */
  is: string;
  count: number;
  /** By how much more they lean there than on the whole. */
  bias: number;
  /** How far answers spread there; few are drawn toward the spread of all. */
  spread: number;
  /** The standard error of the bias: a leaning of less than twice as much proves nothing. */
  error: number;
}

export interface SkillProfile {
  count: number;
  /** What all answers lean by, and how far they spread about what their region leans by. */
  bias: number;
  spread: number;
  leanings: Leaning[];
}

/** Rounds of backfitting. */
const ROUNDS = 30;
/** A leaning is drawn toward none as by so many answers that don't lean: few answers prove little. */
const PRIOR = 4;

export const partOf = (region: ColourRegion, axis: RegionAxis): string => region[axis] ?? 'grey';

/**
 * What a person's answers lean by, on the whole and by thirds of value, families and intensities: an additive model, so that
 * a family that was asked mostly in the dark isn't blamed for the dark. Null without an answer.
 * Source: L. Breiman, J. Friedman, "Estimating optimal transformations for multiple regression and correlation", JASA 80, 1985 (backfitting).
 */
export function profileOf(answers: readonly Measured[]): SkillProfile | null {
  if (answers.length === 0) return null;
  const parts = REGION_AXES.flatMap((axis) => {
    const names = [...new Set(answers.map(({ region }) => partOf(region, axis)))].sort();
    return names.map((is) => ({
      axis,
      is,
      bias: 0,
      members: answers.flatMap(({ region }, i) => (partOf(region, axis) === is ? [i] : [])),
    }));
  });
  let bias = meanOf(answers.map(({ off }) => off));
  const left = answers.map(({ off }) => off - bias);
  for (let round = 0; round < ROUNDS; round++) {
    for (const part of parts) {
      const sum = part.members.reduce((all, i) => all + left[i] + part.bias, 0);
      const next = sum / (part.members.length + PRIOR);
      for (const i of part.members) left[i] += part.bias - next;
      part.bias = next;
    }
    const rest = meanOf(left);
    bias += rest;
    left.forEach((_, i) => (left[i] -= rest));
  }
  // Within an axis parts lean from the whole, not from each other's prior.
  for (const axis of REGION_AXES) {
    const own = parts.filter((part) => part.axis === axis);
    const shared =
      own.reduce((sum, part) => sum + part.members.length * part.bias, 0) / answers.length;
    for (const part of own) part.bias -= shared;
    bias += shared;
  }
  // Parts that are drawn toward none take less than one degree of freedom each.
  const taken = parts.reduce((sum, { members: { length: n } }) => sum + n / (n + PRIOR), 0);
  const axes = REGION_AXES.length;
  const free = Math.max(1, answers.length - 1 - Math.max(0, taken - axes));
  const spread = Math.sqrt(left.reduce((sum, off) => sum + off * off, 0) / free);
  return {
    count: answers.length,
    bias,
    spread,
    leanings: parts.map(({ axis, is, bias: own, members }) => ({
      axis,
      is,
      count: members.length,
      bias: own,
      spread: Math.sqrt(
        (members.reduce((sum, i) => sum + left[i] ** 2, 0) + PRIOR * spread ** 2) /
          (members.length + PRIOR),
      ),
      error: spread / Math.sqrt(members.length + PRIOR),
    })),
  };
}

const meanOf = (numbers: readonly number[]): number =>
  numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
