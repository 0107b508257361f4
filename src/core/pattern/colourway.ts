import { withValue } from '../colour/at-value';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { limitInks, type InkSet } from './ink-limit';
import { fallenTogether, mapPaints, type EndsHeld, type Mapping } from './map-paints';
import type { DrawingPaint } from './paints';
import { movedColours, type ColourMove, type Start, type WayColour } from './way-colours';

/** What is chosen for a colourway, beside its colours. */
export interface ColourwayChoice {
  by: Mapping;
  ends: EndsHeld;
  start: Start | null;
  /** Degrees that all hues are turned. */
  turn: number;
  moves: readonly ColourMove[];
  /** Paints that have a colour whatever else changes, by its id; null keeps their own. */
  held: readonly { paint: string; colour: string | null }[];
  /** The colour of the ground, by its id; null leaves it to the mapping. */
  ground: string | null;
  /** No more inks than these; null for as many as there are colours. */
  inks: number | null;
  overprint: boolean;
  /** Each paint at its own value, in the hue and chroma of its colour. */
  tints: boolean;
}

export const DEFAULT_CHOICE: ColourwayChoice = {
  by: 'value',
  ends: 'free',
  start: null,
  turn: 0,
  moves: [],
  held: [],
  ground: null,
  inks: null,
  overprint: true,
  tints: false,
};

/** What of a drawing is given colours: its paints after near-duplicates were merged. */
export interface PaintedDrawing {
  paints: readonly DrawingPaint[];
  touching: readonly (readonly [string, string])[];
  /** The paint that is the ground; null for a drawing without one. */
  ground: string | null;
}

export interface Colourway {
  /** For each paint (`#rrggbb`) what it becomes. */
  map: Map<string, string>;
  /** For each paint the id of its colour; null where it keeps its own. */
  of: Map<string, string | null>;
  /** What it is painted in, each with its share of the drawing, by area; without what is not used. */
  colours: WayColour[];
  /** What the palette came to, used or not. */
  palette: WayColour[];
  /** Paints that stood apart in value and don't any more; those that touch first. */
  fallen: { pair: [string, string]; touch: boolean }[];
  inks: InkSet | null;
  /** `#rrggbb` to lay below a drawing that has no ground of its own. */
  laid: string | null;
}

/** What a drawing's paints become by a choice. Throws a RangeError without colours. */
export function colourwayOf(
  { paints, touching, ground }: PaintedDrawing,
  colours: readonly WayColour[],
  choice: ColourwayChoice,
): Colourway {
  const palette = movedColours(colours, choice.start, choice.turn, choice.moves);
  const heldBy = new Map(choice.held.map(({ paint, colour }) => [paint, colour]));
  if (ground !== null && choice.ground !== null) heldBy.set(ground, choice.ground);
  const byId = new Map(palette.map((one) => [one.id, one]));
  const keepsOwn = (hex: string) => heldBy.get(hex) === null;
  const free = paints.filter(({ hex }) => {
    const held = heldBy.get(hex);
    return held === undefined || (held !== null && !byId.has(held));
  });
  const options = {
    by: choice.by,
    ends: choice.ends,
    touching,
    wider: new Map(choice.moves.map(({ colour, wider }) => [colour, wider])),
  };
  const mapped = mapPaints(free, palette, options);
  for (const { hex } of paints) {
    const held = heldBy.get(hex);
    if (held && byId.has(held)) mapped.set(hex, byId.get(held)!);
  }
  for (const [hex, colour] of mapped) mapped.set(hex, insteadOf(colour, palette, choice.moves));
  const inks = choice.inks === null ? null : inksFor(paints, mapped, palette, choice);
  if (inks) toInks(inks, paints, mapped, choice, options);
  const map = new Map<string, string>();
  const of = new Map<string, string | null>();
  for (const { hex, value } of paints) {
    const one = mapped.get(hex);
    of.set(hex, keepsOwn(hex) || !one ? null : one.id);
    map.set(
      hex,
      keepsOwn(hex) || !one
        ? hex
        : hexFromOklab(choice.tints ? withValue(one.colour, value) : one.colour),
    );
  }
  const laid =
    ground === null && choice.ground !== null && byId.has(choice.ground)
      ? hexFromOklab(byId.get(choice.ground)!.colour)
      : null;
  return {
    map,
    of,
    colours: usedColours(paints, of, inks?.colours ?? palette),
    palette,
    fallen: fallenOf(paints, map, touching),
    inks,
    laid,
  };
}

/** The colour that another's shapes have: the nearest that is not left out itself, or the one that was put there. */
function insteadOf(
  colour: WayColour,
  palette: readonly WayColour[],
  moves: readonly ColourMove[],
): WayColour {
  const moveOf = (id: string) => moves.find((move) => move.colour === id)?.instead ?? null;
  const stays = palette.filter(({ id }) => moveOf(id) === null);
  let at = colour;
  // As long a way as there are colours: a circle of them ends.
  for (let i = 0; i < palette.length; i++) {
    const instead = moveOf(at.id);
    if (instead === null) return at;
    const other = instead === 'nearest' ? null : palette.find(({ id }) => id === instead.id);
    if (other && other !== at) at = other;
    else break;
  }
  if (stays.length === 0) return colour;
  return nearest(at.colour, stays);
}

const nearest = (colour: Oklab, among: readonly WayColour[]) =>
  among.reduce((best, one) =>
    oklabDistance(colour, one.colour) < oklabDistance(colour, best.colour) ? one : best,
  );

function inksFor(
  paints: readonly DrawingPaint[],
  mapped: ReadonlyMap<string, WayColour>,
  palette: readonly WayColour[],
  choice: ColourwayChoice,
): InkSet | null {
  const stays = palette.filter(
    ({ id }) => !choice.moves.some(({ colour, instead }) => colour === id && instead !== null),
  );
  if (stays.length < 2 || choice.inks === null) return null;
  const wanted = paints.flatMap(({ hex, area }) => {
    const one = mapped.get(hex);
    return one ? [{ colour: one.colour, weight: area + 0.2 / paints.length }] : [];
  });
  return limitInks(stays, wanted, choice.inks, choice.overprint);
}

/** What is held goes to the nearest that the inks print; the rest is mapped to these anew. */
function toInks(
  inks: InkSet,
  paints: readonly DrawingPaint[],
  mapped: Map<string, WayColour>,
  choice: ColourwayChoice,
  options: Parameters<typeof mapPaints>[2],
): void {
  const held = new Set(choice.held.map(({ paint }) => paint));
  const free = paints.filter(({ hex }) => mapped.has(hex) && !held.has(hex));
  const wanted = new Map(mapped);
  for (const [hex, colour] of mapPaints(free, inks.colours, options)) mapped.set(hex, colour);
  for (const [hex, colour] of wanted)
    if (held.has(hex)) mapped.set(hex, nearest(colour.colour, inks.colours));
}

function usedColours(
  paints: readonly DrawingPaint[],
  of: ReadonlyMap<string, string | null>,
  palette: readonly WayColour[],
): WayColour[] {
  const own = paints
    .filter(({ hex }) => of.get(hex) === null)
    .map(({ hex, colour, area }) => ({ id: hex, name: hex, colour, share: area }));
  const used = palette.map((one) => ({
    ...one,
    share: paints.reduce((sum, { hex, area }) => sum + (of.get(hex) === one.id ? area : 0), 0),
  }));
  const ids = new Set(of.values());
  return [...used.filter(({ id }) => ids.has(id)), ...own].sort(
    (one, other) => other.share - one.share,
  );
}

function fallenOf(
  paints: readonly DrawingPaint[],
  map: ReadonlyMap<string, string>,
  touching: PaintedDrawing['touching'],
): Colourway['fallen'] {
  const key = (one: string, other: string) => (one < other ? one + other : other + one);
  const touch = new Set(touching.map(([one, other]) => key(one, other)));
  return fallenTogether(paints, (hex) => valueOfOklab(hexColour(map.get(hex) ?? hex)))
    .map((pair) => ({ pair, touch: touch.has(key(...pair)) }))
    .sort((one, other) => Number(other.touch) - Number(one.touch));
}

const hexColour = (hex: string) => oklabFromHex(hex)!;
