'use client';

import { useQuery } from '@tanstack/react-query';
import type { Oklab } from '@/core/colour/oklab';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { MAX_TRAY } from '@/contracts/study';
import { queryFor } from '@/ui/queries';
import { useDocument, useStepView } from '../../desk-store';
import { transferView } from './transfer-view';

export interface SourceColour {
  id: string;
  name: string;
  colour: Oklab;
  /** Of the picture it comes from; null where that is not known. */
  share: number | null;
  /** Where most of it stands there, from above; null where that is not known. */
  height: number | null;
}

/** Whose colours are put on the picture: a library of the Drawers, or the study's own palette. */
export function useTransferSource(): {
  colours: SourceColour[];
  state: 'ready' | 'loading' | 'gone';
} {
  const [{ of }] = useStepView(transferView);
  const own = useDocument((document) => document.palette.swatches);
  const library = useQuery({
    ...queryFor(endpoints.getLibrary, { id: of }),
    enabled: of !== '',
    meta: { isQuiet: true },
  });
  if (of === '')
    return {
      colours: own.slice(0, MAX_TRAY).map(({ id, name, colour, share, area }) => ({
        id,
        name,
        colour,
        share,
        height: area?.y ?? null,
      })),
      state: 'ready',
    };
  if (library.data)
    return {
      colours: library.data.swatches
        .slice(0, MAX_TRAY)
        .map(({ id, name, colour, share, provenance }) => ({
          id,
          name,
          colour,
          share,
          height: provenance?.y ?? null,
        })),
      state: 'ready',
    };
  return { colours: [], state: library.error ? 'gone' : 'loading' };
}
