'use client';

import { useEffect, useMemo, useState } from 'react';
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
import { useDeskStore, useDocument, type Point } from './desk-store';
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
        const { swatches } = await room.desk.extract({
          count,
          keep: keep.map((swatch) => swatch.colour),
        });
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
        const swatch = {
          id,
          note: '',
          colour: found.colour,
          share: null,
          locked: false,
          origin: 'picked' as const,
          area: room.originalArea(place, settings.pickRadius),
          spread: found.spread,
        };
        store.getState().change((was) => addSwatch(was, swatch));
        store.getState().set({ selected: id });
      } catch (error) {
        showFault(error);
      }
    };

    const remove = (id: string) => {
      store.getState().change((was) => removeSwatch(was, id));
      store.getState().set({ selected: null, hovered: null, pinned: null });
    };

    return { extract, pick, remove };
  }, [store, room, settings.pickRadius]);

  useShares();
  return { ...actions, busy };
}

const SETTLED_AFTER = 100;

/** Keeps the shares true to the picture and the palette, whatever changed either. */
function useShares(): void {
  const store = useDeskStore();
  const { desk, generation } = usePicture();
  const colours = useDocument((document) =>
    JSON.stringify(document.palette.swatches.map((swatch) => swatch.colour)),
  );
  useEffect(() => {
    if (generation === 0) return;
    let overtaken = false;
    const waiting = setTimeout(() => {
      desk.shares(JSON.parse(colours)).then((shares) => {
        if (!overtaken) store.getState().amend((document) => withShares(document, shares));
      }, showFault);
    }, SETTLED_AFTER);
    return () => {
      overtaken = true;
      clearTimeout(waiting);
    };
  }, [store, desk, generation, colours]);
}
