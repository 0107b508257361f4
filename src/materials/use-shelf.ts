'use client';

import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  readShelf,
  shelfContentSchema,
  shelfSchema,
  type Shelf,
  type ShelfContent,
} from '@/contracts/shelf';
import { call } from '@/ui/api';
import { mergeOf } from '@/ui/sync/merge';
import { savedOf, useSavedDocument, type SavedDocumentStore } from '@/ui/sync/use-saved-document';

export type ShelfStore = SavedDocumentStore<ShelfContent>;

const merge = mergeOf(shelfContentSchema);

/** The shelf as a document that saves itself. */
export const useShelf = (opened: Shelf): ShelfStore =>
  useSavedDocument<ShelfContent>(opened, {
    name: 'shelf',
    save: (basedOn, content, options) =>
      call(endpoints.saveShelf, { body: { basedOn, content } }, options),
    fetch: async () => savedOf(await call(endpoints.getShelf, {})),
    schema: shelfContentSchema,
    read: readShelf,
    merge,
    newer: shelfSchema.transform((shelf) => savedOf(shelf)),
  });
