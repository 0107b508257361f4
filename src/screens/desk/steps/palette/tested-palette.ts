'use client';

import { useQuery } from '@tanstack/react-query';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { MAX_TRAY } from '@/contracts/study';
import type { Oklab } from '@/core/colour/oklab';
import { queryFor } from '@/ui/queries';
import { useDocument, useStepView } from '../../desk-store';
import { paletteView } from './palette-view';

/** What is tried on the picture: the tray, or a library of the Drawers. */
export interface TestedPalette {
  /** The library's name; null for the tray. */
  name: string | null;
  colours: Oklab[];
  /** A library that is on its way, or gone. */
  state: 'ready' | 'loading' | 'gone';
}

export function useTestedPalette(): TestedPalette {
  const [{ of }] = useStepView(paletteView);
  const swatches = useDocument((document) => document.palette.swatches);
  const library = useQuery({
    ...queryFor(endpoints.getLibrary, { id: of }),
    enabled: of !== '',
    meta: { isQuiet: true },
  });
  const coloursOf = (all: readonly { colour: Oklab }[]) =>
    all.slice(0, MAX_TRAY).map(({ colour }) => colour);
  if (of === '') return { name: null, colours: coloursOf(swatches), state: 'ready' };
  if (library.data)
    return { name: library.data.name, colours: coloursOf(library.data.swatches), state: 'ready' };
  return { name: '', colours: [], state: library.error ? 'gone' : 'loading' };
}
