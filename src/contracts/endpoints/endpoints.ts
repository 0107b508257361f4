import { z } from 'zod';
import { attemptSchema, recordSchema } from '../attempt';
import { importEventSchema } from '../picture-import';
import { oklabSchema } from '../colour';
import { demoEventSchema } from '../demo';
import {
  backupLookSchema,
  checkSchema,
  copySchema,
  restoredSchema,
  restoreOrderSchema,
} from '../keep';
import {
  binnedLibrarySchema,
  createLibrarySchema,
  libraryCardSchema,
  libraryContentSchema,
  libraryRevisionSchema,
  librarySchema,
  neighboursSchema,
  savedLibrarySchema,
  saveLibrarySchema,
} from '../library';
import {
  facetsSchema,
  folderNameSchema,
  folderSchema,
  libraryCountsSchema,
  librarySearchSchema,
  savedSearchSchema,
  searchAnswerSchema,
  searchRequestSchema,
} from '../library-search';
import { RENDITIONS } from '../pictures';
import { paperSchema } from '../print';
import { pushEventSchema, pushRequestSchema } from '../push-request';
import { settingsSchema } from '../settings';
import {
  createStudySchema,
  renameSchema,
  saveStudySchema,
  studyCardSchema,
  studyDocumentSchema,
  studySchema,
} from '../study';
import { studyRevisionSchema } from '../study-history';
import { readFileSchema } from '../library-files';
import { created, empty, file, json, lines, type Endpoint } from './endpoint';

const made = z.object({ id: z.string() });
const paperQuery = z.object({ paper: paperSchema.default('a4') });
const revision = z.coerce.number().int();
const revisionAnswer = z.object({ revision: z.number().int(), updatedAt: z.string() });

const studies = {
  listStudies: { method: 'GET', path: '/api/studies', answer: json(z.array(studyCardSchema)) },
  createStudy: {
    method: 'POST',
    path: '/api/studies',
    body: createStudySchema,
    answer: created(made),
  },
  getStudy: { method: 'GET', path: '/api/studies/:id', what: 'study', answer: json(studySchema) },
  saveStudy: {
    method: 'PUT',
    path: '/api/studies/:id',
    what: 'study',
    body: saveStudySchema,
    answer: json(revisionAnswer),
  },
  renameStudy: {
    method: 'PATCH',
    path: '/api/studies/:id',
    what: 'study',
    body: renameSchema,
    answer: empty,
  },
  deleteStudy: { method: 'DELETE', path: '/api/studies/:id', what: 'study', answer: empty },
  restoreStudy: { method: 'POST', path: '/api/studies/:id/restore', what: 'study', answer: empty },
  listStudyHistory: {
    method: 'GET',
    path: '/api/studies/:id/history',
    what: 'study',
    answer: json(z.array(studyRevisionSchema)),
  },
  getStudyRevision: {
    method: 'GET',
    path: '/api/studies/:id/history/:revision',
    what: 'state of the study',
    params: { revision },
    answer: json(studyDocumentSchema),
  },
  printStudy: {
    method: 'GET',
    path: '/api/studies/:id/sheet',
    what: 'study',
    query: paperQuery,
    answer: file,
  },
  /** The study's picture at its own size with its quiet colours pushed: each step, then the PNG piece by piece. */
  pushStudy: {
    method: 'POST',
    path: '/api/studies/:id/pushed',
    what: 'study',
    body: pushRequestSchema,
    answer: lines(pushEventSchema),
  },
} as const satisfies Record<string, Endpoint>;

const pictures = {
  importPicture: {
    method: 'POST',
    path: '/api/pictures',
    body: 'bytes',
    answer: lines(importEventSchema),
  },
  getPicture: {
    method: 'GET',
    path: '/api/pictures/:id/:rendition',
    what: 'picture',
    params: { rendition: z.enum(RENDITIONS) },
    answer: file,
  },
  /** The thumbnail of a picture known by its content. */
  getThumbnail: { method: 'GET', path: '/api/thumbnails/:hash', what: 'picture', answer: file },
  /** A picture to try the first step with. */
  getSample: { method: 'GET', path: '/api/sample', answer: file },
} as const satisfies Record<string, Endpoint>;

const formatQuery = z.object({ format: z.string().default('json') });

const libraries = {
  listLibraries: {
    method: 'GET',
    path: '/api/libraries',
    answer: json(z.array(libraryCardSchema)),
  },
  createLibrary: {
    method: 'POST',
    path: '/api/libraries',
    body: createLibrarySchema,
    answer: created(savedLibrarySchema),
  },
  /** What a file would become; nothing is stored. */
  readLibraryFile: {
    method: 'POST',
    path: '/api/libraries/read',
    query: z.object({ columns: z.string().optional() }),
    body: 'bytes',
    answer: json(z.array(readFileSchema)),
  },
  /** Libraries as one zip: those of `ids`, with commas between, or all. */
  exportLibraries: {
    method: 'GET',
    path: '/api/libraries/zip',
    query: formatQuery.extend({ ids: z.string().optional() }),
    answer: file,
  },
  getLibrary: {
    method: 'GET',
    path: '/api/libraries/:id',
    what: 'library',
    answer: json(librarySchema),
  },
  saveLibrary: {
    method: 'PUT',
    path: '/api/libraries/:id',
    what: 'library',
    body: saveLibrarySchema,
    answer: json(savedLibrarySchema),
  },
  deleteLibrary: { method: 'DELETE', path: '/api/libraries/:id', what: 'library', answer: empty },
  restoreLibrary: {
    method: 'POST',
    path: '/api/libraries/:id/restore',
    what: 'library',
    answer: empty,
  },
  duplicateLibrary: {
    method: 'POST',
    path: '/api/libraries/:id/duplicate',
    what: 'library',
    answer: created(savedLibrarySchema),
  },
  setFavourite: {
    method: 'PUT',
    path: '/api/libraries/:id/favourite',
    what: 'library',
    body: z.object({ favourite: z.boolean() }),
    answer: empty,
  },
  listLibraryHistory: {
    method: 'GET',
    path: '/api/libraries/:id/history',
    what: 'library',
    answer: json(z.array(libraryRevisionSchema)),
  },
  getLibraryRevision: {
    method: 'GET',
    path: '/api/libraries/:id/history/:revision',
    what: 'state of the library',
    params: { revision },
    answer: json(libraryContentSchema),
  },
  exportLibrary: {
    method: 'GET',
    path: '/api/libraries/:id/file',
    what: 'library',
    query: formatQuery,
    answer: file,
  },
  printLibrary: {
    method: 'GET',
    path: '/api/libraries/:id/card',
    what: 'library',
    query: paperQuery,
    answer: file,
  },
  shareLibrary: {
    method: 'GET',
    path: '/api/libraries/:id/page',
    what: 'library',
    answer: file,
  },
} as const satisfies Record<string, Endpoint>;

const drawers = {
  searchLibraries: {
    method: 'POST',
    path: '/api/drawers/search',
    body: searchRequestSchema,
    answer: json(searchAnswerSchema),
  },
  countFacets: {
    method: 'POST',
    path: '/api/drawers/facets',
    body: librarySearchSchema,
    answer: json(facetsSchema),
  },
  countLibraries: {
    method: 'GET',
    path: '/api/drawers/counts',
    answer: json(libraryCountsSchema),
  },
  findNeighbours: {
    method: 'POST',
    path: '/api/drawers/neighbours',
    body: z.object({ libraryId: z.uuid(), swatchId: z.string().max(40), colour: oklabSchema }),
    answer: json(neighboursSchema),
  },
  orderLibrary: {
    method: 'PUT',
    path: '/api/drawers/order',
    body: z.object({ id: z.uuid(), before: z.uuid().nullable() }),
    answer: empty,
  },
  listFolders: { method: 'GET', path: '/api/drawers/folders', answer: json(z.array(folderSchema)) },
  createFolder: {
    method: 'POST',
    path: '/api/drawers/folders',
    body: z.object({ name: folderNameSchema, id: z.uuid().optional() }),
    answer: created(made),
  },
  /** Lays libraries into a folder, or out of any. */
  moveLibraries: {
    method: 'PATCH',
    path: '/api/drawers/folders',
    body: z.object({ ids: z.array(z.uuid()).max(5000), folderId: z.uuid().nullable() }),
    answer: empty,
  },
  renameFolder: {
    method: 'PUT',
    path: '/api/drawers/folders/:id',
    what: 'folder',
    body: z.object({ name: folderNameSchema }),
    answer: empty,
  },
  /** Answers which libraries lay in it. */
  deleteFolder: {
    method: 'DELETE',
    path: '/api/drawers/folders/:id',
    what: 'folder',
    answer: json(z.object({ ids: z.array(z.string()) })),
  },
  listSearches: {
    method: 'GET',
    path: '/api/drawers/searches',
    answer: json(z.array(savedSearchSchema)),
  },
  keepSearch: {
    method: 'POST',
    path: '/api/drawers/searches',
    body: z.object({
      name: z.string().trim().min(1, 'A search needs a name.').max(100),
      search: librarySearchSchema,
      id: z.uuid().optional(),
    }),
    answer: created(made),
  },
  forgetSearch: {
    method: 'DELETE',
    path: '/api/drawers/searches/:id',
    what: 'search',
    answer: empty,
  },
  listBin: { method: 'GET', path: '/api/drawers/bin', answer: json(z.array(binnedLibrarySchema)) },
  removeForGood: { method: 'DELETE', path: '/api/drawers/bin/:id', what: 'library', answer: empty },
} as const satisfies Record<string, Endpoint>;

const keep = {
  getBackup: { method: 'GET', path: '/api/keep/backup', answer: file },
  /** Takes a backup in and says what it holds; nothing is restored. */
  receiveBackup: {
    method: 'POST',
    path: '/api/keep/receive',
    body: 'bytes',
    answer: json(backupLookSchema),
  },
  restoreBackup: {
    method: 'POST',
    path: '/api/keep/restore',
    body: restoreOrderSchema,
    answer: json(restoredSchema),
  },
  checkStore: { method: 'POST', path: '/api/keep/check', answer: json(checkSchema) },
  listCopies: { method: 'GET', path: '/api/keep/copies', answer: json(z.array(copySchema)) },
  makeCopy: { method: 'POST', path: '/api/keep/copies', answer: created(copySchema) },
  getCopy: { method: 'GET', path: '/api/keep/copies/:name', what: 'copy', answer: file },
} as const satisfies Record<string, Endpoint>;

const rest = {
  guessRecord: { method: 'GET', path: '/api/attempts', answer: json(recordSchema) },
  keepAttempt: {
    method: 'POST',
    path: '/api/attempts',
    body: attemptSchema,
    answer: json(recordSchema),
  },
  getSettings: { method: 'GET', path: '/api/settings', answer: json(settingsSchema) },
  saveSettings: { method: 'PUT', path: '/api/settings', body: settingsSchema, answer: empty },
  /** Starts the demo again: a line before each study and one at the end. */
  startDemo: { method: 'POST', path: '/api/demo', answer: lines(demoEventSchema) },
} as const satisfies Record<string, Endpoint>;

/**
 * Every address of the server but its pages. Route handlers (`server/endpoints`) and the client
 * (`ui/api`) are made from this table.
 */
export const endpoints = { ...studies, ...pictures, ...libraries, ...drawers, ...keep, ...rest };
export type Endpoints = typeof endpoints;
export type EndpointName = keyof Endpoints;
