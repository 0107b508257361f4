'use client';

import { useDeferredValue, useMemo } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { paintedIn } from '@/core/pattern/coloured';
import { suggestColourways } from '@/core/pattern/suggest';
import type { WayColour } from '@/core/pattern/way-colours';
import type { KeptColourway } from '@/contracts/pattern';
import { storedChoice } from '@/study/pattern-edits';
import { useDrawing, type Given } from './drawing-room';
import { useContent } from './use-pattern';

/** A colourway to choose. */
export interface Offered {
  title: string;
  given: Given;
  painted: WayColour[];
  made: KeptColourway['made'];
}

/** Colourways of the sources in use, made anew after these and what is chosen have come to rest. */
export function useSuggestions(): Offered[] {
  const { painted } = useDrawing();
  const sources = useDeferredValue(useContent((content) => content.sources));
  const choice = useDeferredValue(useContent((content) => content.choice));
  const kept = useContent((content) => content.colourways);
  const offered = useMemo(() => {
    const used = sources.filter((source) => source.used);
    if (used.length === 0 || painted.paints.length === 0) return [];
    const all = { title: 'all', colours: used.flatMap(({ colours }) => colours) };
    const palettes = used.length > 1 ? [all, ...used] : used;
    return suggestColourways(painted, palettes, choice).map((one) => {
      const given = { map: one.map, laid: one.laid };
      const names = new Map(one.colours.map(({ colour, name }) => [hexFromOklab(colour), name]));
      return {
        title: one.title,
        given,
        painted: paintedIn(painted, one.map, one.laid, names),
        made: {
          choice: storedChoice(one.choice),
          colours: [...one.colours],
          map: [...one.map],
          laid: one.laid,
        },
      };
    });
  }, [painted, sources, choice]);
  // What is kept already is not offered again.
  const known = new Set(kept.map(({ made }) => JSON.stringify(made.map)));
  return offered.filter(({ made }) => !known.has(JSON.stringify(made.map)));
}
