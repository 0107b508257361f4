import { colourwayOf, type ColourwayChoice, type PaintedDrawing } from './colourway';
import { MAPPINGS } from './map-paints';
import { STARTS, type Start, type WayColour } from './way-colours';

/** A colourway that is offered: what it is called, what it is made of. */
export interface Suggestion {
  title: string;
  colours: readonly WayColour[];
  choice: ColourwayChoice;
  map: Map<string, string>;
  /** Laid below a drawing that has no ground. */
  laid: string | null;
}

export interface NamedPalette {
  title: string;
  colours: readonly WayColour[];
}

export const MAX_SUGGESTIONS = 40;
const TURNS = [0, 180, 30, -30, 90, -90, 60, -60, 120, -120] as const;
/** Nearer than this on the mean over the drawing, in channels of 0–255, two colourways look the same. */
const ALIKE = 3;

/**
 * Colourways to choose from, none like another: each palette and all together, by value and by area, as they come and from each
 * start, with the hues turned; what is held, left out and limited stays as it is in `base`.
 */
export function suggestColourways(
  drawing: PaintedDrawing,
  palettes: readonly NamedPalette[],
  base: ColourwayChoice,
  count = MAX_SUGGESTIONS,
): Suggestion[] {
  const found: Suggestion[] = [];
  const vectors: Float64Array[] = [];
  const starts: (Start | null)[] = [null, ...STARTS];
  for (const turn of TURNS)
    for (const start of starts)
      for (const by of MAPPINGS)
        for (const { title, colours } of palettes) {
          if (found.length >= count) return found;
          if (colours.length === 0) continue;
          const choice = { ...base, by, start, turn: (base.turn + turn) % 360 };
          const { map, laid } = colourwayOf(drawing, colours, choice);
          const vector = vectorOf(drawing, map, laid);
          if (vectors.some((other) => difference(vector, other) < ALIKE)) continue;
          vectors.push(vector);
          found.push({
            title: titleOf(palettes.length > 1 ? title : '', by, start, turn),
            colours,
            choice,
            map,
            laid,
          });
        }
  return found;
}

function titleOf(palette: string, by: string, start: Start | null, turn: number): string {
  const turned = turn === 0 ? '' : `hues ${turn > 0 ? '+' : '−'}${Math.abs(turn)}°`;
  return [`by ${by}`, start ?? '', turned, palette].filter(Boolean).join(', ');
}

/** The colours of a drawing's paints, each as far from others as its area is large. */
function vectorOf(
  { paints }: PaintedDrawing,
  map: ReadonlyMap<string, string>,
  laid: string | null,
): Float64Array {
  const vector = new Float64Array(3 * paints.length + 3);
  const put = (hex: string, at: number, weight: number) => {
    for (let k = 0; k < 3; k++)
      vector[3 * at + k] = weight * parseInt(hex.slice(1 + 2 * k, 3 + 2 * k), 16);
  };
  paints.forEach(({ hex, area }, i) =>
    put(map.get(hex) ?? hex, i, area + 0.2 / Math.max(1, paints.length)),
  );
  if (laid) put(laid, paints.length, 0.5);
  return vector;
}

function difference(one: Float64Array, other: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < one.length; i++) sum += Math.abs(one[i] - other[i]);
  return sum / 3;
}
