'use client';

import { useEffect, useRef } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { UsedColour } from '@/contracts/use';
import { newId } from '@/study/edits';
import { addColours, coloursOfSwatches, takeColours } from '@/study/use-edits';
import { call } from '@/ui/api';
import { say, showError } from '@/ui/notices';
import { useDeskStore, useStepView } from '../../desk-store';
import { transferView } from './transfer-view';

/** A source of colours in an address or a list: "library.ID" or "study.ID". */
export type SourceId = string;

async function coloursOf(source: SourceId): Promise<UsedColour[]> {
  const [kind, id] = source.split('.');
  if (kind === 'study') {
    const { document } = await call(endpoints.getStudy, { id });
    return coloursOfSwatches(document.palette.swatches, document.title);
  }
  const library = await call(endpoints.getLibrary, { id });
  return coloursOfSwatches(
    library.swatches.map(({ provenance, ...swatch }) => ({
      ...swatch,
      area: provenance ? { x: provenance.x, y: provenance.y, radius: 0 } : null,
    })),
    library.name,
  );
}

/** Takes the colours of a library or a study, in place of those before or to them; one step to undo. */
export function useTakeColours(): (source: SourceId, adds: boolean) => Promise<void> {
  const store = useDeskStore();
  return async (source, adds) => {
    try {
      const colours = await coloursOf(source);
      if (colours.length === 0) return say('There are no colours in it.');
      store
        .getState()
        .change((document) =>
          adds ? addColours(document, colours, newId) : takeColours(document, colours),
        );
      store.getState().lookIn(transferView, { mass: null, colour: null });
    } catch (error) {
      showError(error);
    }
  };
}

/** Takes the colours that the address asks for, once. */
export function useTakeOnArrival(): void {
  const [{ take }, look] = useStepView(transferView);
  const takeFrom = useTakeColours();
  const taken = useRef('');
  useEffect(() => {
    if (!take || taken.current === take) return;
    taken.current = take;
    look({ take: '' });
    void takeFrom(take, false);
  }, [take, look, takeFrom]);
}
