'use client';

import { useMemo, useState } from 'react';
import { showFault, say } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import {
  addSwatch,
  applyExtraction,
  HOME_RADIUS,
  removeSwatch,
  staysOnExtraction,
  withShares,
} from '@/study/edits';
import { useDeskStore, type Point } from './desk-store';
import { usePicture } from './picture-room';

const newId = () => crypto.randomUUID();

/** What is done to the palette and needs the picture: each is one step to undo. */
export function usePalette() {
  const store = useDeskStore();
  const room = usePicture();
  const { settings } = useSettings();
  const [busy, setBusy] = useState(false);

  const actions = useMemo(() => {
    const document = () => store.getState().history.present;

    const extract = async (count: number) => {
      setBusy(true);
      try {
        const keep = document().palette.swatches.filter(staysOnExtraction);
        const { swatches } = await room.desk.extract(
          count,
          keep.map((swatch) => swatch.colour),
        );
        const areas = swatches.map(({ home }) => home && room.originalArea(home, HOME_RADIUS));
        const stayed = document()
          .palette.swatches.filter(staysOnExtraction)
          .map(({ id }) => id);
        // Something was picked or locked meanwhile: what was extracted does not know of it.
        if (stayed.join() !== keep.map(({ id }) => id).join()) return extract(count);
        store.getState().change((was) =>
          applyExtraction(
            was,
            count,
            swatches,
            areas.map((area, i) => keep[i]?.area ?? area),
            newId,
          ),
        );
      } catch (error) {
        showFault(error);
      } finally {
        setBusy(false);
      }
    };

    const pick = async (place: Point) => {
      try {
        const found = await room.desk.probe(place, settings.pickRadius);
        if (!found) return say('There is no picture at this place.');
        const id = newId();
        const added = addSwatch(document(), {
          id,
          note: '',
          colour: found.colour,
          share: null,
          locked: false,
          origin: 'picked',
          area: room.originalArea(place, settings.pickRadius),
          spread: found.spread,
        });
        const shares = await room.desk.shares(
          added.palette.swatches.map((swatch) => swatch.colour),
        );
        store.getState().change(() => withShares(added, shares));
        store.getState().set({ selected: id });
      } catch (error) {
        showFault(error);
      }
    };

    const remove = async (id: string) => {
      try {
        const left = removeSwatch(document(), id);
        const shares = await room.desk.shares(left.palette.swatches.map((swatch) => swatch.colour));
        store.getState().change(() => withShares(left, shares));
        store.getState().set({ selected: null, hovered: null, pinned: null });
      } catch (error) {
        showFault(error);
      }
    };

    return { extract, pick, remove };
  }, [store, room, settings.pickRadius]);

  return { ...actions, busy };
}
