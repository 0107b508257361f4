import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { colourwayOf, type ColourwayChoice, type PaintedDrawing } from './colourway';
import { groundLaid } from './fill-regions';
import type { Drawing } from './drawing';
import { recoloured } from './recolour';
import type { WayColour } from './way-colours';

/** A drawing in other colours, with its ground laid below where it has none of its own (`#rrggbb`). */
export function colouredText(
  drawing: Drawing,
  map: ReadonlyMap<string, string>,
  laid: string | null,
): string {
  const text = recoloured(drawing, map);
  return laid ? groundLaid(text, drawing.size.box, laid) : text;
}

/** A colourway that was kept: what it was made of, and what each paint became. */
export interface MadeColourway {
  choice: ColourwayChoice;
  colours: readonly WayColour[];
  map: readonly (readonly [string, string])[];
  laid: string | null;
}

/** What a colourway is painted in: each colour with its share of the drawing, its name where it has one; the largest first. */
export function paintedIn(
  { paints }: PaintedDrawing,
  map: ReadonlyMap<string, string>,
  laid: string | null,
  names: ReadonlyMap<string, string>,
): WayColour[] {
  const shares = new Map<string, number>();
  if (laid) shares.set(laid, 0);
  for (const { hex, area } of paints) {
    const now = map.get(hex) ?? hex;
    shares.set(now, (shares.get(now) ?? 0) + area);
  }
  return [...shares]
    .map(([hex, share]) => ({
      id: hex,
      name: names.get(hex) ?? hex,
      colour: oklabFromHex(hex)!,
      share: Math.min(1, share),
    }))
    .sort((one, other) => other.share - one.share);
}

/** The names of a colourway's colours by their `#rrggbb`, and what it says of its inks; null for no limit. */
export function namesAndInks(
  drawing: PaintedDrawing,
  { choice, colours }: Pick<MadeColourway, 'choice' | 'colours'>,
): { names: Map<string, string>; inks: string | null } {
  if (colours.length === 0) return { names: new Map(), inks: null };
  const { palette, inks } = colourwayOf(drawing, colours, choice);
  const names = new Map(
    [...(inks?.colours ?? []), ...palette].map(({ colour, name }) => [hexFromOklab(colour), name]),
  );
  if (!inks) return { names, inks: null };
  const list = inks.inks.map(({ name }) => name).join(', ');
  const over = inks.colours.length > inks.inks.length + 1 ? ', overprinted' : '';
  return { names, inks: `${inks.inks.length} inks on ${inks.paper.name}: ${list}${over}` };
}
