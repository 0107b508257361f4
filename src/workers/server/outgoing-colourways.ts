import { colouredText, namesAndInks, paintedIn } from '@/core/pattern/coloured';
import { mapOfAll, mergedDrawing, mergeTargets } from '@/core/pattern/merges';
import { paintsOf } from '@/core/pattern/paints';
import { readDrawing } from '@/core/pattern/read-drawing';
import type { WayColour } from '@/core/pattern/way-colours';
import type { PatternContent } from '@/contracts/pattern';
import type { DrawingFacts } from '@/contracts/pattern-drawing';

/** A colourway as it goes out: the drawing in its colours, and these. */
export interface OutgoingColourway {
  name: string;
  svg: string;
  colours: WayColour[];
  inks: string | null;
}

/** The drawing with its near-duplicates merged, then the chosen colourways in their order. */
export function outgoingColourways(
  { merges, colourways }: Pick<PatternContent, 'merges' | 'colourways'>,
  svg: string,
  facts: DrawingFacts,
  ids: readonly string[],
): OutgoingColourway[] {
  const drawing = readDrawing(svg);
  const all = {
    paints: paintsOf(drawing, facts.areas ? new Map(facts.areas) : undefined),
    touching: facts.touching,
    ground: facts.ground,
  };
  const targets = mergeTargets(merges.map(({ id, into }) => ({ paint: id, into })));
  const merged = mergedDrawing(all, targets);
  const outgoing = (
    name: string,
    map: ReadonlyMap<string, string>,
    laid: string | null,
    named: ReturnType<typeof namesAndInks>,
  ): OutgoingColourway => ({
    name,
    svg: colouredText(drawing, mapOfAll(all.paints, targets, map), laid),
    colours: paintedIn(merged, map, laid, named.names),
    inks: named.inks,
  });
  return [
    outgoing('as it was drawn', new Map(), null, { names: new Map(), inks: null }),
    ...colourways
      .filter(({ id }) => ids.includes(id))
      .map(({ name, made }) =>
        outgoing(name, new Map(made.map), made.laid, namesAndInks(merged, made)),
      ),
  ];
}
