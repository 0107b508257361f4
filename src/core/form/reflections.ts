import { oklchFromOklab } from '../colour/oklab';
import type { Mass, Masses } from '../measure/masses';
import { boxesOf, mirrorCorrelation, overlapAbout, overlapMoved, type Box } from './mirrored';

/** A mass and its likeness below it, as in still water. */
export interface Reflection {
  /** The two masses; one where a thing and its reflection are one. */
  above: number;
  below: number;
  /** The height that the one is the mirror image of the other about, 0–1 of the picture. */
  waterline: number;
  /** How well the mirrored mass covers the other, 0–1: what both hold of what either holds. */
  overlap: number;
  /** What the reflection is against what it reflects: in Munsell steps, and in OKLCH chroma. */
  value: number;
  chroma: number;
}

/** The least overlap of a mass with the mirror image of another. */
const MIN_OVERLAP = 0.5;
/** A mass of a smaller share is not looked for below. */
const MIN_SHARE = 0.004;
/** How far apart a thing and its reflection may lie: Munsell steps, and OKLab a, b. */
const MAX_STEP = 3;
const MAX_TURN = 0.09;
/** A likeness is no smaller than this part of its thing, and the other way round: the picture's edges may cut either off. */
const MAX_SHRUNK = 0.25;
/** Where a waterline may lie, in parts of the height. */
const MIN_WATERLINE = 0.15;
const MAX_WATERLINE = 0.95;
/** Waterlines within this part of the height are one. */
const ONE_WATERLINE = 0.015;
/** A mass lower than this, in parts of the height, that lies across the waterline is a shore and no likeness. */
const MIN_WHOLE = 0.15;
/** A likeness around which the picture is not so much alike is chance: by `mirrorCorrelation`. */
const MIN_CORRELATION = 0.85;
/** What a waterline counts for that only a part of the picture is alike about, where one that all is alike about counts 1 more. */
const WHOLE = 0.2;
/** Where so many of the pairs are exact repeats and have a third of their kind, it is an ornament. */
const ORNAMENT = 0.5;
/** Of one kind are masses whose areas are within this part of the larger. */
const SAME_AREA = 0.25;
/** A likeness that differs by less is an exact repeat: Munsell steps, chroma. */
const SAME_VALUE = 0.2;
const SAME_CHROMA = 0.01;
/** What a mirrored shape has to fit better than the same shape moved down, where it is not changed: windows in a wall repeat too. */
const MIN_MIRRORED = 0.08;
/** A mass as wide as the picture tells of no shape. */
const SPANS = 0.8;

/**
 * Pairs of a mass and its likeness below, about one waterline: of all the rows the one about which most area
 * has a likeness. A likeness has nearly the colour and, mirrored, the place and the shape of what it repeats; how much lighter,
 * darker or duller it is is read, not required. None in an
 * ornament, whose shapes repeat everywhere.
 */
export function readReflections(masses: Masses): Reflection[] {
  const { grid } = masses;
  const boxes = boxesOf(masses);
  const candidates = masses.masses.flatMap((mass, above) =>
    masses.masses.flatMap((likeness, below) => {
      if (!mayReflect(mass, likeness)) return [];
      const { top, bottom } = boxes[above];
      if (above === below && bottom - top < MIN_WHOLE * grid.down) return [];
      if (Math.min(mass.share, likeness.share) < MAX_SHRUNK * Math.max(mass.share, likeness.share))
        return [];
      return waterlinesOf(boxes[above], boxes[below], grid.down).flatMap((row) => {
        const overlap = overlapAbout(masses, above, below, row);
        return overlap >= MIN_OVERLAP ? [{ above, below, row, overlap }] : [];
      });
    }),
  );
  const whole = { left: 0, right: grid.width, top: 0, bottom: grid.height };
  const areas = new Map(
    candidates.map((pair) => [pair, isEvidence(masses, boxes, pair) ? areaOf(masses, pair) : 0]),
  );
  let best: typeof candidates = [];
  let most = 0;
  for (const row of new Set(candidates.map((pair) => pair.row))) {
    const near = onePerMass(
      candidates.filter((pair) => Math.abs(pair.row - row) <= ONE_WATERLINE * grid.down),
    );
    const area = near.reduce((sum, pair) => sum + (areas.get(pair) ?? 0), 0);
    if (area === 0) continue;
    // Still water repeats all that stands above it.
    const weight = area * (WHOLE + Math.max(0, mirrorCorrelation(masses, whole, row)));
    if (weight > most) {
      most = weight;
      best = near;
    }
  }
  if (best.length === 0 || isOrnament(masses, best)) return [];
  return best
    .map(({ above, below, row, overlap }) => ({
      above,
      below,
      waterline: row / grid.down,
      overlap,
      ...changeOf(masses, above, below, row),
    }))
    .sort((one, other) => masses.masses[other.above].share - masses.masses[one.above].share);
}

/** What the reflection is against what it reflects; one mass that holds both is parted at the waterline. */
function changeOf(
  { grid: { width, value, oklab }, labels }: Masses,
  above: number,
  below: number,
  row: number,
): Pick<Reflection, 'value' | 'chroma'> {
  const sums = [0, 1].map(() => ({ n: 0, value: 0, a: 0, b: 0 }));
  for (let c = 0; c < labels.length; c++) {
    const isBelow = Math.floor(c / width) >= row;
    if (labels[c] !== (isBelow ? below : above)) continue;
    const sum = sums[Number(isBelow)];
    sum.n++;
    sum.value += value[c];
    sum.a += oklab[c * 3 + 1];
    sum.b += oklab[c * 3 + 2];
  }
  const [one, other] = sums.map(({ n, value: v, a, b }) => ({
    value: v / Math.max(1, n),
    chroma: Math.hypot(a, b) / Math.max(1, n),
  }));
  return { value: other.value - one.value, chroma: other.chroma - one.chroma };
}

const areaOf = ({ masses }: Masses, { above, below, overlap }: Candidate) =>
  overlap * Math.min(masses[above].share, masses[below].share);

/** Whether a pair tells of a mirror, and not only of two like things one above the other. */
function isEvidence(masses: Masses, boxes: readonly Box[], pair: Candidate): boolean {
  const { above, below, row, overlap } = pair;
  // A thing that is its own mirror image is no sign of water, but belongs to it.
  if (above === below) return false;
  const { width } = masses.grid;
  const [one, other] = [boxes[above], boxes[below]];
  if (Math.max(one.right - one.left, other.right - other.left) >= SPANS * width) return false;
  if (mirrorCorrelation(masses, one, row) < MIN_CORRELATION) return false;
  if (
    overlap -
      overlapMoved(
        masses,
        above,
        below,
        Math.round((other.top + other.bottom - one.top - one.bottom) / 2),
      ) >=
    MIN_MIRRORED
  )
    return true;
  return !isSame(masses, pair);
}

/** Whether a likeness has the very colour of what it repeats. */
function isSame({ masses }: Masses, { above, below }: Candidate): boolean {
  return (
    Math.abs(masses[below].value - masses[above].value) < SAME_VALUE &&
    Math.abs(chromaOf(masses[below]) - chromaOf(masses[above])) < SAME_CHROMA
  );
}

const chromaOf = ({ colour }: Mass) => oklchFromOklab(colour).C;

function mayReflect(mass: Mass, likeness: Mass): boolean {
  return (
    mass.share >= MIN_SHARE &&
    likeness.share >= MIN_SHARE &&
    Math.abs(mass.value - likeness.value) <= MAX_STEP &&
    Math.hypot(mass.colour.a - likeness.colour.a, mass.colour.b - likeness.colour.b) <= MAX_TURN
  );
}

/** The rows about which one box may be the mirror image of the other: by their near and by their far ends. */
function waterlinesOf(above: Box, below: Box, down: number): number[] {
  const narrower = Math.min(above.right - above.left, below.right - below.left);
  const shared = Math.min(above.right, below.right) - Math.max(above.left, below.left);
  if (shared < narrower / 2) return [];
  if (above !== below && below.top + below.bottom <= above.top + above.bottom) return [];
  const rows = [
    (above.bottom + below.top) / 2,
    (above.top + below.bottom) / 2,
    (above.top + above.bottom + below.top + below.bottom) / 4,
  ];
  return [...new Set(rows.map((row) => Math.round(row * 2) / 2))].filter(
    (row) => row >= MIN_WATERLINE * down && row <= MAX_WATERLINE * down,
  );
}

interface Candidate {
  above: number;
  below: number;
  row: number;
  overlap: number;
}

/** Of the pairs of one waterline the best first, each mass once above and once below, and never both. */
function onePerMass(pairs: readonly Candidate[]): Candidate[] {
  const above = new Set<number>();
  const below = new Set<number>();
  return [...pairs]
    .sort((one, other) => other.overlap - one.overlap)
    .filter((pair) => {
      if (above.has(pair.above) || below.has(pair.below)) return false;
      if (above.has(pair.below) || below.has(pair.above)) return false;
      above.add(pair.above);
      below.add(pair.below);
      return true;
    });
}

/** Whether most likenesses are exact, and of shapes that the picture has more of. */
function isOrnament(masses: Masses, pairs: readonly Candidate[]): boolean {
  const repeats = pairs.filter((pair) => {
    const { above, below } = pair;
    const thing = masses.masses[above];
    return (
      isSame(masses, pair) &&
      masses.masses.some(
        (other, i) =>
          i !== above &&
          i !== below &&
          isLike(thing, other) &&
          Math.abs(other.share - thing.share) <= SAME_AREA * thing.share,
      )
    );
  });
  return repeats.length >= ORNAMENT * pairs.length;
}

function isLike(one: Mass, other: Mass): boolean {
  return (
    Math.abs(one.value - other.value) < 0.5 &&
    Math.hypot(one.colour.a - other.colour.a, one.colour.b - other.colour.b) < 0.03
  );
}
