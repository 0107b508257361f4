import { listBin, removeForGood } from '../libraries/bin';
import { countFacets } from '../libraries/facets';
import {
  createFolder,
  deleteFolder,
  listFolders,
  moveToFolder,
  renameFolder,
} from '../libraries/folders';
import { countLibraries } from '../libraries/libraries';
import { neighboursOf } from '../libraries/neighbours';
import { placeBefore } from '../libraries/order';
import { forgetSearch, keepSearch, listSearches } from '../libraries/saved-searches';
import { searchLibraries } from '../libraries/search';
import { getSettings } from '../settings/settings';
import type { Handlers } from './handler';

export const drawerHandlers = {
  async searchLibraries({ body: { search, offset, limit } }) {
    const { wheel } = await getSettings();
    return searchLibraries(search, wheel, offset, limit);
  },
  async countFacets({ body }) {
    const { wheel } = await getSettings();
    return countFacets(body, wheel);
  },
  countLibraries: () => countLibraries(),
  findNeighbours: ({ body: { libraryId, swatchId, colour } }) =>
    neighboursOf(libraryId, swatchId, colour),
  orderLibrary: ({ body: { id, before } }) => placeBefore(id, before),
  listFolders: () => listFolders(),
  createFolder: async ({ body: { name, id } }) => ({ id: await createFolder(name, id) }),
  moveLibraries: ({ body: { ids, folderId } }) => moveToFolder(ids, folderId),
  renameFolder: ({ params, body }) => renameFolder(params.id, body.name),
  deleteFolder: async ({ params }) => ({ ids: await deleteFolder(params.id) }),
  listSearches: () => listSearches(),
  keepSearch: async ({ body: { name, search, id } }) => ({
    id: await keepSearch(name, search, id),
  }),
  forgetSearch: ({ params }) => forgetSearch(params.id),
  listBin: () => listBin(),
  removeForGood: ({ params }) => removeForGood(params.id),
} satisfies Partial<Handlers>;
