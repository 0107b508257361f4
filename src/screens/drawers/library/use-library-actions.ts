'use client';

import { useRouter } from 'next/navigation';
import type { Oklab } from '@/core/colour/oklab';
import { cutText } from '@/core/text';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Library, LibraryContent, Swatch } from '@/contracts/library';
import { newId } from '@/study/edits';
import {
  addToLibrary,
  editLibrary,
  namedSwatches,
  DEFAULT_LIBRARY_PALETTE,
  withoutLinks,
} from '@/study/library';
import { removeSwatches } from '@/study/palette-edits';
import { withoutEmptySets } from '@/study/set-edits';
import { call } from '@/ui/api';
import { offerUndo, say, showError } from '@/ui/notices';
import { capital, several } from '@/ui/words';
import type { LibraryStore } from './use-library';

/** What is done with a library and with those of its swatches that are chosen; all of it can be undone. */
export function useLibraryActions(library: Library, store: LibraryStore) {
  const router = useRouter();
  const { change } = store.getState();
  const present = () => store.getState().history.present;
  const setSwatches = (edit: (swatches: Swatch[]) => Swatch[], key?: string) =>
    change((was) => ({ ...was, swatches: edit(was.swatches) }), key);

  /** Adds what is made of the content as it is now; the first of it is opened. */
  const add = (fresh: (content: LibraryContent) => readonly Omit<Swatch, 'id'>[]) => {
    const before = new Set(present().swatches.map(({ id }) => id));
    try {
      change((was) => addToLibrary(was, fresh(was), newId));
      const added = present().swatches.find(({ id }) => !before.has(id));
      if (added) store.getState().set({ selected: added.id, chosen: [] });
    } catch (error) {
      showError(error);
    }
  };
  const addColours = (colours: readonly Oklab[]) => add((was) => namedSwatches(was, colours));
  const addSwatches = (swatches: readonly Swatch[]) => add(() => swatches);

  const removeLibrary = async () => {
    const { name } = present();
    try {
      await call(endpoints.deleteLibrary, { id: library.id });
      router.push('/drawers');
      offerUndo(`“${name}” was put into the bin.`, async () => {
        await call(endpoints.restoreLibrary, { id: library.id });
        router.refresh();
      });
    } catch (error) {
      showError(error);
    }
  };
  const duplicate = async () => {
    try {
      const made = await call(endpoints.duplicateLibrary, { id: library.id });
      router.push(`/drawers/${made.id}`);
      say('This is the copy.');
    } catch (error) {
      showError(error);
    }
  };
  /** What is chosen becomes a library of its own, and leaves this one. */
  const splitOff = async (chosen: ReadonlySet<string>) => {
    const content = present();
    const parted = content.swatches.filter(({ id }) => chosen.has(id));
    const name = `${cutText(content.name, 180)}, part`;
    try {
      const made = await call(endpoints.createLibrary, {
        body: {
          ...DEFAULT_LIBRARY_PALETTE,
          name,
          note: '',
          tags: content.tags,
          swatches: withoutLinks(parted),
          studyId: library.studyId,
        },
      });
      change((was) =>
        editLibrary(was, (palette) => withoutEmptySets(removeSwatches(palette, chosen))),
      );
      store.getState().set({ chosen: [] });
      offerUndo(
        `${capital(several(parted.length, 'swatch', 'swatches'))} went to “${name}”.`,
        async () => {
          setSwatches((all) => [
            ...all,
            ...parted.filter(({ id }) => all.every((one) => one.id !== id)),
          ]);
          await call(endpoints.deleteLibrary, { id: made.id });
        },
      );
    } catch (error) {
      showError(error);
    }
  };
  return { setSwatches, addColours, addSwatches, removeLibrary, duplicate, splitOff };
}

export type LibraryActions = ReturnType<typeof useLibraryActions>;
