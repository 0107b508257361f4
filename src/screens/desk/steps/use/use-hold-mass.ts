'use client';

import { holdMass } from '@/study/use-edits';
import { say, showError } from '@/ui/notices';
import { useDeskStore } from '../../desk-store';
import { roundPlace } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import type { Point } from '../../view';
import { transferView } from './transfer-view';

/** Gives the mass at a place of the framed picture a colour that it keeps; one step to undo. */
export function useHoldMass(): (place: Point, colour: string) => Promise<void> {
  const store = useDeskStore();
  const room = usePicture();
  return async (place, colour) => {
    try {
      const { values, use } = store.getState().history.present;
      const { squint } = values;
      const { held } = use.transfer;
      const [mass, at] = await Promise.all([
        room.ask<'massAt'>({ kind: 'massAt', squint, place }),
        room.ask<'massesAt'>({
          kind: 'massesAt',
          squint,
          places: held.map(({ x, y }) => ({ x, y })),
        }),
      ]);
      if (mass === null) return say('There is no picture at this place.');
      const instead = held.filter((_, i) => at[i] === mass);
      const where = roundPlace(room.originalArea(place, 0));
      store.getState().slide();
      store.getState().change((document) => holdMass(document, where, colour, instead));
      store.getState().lookIn(transferView, { mass });
    } catch (error) {
      showError(error);
    }
  };
}
