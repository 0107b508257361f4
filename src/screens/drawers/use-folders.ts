'use client';

import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Folder, SavedSearch } from '@/contracts/library-search';
import { call } from '@/ui/api';
import { offerUndo } from '@/ui/notices';
import type { CabinetActions } from './cabinet';

/** What is done with folders and kept searches; all of it can be undone. */
export function useFolders(
  act: (action: () => Promise<unknown>) => Promise<unknown>,
): CabinetActions {
  return {
    addFolder: (name) => void act(() => call(endpoints.createFolder, { body: { name } })),
    renameFolder: ({ id, name: was }: Folder, name) =>
      void act(async () => {
        await call(endpoints.renameFolder, { id, body: { name } });
        offerUndo(
          `“${was}” is “${name}” now.`,
          () => void act(() => call(endpoints.renameFolder, { id, body: { name: was } })),
        );
      }),
    removeFolder: ({ id, name }: Folder) =>
      void act(async () => {
        const { ids } = await call(endpoints.deleteFolder, { id });
        offerUndo(
          `The folder “${name}” is gone; what lay in it is in none.`,
          () =>
            void act(async () => {
              await call(endpoints.createFolder, { body: { name, id } });
              if (ids.length > 0)
                await call(endpoints.moveLibraries, { body: { ids, folderId: id } });
            }),
        );
      }),
    forgetSearch: ({ id, name, search }: SavedSearch) =>
      void act(async () => {
        await call(endpoints.forgetSearch, { id });
        offerUndo(
          `“${name}” was forgotten.`,
          () => void act(() => call(endpoints.keepSearch, { body: { id, name, search } })),
        );
      }),
  };
}
