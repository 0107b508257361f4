'use client';

import type { HiddenColour } from '@/core/amplify/hidden';
import { addSwatches } from '@/study/palette-edits';
import { HOME_RADIUS, type NewSwatch } from '@/study/edits';
import { useDeskStore } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { newId } from '@/study/edits';
import { usePalette } from '../../use-palette';
import { pushWords } from '../../push-words';

/** What of a hidden colour goes into the tray: what the camera saw, what to put down, or both. */
export type Halves = 'as it is' | 'pushed' | 'both';

/** Adds hidden colours to the tray, each with its place and what it is; one step to undo. */
export function useAddHidden() {
  const palette = usePalette();
  const store = useDeskStore();
  const room = usePicture();
  return (colours: readonly HiddenColour[], halves: Halves) => {
    const { push } = store.getState().history.present.hidden;
    const swatches = colours.flatMap((one): NewSwatch[] => {
      const where = `${one.readsAs} ${one.place}`;
      const plain = {
        share: null,
        locked: false,
        origin: 'picked' as const,
        area: room.originalArea(one.point, HOME_RADIUS),
        spread: null,
      };
      const pair = [
        { ...plain, id: newId(), colour: one.colour, note: `What the camera saw: ${where}.` },
        {
          ...plain,
          id: newId(),
          colour: one.pushed,
          note: `What to put down: ${where}, strengthened (${pushWords(push)}).`,
        },
      ];
      if (halves === 'both') return pair;
      return [halves === 'pushed' ? pair[1] : pair[0]];
    });
    if (palette.change((document) => addSwatches(document, swatches)))
      store.getState().set({
        selected: swatches[0].id,
        chosen: swatches.length > 1 ? swatches.map(({ id }) => id) : [],
      });
  };
}
