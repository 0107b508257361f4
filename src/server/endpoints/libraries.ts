import { z } from 'zod';
import { formatById } from '@/core/formats/formats';
import { csvColumnsSchema, MAX_FILE_BYTES } from '@/contracts/library-files';
import { notFound, ServiceError } from '../errors';
import {
  addLibrary,
  deleteLibrary,
  duplicateLibrary,
  getLibrary,
  listLibraries,
  restoreLibrary,
  saveLibrary,
} from '../libraries/libraries';
import { libraryRevisions, listLibraryHistory } from '../libraries/library-history';
import { setFavourite } from '../libraries/order';
import { exportLibraries, exportLibrary, previewFile } from '../libraries/transfer';
import { printLibrary } from '../print/prints';
import { download, fileNameOf, readBody } from '../respond';
import { sharePage } from '../share/share';
import type { Handlers } from './handler';

const tooLarge = () =>
  new ServiceError('too-many-bytes', 'The file is larger than 64 MB. Nothing was stored.', 413);

function formatNamed(id: string) {
  const format = formatById(id);
  if (!format) throw notFound('format');
  return format;
}

export const libraryHandlers = {
  listLibraries: () => listLibraries(),
  createLibrary: ({ body }) => addLibrary(body),
  getLibrary: ({ params }) => getLibrary(params.id),
  saveLibrary: ({ params, body }) => saveLibrary(params.id, body.basedOn, body.content),
  deleteLibrary: ({ params }) => deleteLibrary(params.id),
  restoreLibrary: ({ params }) => restoreLibrary(params.id),
  duplicateLibrary: ({ params }) => duplicateLibrary(params.id),
  setFavourite: ({ params, body }) => setFavourite(params.id, body.favourite),
  listLibraryHistory: ({ params }) => listLibraryHistory(params.id),
  getLibraryRevision: ({ params }) => libraryRevisions.get(params.id, params.revision),

  async readLibraryFile({ query, request }) {
    const bytes = await readBody(request, MAX_FILE_BYTES, tooLarge);
    const columns =
      query.columns === undefined ? undefined : csvColumnsSchema.parse(JSON.parse(query.columns));
    return previewFile(fileNameOf(request, ''), bytes, columns);
  },

  async exportLibrary({ params, query }) {
    const format = formatNamed(query.format);
    const { bytes, fileName } = await exportLibrary(params.id, format);
    return download(bytes, format.mediaType, fileName);
  },

  async exportLibraries({ query: { format, ids } }) {
    const chosen = ids === undefined ? null : z.array(z.uuid()).parse(ids.split(','));
    const bytes = await exportLibraries(chosen, formatNamed(format));
    return download(bytes, 'application/zip', 'Swatch libraries.zip');
  },

  async printLibrary({ params, query }) {
    const { bytes, fileName } = await printLibrary(params.id, query.paper);
    return download(bytes, 'application/pdf', fileName);
  },

  async shareLibrary({ params }) {
    const { bytes, fileName } = await sharePage(params.id);
    return download(bytes, 'text/html', fileName);
  },
} satisfies Partial<Handlers>;
