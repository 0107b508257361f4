import { z } from 'zod';
import { attemptSchema, recordSchema } from '../attempt';
import { importEventSchema } from '../picture-import';
import { oklabSchema } from '../colour';
import { demoEventSchema } from '../demo';
import { classRoundQuery } from '../class-round';
import { drawingsSchema } from '../drawing';
import {
  backupLookSchema,
  checkSchema,
  copySchema,
  storeStateSchema,
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
import { drawingHashSchema, patternContentSchema } from '../pattern';
import {
  binnedPatternSchema,
  filledSchema,
  fillRequestSchema,
  patternCardSchema,
  patternRevisionSchema,
  patternSchema,
  savePatternSchema,
  sheetRequestSchema,
  zipRequestSchema,
} from '../pattern-drawing';
import { RENDITIONS } from '../pictures';
import { drillAnswersSchema, practiceRecordSchema } from '../practice';
import { paperSchema } from '../print';
import { platesRequestSchema } from '../plates-request';
import { madeRequestSchema } from '../made-request';
import { pictureEventSchema } from '../picture-events';
import { pushRequestSchema } from '../push-request';
import { settingsSchema } from '../settings';
import { idSchema } from '../palette';
import {
  beginSessionSchema,
  binnedSessionSchema,
  loggedSessionSchema,
  saveSessionSchema,
  sessionSchema,
  snapshotAnswerSchema,
} from '../session';
import { saveShelfSchema, shelfContentSchema, shelfRevisionSchema, shelfSchema } from '../shelf';
import {
  createStudySchema,
  renameSchema,
  saveStudySchema,
  studyDocumentSchema,
  studySchema,
  MAX_REVISION,
} from '../study';
import { studyRevisionSchema } from '../study-history';
import { foundStudiesSchema, studyPageSchema } from '../study-search';
import {
  coursesContentSchema,
  coursesRevisionSchema,
  coursesSchema,
  namedStudySchema,
  nameStudiesSchema,
  saveCoursesSchema,
} from '../courses';
import { readFileSchema } from '../library-files';
import { created, del, empty, file, get, json, lines, patch, post, put } from './endpoint';
import { text } from '../text';

const made = z.object({ id: z.string() });
const paperQuery = z.object({ paper: paperSchema.default('a4') });
const revision = z.coerce.number().int().min(1).max(MAX_REVISION);
const revisionAnswer = z.object({ revision: z.number().int(), updatedAt: z.string() });

const studies = {
  searchStudies: get('/api/studies', json(foundStudiesSchema), { query: studyPageSchema }),
  createStudy: post('/api/studies', created(made), { body: createStudySchema }),
  getStudy: get('/api/studies/:id', json(studySchema)),
  saveStudy: put('/api/studies/:id', json(revisionAnswer), { body: saveStudySchema }),
  renameStudy: patch('/api/studies/:id', empty, { body: renameSchema }),
  deleteStudy: del('/api/studies/:id', empty),
  restoreStudy: post('/api/studies/:id/restore', empty),
  listStudyHistory: get('/api/studies/:id/history', json(z.array(studyRevisionSchema))),
  getStudyRevision: get('/api/studies/:id/history/:revision', json(studyDocumentSchema), {
    params: { revision },
  }),
  printStudy: get('/api/studies/:id/sheet', file, { query: paperQuery }),
  /** The study's picture at its own size with its quiet colours pushed: each step, then the PNG piece by piece. */
  pushStudy: post('/api/studies/:id/pushed', lines(pictureEventSchema), {
    body: pushRequestSchema,
    reads: true,
  }),
  /** The same in other colours, another mood, with masses changed or in one key. */
  makeStudy: post('/api/studies/:id/made', lines(pictureEventSchema), {
    body: madeRequestSchema,
    reads: true,
  }),
  /** The study's picture as plates for some inks, with their PDF and the proof, as a zip. */
  printPlates: post('/api/studies/:id/plates', file, { body: platesRequestSchema, reads: true }),
};

const pictures = {
  importPicture: post('/api/pictures', lines(importEventSchema), { body: 'bytes' }),
  getPicture: get('/api/pictures/:id/:rendition', file, {
    params: { rendition: z.enum(RENDITIONS) },
  }),
  /** The thumbnail of a picture known by its content. */
  getThumbnail: get('/api/thumbnails/:hash', file),
  /** A picture to try the first step with. */
  getSample: get('/api/sample', file),
};

const formatQuery = z.object({ format: z.string().default('json') });

const libraries = {
  listLibraries: get('/api/libraries', json(z.array(libraryCardSchema))),
  createLibrary: post('/api/libraries', created(savedLibrarySchema), { body: createLibrarySchema }),
  /** What a file would become; nothing is stored. */
  readLibraryFile: post('/api/libraries/read', json(z.array(readFileSchema)), {
    query: z.object({ columns: z.string().optional() }),
    body: 'bytes',
    reads: true,
  }),
  /** Libraries as one zip: those of `ids`, with commas between, or all. */
  exportLibraries: get('/api/libraries/zip', file, {
    query: formatQuery.extend({ ids: z.string().optional() }),
  }),
  getLibrary: get('/api/libraries/:id', json(librarySchema)),
  saveLibrary: put('/api/libraries/:id', json(savedLibrarySchema), { body: saveLibrarySchema }),
  deleteLibrary: del('/api/libraries/:id', empty),
  restoreLibrary: post('/api/libraries/:id/restore', empty),
  duplicateLibrary: post('/api/libraries/:id/duplicate', created(savedLibrarySchema)),
  setFavourite: put('/api/libraries/:id/favourite', empty, {
    body: z.object({ favourite: z.boolean() }),
  }),
  listLibraryHistory: get('/api/libraries/:id/history', json(z.array(libraryRevisionSchema))),
  getLibraryRevision: get('/api/libraries/:id/history/:revision', json(libraryContentSchema), {
    params: { revision },
  }),
  exportLibrary: get('/api/libraries/:id/file', file, { query: formatQuery }),
  printLibrary: get('/api/libraries/:id/card', file, { query: paperQuery }),
  shareLibrary: get('/api/libraries/:id/page', file),
};

const drawers = {
  searchLibraries: post('/api/drawers/search', json(searchAnswerSchema), {
    body: searchRequestSchema,
    reads: true,
  }),
  countFacets: post('/api/drawers/facets', json(facetsSchema), {
    body: librarySearchSchema,
    reads: true,
  }),
  countLibraries: get('/api/drawers/counts', json(libraryCountsSchema)),
  findNeighbours: post('/api/drawers/neighbours', json(neighboursSchema), {
    body: z.object({ libraryId: z.uuid(), swatchId: z.string().max(40), colour: oklabSchema }),
    reads: true,
  }),
  orderLibrary: put('/api/drawers/order', empty, {
    body: z.object({ id: z.uuid(), before: z.uuid().nullable() }),
  }),
  listFolders: get('/api/drawers/folders', json(z.array(folderSchema))),
  createFolder: post('/api/drawers/folders', created(made), {
    body: z.object({ name: folderNameSchema, id: z.uuid().optional() }),
  }),
  /** Moves libraries into a folder, or out of any. */
  moveLibraries: patch('/api/drawers/folders', empty, {
    body: z.object({ ids: z.array(z.uuid()).max(5000), folderId: z.uuid().nullable() }),
  }),
  renameFolder: put('/api/drawers/folders/:id', empty, {
    body: z.object({ name: folderNameSchema }),
  }),
  /** Answers with the libraries that were in it. */
  deleteFolder: del('/api/drawers/folders/:id', json(z.object({ ids: z.array(z.string()) }))),
  listSearches: get('/api/drawers/searches', json(z.array(savedSearchSchema))),
  keepSearch: post('/api/drawers/searches', created(made), {
    body: z.object({
      name: text().trim().min(1, 'A search needs a name.').max(100),
      search: librarySearchSchema,
      id: z.uuid().optional(),
    }),
  }),
  forgetSearch: del('/api/drawers/searches/:id', empty),
  listBin: get('/api/drawers/bin', json(z.array(binnedLibrarySchema))),
  removeForGood: del('/api/drawers/bin/:id', empty),
};

const keep = {
  getBackup: get('/api/keep/backup', file),
  /** Takes a backup in and says what it holds; nothing is restored. */
  receiveBackup: post('/api/keep/receive', json(backupLookSchema), { body: 'bytes' }),
  restoreBackup: post('/api/keep/restore', json(restoredSchema), { body: restoreOrderSchema }),
  checkStore: post('/api/keep/check', json(checkSchema)),
  /** How the keeping goes: what the store takes, what is free, and whether copies fail. */
  getStoreState: get('/api/keep/state', json(storeStateSchema)),
  listCopies: get('/api/keep/copies', json(z.array(copySchema))),
  makeCopy: post('/api/keep/copies', created(copySchema)),
  getCopy: get('/api/keep/copies/:name', file),
};

const shelf = {
  getShelf: get('/api/shelf', json(shelfSchema)),
  saveShelf: put('/api/shelf', json(revisionAnswer), { body: saveShelfSchema }),
  listShelfHistory: get('/api/shelf/history', json(z.array(shelfRevisionSchema))),
  getShelfRevision: get('/api/shelf/history/:revision', json(shelfContentSchema), {
    params: { revision },
  }),
};

const patterns = {
  listPatterns: get('/api/patterns', json(z.array(patternCardSchema))),
  /** A drawing (SVG) or a picture of flat colours (PNG) as a new pattern. */
  importPattern: post('/api/patterns', created(made), { body: 'bytes' }),
  getPattern: get('/api/patterns/:id', json(patternSchema)),
  savePattern: put('/api/patterns/:id', json(revisionAnswer), { body: savePatternSchema }),
  deletePattern: del('/api/patterns/:id', empty),
  restorePattern: post('/api/patterns/:id/restore', empty),
  listPatternHistory: get('/api/patterns/:id/history', json(z.array(patternRevisionSchema))),
  getPatternRevision: get('/api/patterns/:id/history/:revision', json(patternContentSchema), {
    params: { revision },
  }),
  /** A drawing of a pattern, without what could run or be fetched. */
  getDrawing: get('/api/patterns/:id/drawings/:hash', file, {
    params: { hash: drawingHashSchema },
  }),
  /** The picture that a drawing was traced from. */
  getTraced: get('/api/patterns/:id/drawings/:hash/picture', file, {
    params: { hash: drawingHashSchema },
  }),
  /** Fills the regions between a drawing's lines: another drawing of the same pattern. */
  fillRegions: post('/api/patterns/:id/regions', created(filledSchema), {
    body: fillRequestSchema,
  }),
  printColourways: post('/api/patterns/:id/sheet', file, {
    body: sheetRequestSchema,
    reads: true,
  }),
  exportColourways: post('/api/patterns/:id/zip', file, { body: zipRequestSchema, reads: true }),
  listPatternBin: get('/api/pattern-bin', json(z.array(binnedPatternSchema))),
};

const sessions = {
  listSessions: get('/api/sessions', json(z.array(loggedSessionSchema))),
  listStudySessions: get('/api/studies/:id/sessions', json(z.array(sessionSchema))),
  beginSession: post('/api/sessions', created(made), { body: beginSessionSchema }),
  getSession: get('/api/sessions/:id', json(sessionSchema)),
  saveSession: put('/api/sessions/:id', json(revisionAnswer), { body: saveSessionSchema }),
  deleteSession: del('/api/sessions/:id', empty),
  restoreSession: post('/api/sessions/:id/restore', empty),
  listSessionBin: get('/api/session-bin', json(z.array(binnedSessionSchema))),
  /** A snapshot's picture, under the id that its session calls it by. */
  keepSnapshot: put('/api/sessions/:id/snapshots/:snapshot', json(snapshotAnswerSchema), {
    params: { snapshot: idSchema },
    body: 'bytes',
  }),
  getSnapshot: get('/api/sessions/:id/snapshots/:snapshot/:rendition', file, {
    params: { snapshot: idSchema, rendition: z.enum(RENDITIONS) },
  }),
};

const courses = {
  getCourses: get('/api/courses', json(coursesSchema)),
  saveCourses: put('/api/courses', json(revisionAnswer), { body: saveCoursesSchema }),
  listCoursesHistory: get('/api/courses/history', json(z.array(coursesRevisionSchema))),
  getCoursesRevision: get('/api/courses/history/:revision', json(coursesContentSchema), {
    params: { revision },
  }),
  /** Titles, makers and pictures of studies that are known by their ids. */
  nameStudies: post('/api/named-studies', json(z.array(namedStudySchema)), {
    body: nameStudiesSchema,
    reads: true,
  }),
};

const rest = {
  /** Plans as a PDF, each on a page, on the paper of the first. */
  printDrawings: post('/api/prints', file, { body: drawingsSchema, reads: true }),
  guessRecord: get('/api/attempts', json(recordSchema)),
  keepAttempt: post('/api/attempts', json(recordSchema), { body: attemptSchema }),
  /** All that is known of an eye: answers of rounds, guesses, mixtures and checks. */
  practiceRecord: get('/api/practice', json(practiceRecordSchema)),
  keepAnswers: post('/api/practice', empty, { body: drillAnswersSchema }),
  /** The same questions for a class, as a page that runs by itself. */
  getClassRound: get('/api/practice/round', file, { query: classRoundQuery }),
  getSettings: get('/api/settings', json(settingsSchema)),
  saveSettings: put('/api/settings', empty, { body: settingsSchema }),
  /** Starts the demo again: a line before each study and one at the end. */
  startDemo: post('/api/demo', lines(demoEventSchema)),
};

/**
 * Every address of the server but its pages. Route handlers (`server/endpoints`) and the client
 * (`ui/api`) are made from this table.
 */
export const endpoints = {
  ...studies,
  ...pictures,
  ...libraries,
  ...drawers,
  ...keep,
  ...shelf,
  ...patterns,
  ...sessions,
  ...courses,
  ...rest,
};
export type Endpoints = typeof endpoints;
export type EndpointName = keyof Endpoints;
