'use client';

import { useRouter } from 'next/navigation';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Library } from '@/contracts/library';
import { LOOSE, type Folder, type FoundLibrary } from '@/contracts/library-search';
import { DEFAULT_LIBRARY_PALETTE } from '@/study/library';
import { call } from '@/ui/api';
import { offerUndo, say, showError } from '@/ui/notices';
import { useChanged } from '@/ui/queries';
import type { SearchRoom } from './find/use-search';

export type Act = (action: () => Promise<unknown>) => Promise<unknown>;

/** Does something to the store and shows what came of it; also after an error, for part of it may be done. */
export function useAct(): { act: Act; changed: () => Promise<void> } {
  const changed = useChanged(
    endpoints.searchLibraries,
    endpoints.countFacets,
    endpoints.countLibraries,
    endpoints.listFolders,
    endpoints.listSearches,
  );
  return { act: (action) => action().catch(showError).then(changed), changed };
}

/** What is done with libraries from the Drawers; all of it can be undone. */
export function useDrawerActions(act: Act, folders: readonly Folder[], room: SearchRoom) {
  const router = useRouter();
  const restore = async (ids: readonly string[]) => {
    for (const id of ids) await call(endpoints.restoreLibrary, { id });
  };

  return {
    open: ({ id }: FoundLibrary) => router.push(`/drawers/${id}`),

    /** A palette from nothing, in the folder that is open; its page is where it is built. */
    begin: async () => {
      const { folder } = room.search;
      try {
        const { id } = await call(endpoints.createLibrary, {
          body: {
            ...DEFAULT_LIBRARY_PALETTE,
            name: 'New palette',
            note: '',
            tags: [],
            swatches: [],
            studyId: null,
            folderId: folder === LOOSE ? null : folder,
          },
        });
        router.push(`/drawers/${id}`);
      } catch (error) {
        showError(error);
      }
    },

    compare: (one: FoundLibrary, other: FoundLibrary) =>
      router.push(`/drawers/compare?one=${one.id}&other=${other.id}`),

    remove: (libraries: readonly FoundLibrary[]) =>
      act(async () => {
        for (const { id } of libraries) await call(endpoints.deleteLibrary, { id });
        const what = libraries.length === 1 ? `“${libraries[0].name}” was` : 'They were';
        offerUndo(`${what} put into the bin.`, async () => {
          await act(() => restore(libraries.map(({ id }) => id)));
        });
      }),

    moveTo: (ids: readonly string[], folderId: string | null) =>
      act(async () => {
        const was = new Map(room.found.rows.map((row) => [row?.id, row?.folderId ?? null]));
        await call(endpoints.moveLibraries, { body: { ids: [...ids], folderId } });
        const name = folders.find(({ id }) => id === folderId)?.name;
        offerUndo(name ? `Put in “${name}”.` : 'Taken out of its folder.', async () => {
          await act(async () => {
            for (const id of ids)
              await call(endpoints.moveLibraries, {
                body: { ids: [id], folderId: was.get(id) ?? null },
              });
          });
        });
      }),

    order: (id: string, before: string | null) =>
      act(() => call(endpoints.orderLibrary, { body: { id, before } })),

    favour: ({ id, favourite }: FoundLibrary) => {
      room.edit(id, { favourite: !favourite });
      call(endpoints.setFavourite, { id, body: { favourite: !favourite } }).catch(
        (error: unknown) => {
          room.edit(id, { favourite });
          showError(error);
        },
      );
    },

    duplicate: ({ id, name }: FoundLibrary) =>
      act(async () => {
        await call(endpoints.duplicateLibrary, { id });
        say(`“${name}” has a copy.`);
      }),

    /** Two libraries whole, to be merged. */
    fetchPair: (ids: readonly string[]): Promise<Library[]> =>
      Promise.all(ids.map((id) => call(endpoints.getLibrary, { id }))),

    /** Takes back a merging: what was made goes, what it took the place of returns. */
    unmerge: (id: string, binned: readonly string[]) =>
      act(async () => {
        await call(endpoints.deleteLibrary, { id });
        await restore(binned);
      }),
  };
}

export type DrawerActions = ReturnType<typeof useDrawerActions>;
