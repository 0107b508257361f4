import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { DEFAULT_DUPLICATE_THRESHOLD, nearDuplicates } from '../palette/near-duplicates';
import type { Drawing } from './drawing';

/** A colour of a drawing. */
export interface DrawingPaint {
  hex: string;
  colour: Oklab;
  value: number;
  /** How many places write it. */
  uses: number;
  /** Of the drawing, 0–1, as it is drawn; where that is not known, its share of all places. */
  area: number;
}

/** The colours of a drawing, each once, in the order they come; `areas` by their `#rrggbb`. */
export function paintsOf({ paints }: Drawing, areas?: ReadonlyMap<string, number>): DrawingPaint[] {
  const uses = new Map<string, number>();
  for (const { hex } of paints) uses.set(hex, (uses.get(hex) ?? 0) + 1);
  return [...uses].map(([hex, count]) => {
    const colour = oklabFromHex(hex)!;
    return {
      hex,
      colour,
      value: valueOfOklab(colour),
      uses: count,
      area: areas?.get(hex) ?? (areas ? 0 : count / paints.length),
    };
  });
}

/** The same where only areas are known: each colour counts as written once. */
export const paintsOfAreas = (areas: readonly (readonly [string, number])[]): DrawingPaint[] =>
  areas.map(([hex, area]) => {
    const colour = oklabFromHex(hex)!;
    return { hex, colour, value: valueOfOklab(colour), uses: 1, area };
  });

/** Paints that are one to most painters and were two by accident. */
export interface StrayGroup {
  /** The one that the others become: the largest. */
  keeps: string;
  /** Those that go, each with the elements that would change their colour: by label where they have one. */
  strays: { hex: string; shapes: string[] }[];
}

/** More elements than these are not named one by one. */
const MAX_NAMED = 12;

/** Groups of paints within a CIEDE2000 threshold of one another, the largest areas first. */
export function strayPaints(
  drawing: Drawing,
  paints: readonly DrawingPaint[],
  threshold = DEFAULT_DUPLICATE_THRESHOLD,
): StrayGroup[] {
  const groups = nearDuplicates(
    paints.map(({ colour }) => colour),
    threshold,
  ).map((members) =>
    members
      .map((i) => paints[i])
      .sort((one, other) => other.area - one.area || other.uses - one.uses),
  );
  const area = (group: readonly DrawingPaint[]) => group.reduce((sum, one) => sum + one.area, 0);
  return groups
    .sort((one, other) => area(other) - area(one))
    .map(([keeps, ...strays]) => ({
      keeps: keeps.hex,
      strays: strays.map(({ hex }) => ({ hex, shapes: shapesOf(drawing, hex) })),
    }));
}

/** The elements that have a colour: their own label, or that of the nearest around them, with what they are. */
export function shapesOf({ paints, elements }: Drawing, hex: string): string[] {
  const named = new Set<string>();
  for (const paint of paints) {
    if (paint.hex !== hex) continue;
    if (paint.element === null) named.add('a style sheet');
    else named.add(nameOf(elements, paint.element));
    if (named.size === MAX_NAMED) break;
  }
  return [...named];
}

function nameOf(elements: Drawing['elements'], number: number): string {
  const { name, label } = elements[number];
  if (label) return label;
  let at = elements[number].parent;
  while (at !== null && !elements[at].label) at = elements[at].parent;
  return at === null || at === 0 ? name : `${name} in ${elements[at].label}`;
}

/** What merging some groups turns each of their colours into. */
export const mergedPaints = (groups: readonly StrayGroup[]): Map<string, string> =>
  new Map(groups.flatMap(({ keeps, strays }) => strays.map(({ hex }) => [hex, keeps] as const)));
