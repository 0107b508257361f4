import { getShelf, listShelfHistory, saveShelf, SHELF_ID, shelfRevisions } from '../shelf/shelf';
import type { Handlers } from './handler';

export const shelfHandlers = {
  getShelf: () => getShelf(),
  saveShelf: ({ body }) => saveShelf(body.basedOn, body.content),
  listShelfHistory: () => listShelfHistory(),
  getShelfRevision: ({ params }) => shelfRevisions.get(SHELF_ID, params.revision),
} satisfies Partial<Handlers>;
