'use client';

import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { Oklab } from '@/core/colour/oklab';
import { nearestOf, DEFAULT_DUPLICATE_THRESHOLD } from '@/core/palette/near-duplicates';
import type { Source } from '@/contracts/desk-query/palette-queries';
import type { StudyDocument } from '@/contracts/study';
import { showError, say } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDebounced } from '@/ui/use-debounced';
import {
  addSwatch,
  applyExtraction,
  HOME_RADIUS,
  newId,
  countsOnExtraction,
  withShares,
  type NewSwatch,
} from '@/study/edits';
import { addSwatches, mergeSwatches, removeSwatches } from '@/study/palette-edits';
import { followed, withoutEmptySets } from '@/study/set-edits';
import { useDeskStore, useDocument } from './desk-store';
import { usePicture } from './picture-room';
import { pushSettingsOf } from '@/contracts/push-request';
import { pushWords } from './push-words';
import type { DeskView, Point } from './view';

/** What is done to the palette and needs the picture: each is one step to undo. */
export function usePaletteOfDesk() {
  const store = useDeskStore();
  const room = usePicture();
  const { settings } = useSettings();
  const [busy, setBusy] = useState(false);

  const actions = useMemo(() => {
    const document = () => store.getState().history.present;

    /** Changes the palette; a refusal is shown, and changes nothing. */
    const change = (edit: (was: StudyDocument) => StudyDocument, key?: string): boolean => {
      try {
        store.getState().change((was) => withoutEmptySets(edit(was)), key);
        return true;
      } catch (error) {
        showError(error);
        return false;
      }
    };

    const extract = async (count: number) => {
      setBusy(true);
      try {
        const { palette } = document();
        const keep = palette.swatches.filter(countsOnExtraction);
        const { swatches } = await room.ask<'extract'>({
          kind: 'extract',
          count,
          keep: keep.map((swatch) => swatch.colour),
          lean: palette.lean,
          region: palette.region,
          from: sourceOf(store.getState().view, document()),
        });
        const areas = swatches.map(({ point }) => point && room.originalArea(point, HOME_RADIUS));
        const stayed = document()
          .palette.swatches.filter(countsOnExtraction)
          .map(({ id }) => id);
        // Something was picked or locked meanwhile: what was extracted does not know of it.
        if (stayed.join() !== keep.map(({ id }) => id).join()) return extract(count);
        change((was) =>
          followed(
            applyExtraction(
              was,
              count,
              swatches,
              areas.map((area, i) => keep[i]?.area ?? area),
              newId,
            ),
          ),
        );
      } catch (error) {
        showError(error);
      } finally {
        setBusy(false);
      }
    };

    /** Adds a colour; when it is very near one that is there, the person decides what to do with the two. */
    const add = (swatch: NewSwatch) => {
      const before = document().palette.swatches;
      const nearest = nearestOf(
        swatch.colour,
        before.map(({ colour }) => colour),
      );
      if (!change((was) => addSwatch(was, swatch))) return;
      store.getState().set({ selected: swatch.id, chosen: [] });
      if (nearest && nearest.difference < DEFAULT_DUPLICATE_THRESHOLD)
        askAboutTwo(swatch.id, before[nearest.index], nearest.difference);
    };

    const askAboutTwo = (id: string, old: { id: string; name: string }, difference: number) => {
      const decide = (edit: (was: StudyDocument) => StudyDocument) => {
        change(edit);
        store.getState().set({ selected: null });
      };
      toast(`This is ${difference.toFixed(1)} from “${old.name}”: both are kept.`, {
        duration: 15_000,
        closeButton: true,
        action: {
          label: 'Merge',
          onClick: () => decide((was) => mergeSwatches(was, new Set([id, old.id]), newId)),
        },
        cancel: {
          label: 'Replace',
          onClick: () => decide((was) => removeSwatches(was, new Set([old.id]))),
        },
      });
    };

    const pick = async (place: Point) => {
      try {
        const { view } = store.getState();
        const from = sourceOf(view, document());
        const found = await room.ask<'pick'>({
          kind: 'pick',
          place,
          radius: settings.pickRadius,
          from,
        });
        if (!found) return say('There is no picture at this place.');
        const plain = {
          note:
            from.kind === 'pushed' ? `As strengthened: ${pushWords(document().hidden.push)}.` : '',
          share: null,
          locked: false,
          origin: 'picked' as const,
          area: room.originalArea(place, settings.pickRadius),
        };
        if (view.pickParts && found.clusters.length > 1) {
          const parts = found.clusters.map(({ colour }) => ({
            ...plain,
            id: newId(),
            colour,
            spread: null,
          }));
          if (change((was) => addSwatches(was, parts)))
            store.getState().set({ selected: parts[0].id, chosen: parts.map(({ id }) => id) });
          return;
        }
        add({
          ...plain,
          id: newId(),
          colour: found.probe.colour,
          spread: found.probe.spread,
          components: found.clusters.length > 1 ? found.clusters : [],
        });
      } catch (error) {
        showError(error);
      }
    };

    /** Adds a colour that was found in the picture, with its place. */
    const addFound = (colour: Oklab, point: Point | null) =>
      add({
        id: newId(),
        note: '',
        colour,
        share: null,
        locked: false,
        origin: 'picked',
        area: point && room.originalArea(point, HOME_RADIUS),
        spread: null,
      });

    const remove = (gone: Iterable<string>) => {
      change((was) => removeSwatches(was, new Set(gone)));
      store.getState().set({ selected: null, chosen: [], hovered: null, pinned: null });
    };

    return { change, extract, pick, addFound, remove };
  }, [store, room, settings.pickRadius]);

  useShares();
  return useMemo(() => ({ ...actions, busy }), [actions, busy]);
}

/** What colours are picked from as the Desk is being looked at. */
export function sourceOf(
  { pickFrom }: Pick<DeskView, 'pickFrom'>,
  document: StudyDocument,
): Source {
  const { values } = document;
  switch (pickFrom) {
    case 'squint':
      return { kind: 'squint', squint: values.squint };
    case 'zones':
      return { kind: 'zones', settings: values };
    case 'pushed':
      return { kind: 'pushed', settings: pushSettingsOf(document) };
    case 'picture':
      return { kind: 'picture' };
  }
}

export type PaletteActions = ReturnType<typeof usePaletteOfDesk>;

export const PaletteContext = createContext<PaletteActions | null>(null);

/** What can be done to the palette from anywhere on the Desk. */
export function usePalette(): PaletteActions {
  const palette = useContext(PaletteContext);
  if (!palette) throw new Error('usePalette outside a Desk');
  return palette;
}

const SHARES_AFTER = 100;

/** Keeps the shares true to the picture and the palette, whatever changed either. */
function useShares(): void {
  const store = useDeskStore();
  const { ask, generation } = usePicture();
  const colours = useDocument((document) =>
    JSON.stringify(document.palette.swatches.map((swatch) => swatch.colour)),
  );
  const { run, cancel } = useDebounced(SHARES_AFTER);
  useEffect(() => {
    if (generation === 0) return;
    const stop = new AbortController();
    const take = (shares: number[]) => {
      if (!stop.signal.aborted) store.getState().amend((document) => withShares(document, shares));
    };
    run(() => {
      const query = { kind: 'shares' as const, colours: JSON.parse(colours) as Oklab[] };
      ask<'shares'>(query, { signal: stop.signal }).then(take, (error) => {
        if (!stop.signal.aborted) showError(error);
      });
    });
    return () => {
      cancel();
      stop.abort();
    };
  }, [store, run, cancel, ask, generation, colours]);
}
