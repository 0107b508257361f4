'use client';

import { z } from 'zod';
import type { Folder, SavedSearch } from '@/contracts/library-search';
import { call, nothing } from '@/ui/api';
import { offerUndo } from '@/ui/notices';
import type { CabinetActions } from './cabinet';

const made = z.object({ id: z.string() });
const loosened = z.object({ ids: z.array(z.string()) });

/** What is done with folders and kept searches; all of it can be undone. */
export function useFolders(
  act: (action: () => Promise<unknown>) => Promise<unknown>,
): CabinetActions {
  return {
    addFolder: (name) => void act(() => call('POST', '/api/drawers/folders', made, { name })),
    renameFolder: ({ id, name: was }: Folder, name) =>
      void act(async () => {
        await call('PUT', `/api/drawers/folders/${id}`, nothing, { name });
        offerUndo(
          `“${was}” is “${name}” now.`,
          () => void act(() => call('PUT', `/api/drawers/folders/${id}`, nothing, { name: was })),
        );
      }),
    removeFolder: ({ id, name }: Folder) =>
      void act(async () => {
        const { ids } = await call('DELETE', `/api/drawers/folders/${id}`, loosened);
        offerUndo(
          `The folder “${name}” is gone; what lay in it is in none.`,
          () =>
            void act(async () => {
              await call('POST', '/api/drawers/folders', made, { name, id });
              if (ids.length > 0)
                await call('PATCH', '/api/drawers/folders', nothing, { ids, folderId: id });
            }),
        );
      }),
    forgetSearch: ({ id, name, search }: SavedSearch) =>
      void act(async () => {
        await call('DELETE', `/api/drawers/searches/${id}`, nothing);
        offerUndo(
          `“${name}” was forgotten.`,
          () => void act(() => call('POST', '/api/drawers/searches', made, { id, name, search })),
        );
      }),
  };
}
