'use client';

import { useMemo } from 'react';
import { paintedIn, namesAndInks } from '@/core/pattern/coloured';
import { colourwayOf, type Colourway } from '@/core/pattern/colourway';
import type { WayColour } from '@/core/pattern/way-colours';
import { coloursInUse } from '@/study/pattern-edits';
import { AS_DRAWN, useDrawing, type Given } from './drawing-room';
import { ORIGINAL, TRIED } from './pattern-view';
import { useContent } from './use-pattern';

/** The colourway that is tried: null while no colours are in use, or the drawing is read. */
export function useTried(): Colourway | null {
  const { painted } = useDrawing();
  const sources = useContent((content) => content.sources);
  const choice = useContent((content) => content.choice);
  return useMemo(() => {
    const colours = coloursInUse({ sources });
    return colours.length > 0 && painted.paints.length > 0
      ? colourwayOf(painted, colours, choice)
      : null;
  }, [painted, sources, choice]);
}

/** Something to look at: the original, what is tried, or a kept colourway. */
export interface Shown {
  id: string;
  name: string;
  given: Given;
  /** What it is painted in, by area. */
  colours: WayColour[];
  inks: string | null;
  favourite: boolean;
}

/** All that can be looked at by its id, the original first; what is tried is there while it has colours. */
export function useShown(tried: Colourway | null): ReadonlyMap<string, Shown> {
  const kept = useKept();
  return useMemo(() => {
    const [original, ...others] = kept;
    const now: Shown[] = tried
      ? [
          {
            id: TRIED,
            name: 'being tried',
            given: tried,
            colours: tried.colours,
            inks: null,
            favourite: false,
          },
        ]
      : [];
    return new Map([original, ...now, ...others].map((one) => [one.id, one]));
  }, [kept, tried]);
}

/** The original and what is kept: worked out when these change, and not with every try. */
function useKept(): Shown[] {
  const { painted, nameOf } = useDrawing();
  const kept = useContent((content) => content.colourways);
  return useMemo(() => {
    const own = new Map(painted.paints.map(({ hex }) => [hex, nameOf(hex)]));
    const original: Shown = {
      id: ORIGINAL,
      name: 'as it was drawn',
      given: AS_DRAWN,
      colours: paintedIn(painted, new Map(), null, own),
      inks: null,
      favourite: false,
    };
    const colourways = kept.map(({ id, name, favourite, made }): Shown => {
      const { names, inks } = namesAndInks(painted, made);
      const map = new Map(made.map);
      const colours = paintedIn(painted, map, made.laid, names);
      return { id, name, favourite, given: { map, laid: made.laid }, colours, inks };
    });
    return [original, ...colourways];
  }, [painted, nameOf, kept]);
}
