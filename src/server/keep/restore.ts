import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { cutText } from '@/core/text';
import { readCourses } from '@/contracts/courses';
import { readShelf } from '@/contracts/shelf';
import type { KeptThing, Restored, RestoreOrder } from '@/contracts/keep';
import { database } from '../db/client';
import { rows } from '../db/rows';
import { indexStale } from '../libraries/libraries';
import type { Archive } from './archive';
import type { Writer as DocumentWriter } from '../documents/revisions';
import { addCourses } from '../courses/courses';
import { addToShelf } from '../shelf/shelf';
import { refreshReading } from '../readings/refresh';
import { mapped, put, remapped, type RowWriter } from './put-rows';
import { restorePatterns } from './restore-patterns';
import { restorePictures } from './restore-pictures';
import { restoreSessions } from './restore-sessions';
import { studiesWithWholeReadings } from './restored-readings';
import { standingsOf } from './standing';
import type { Row } from './tables';

const BESIDE = ', from the backup';

/**
 * Restores the chosen parts of a backup, all or nothing. What is here already is left as it is; what differs is left
 * alone or laid beside, as the order says; nothing that is here is ever overwritten. Pictures are known by content.
 */
export async function restore(
  archive: Archive,
  order: Omit<RestoreOrder, 'token'>,
): Promise<Restored> {
  const standings = await standingsOf(archive);
  const studies = plan(standings.studies, new Set(order.studies), order.differing);
  const libraries = plan(standings.libraries, new Set(order.libraries), order.differing);
  const db = await database();
  const { studyIds: restoredStudies, ...restored } = await db.transaction(async (tx) => {
    const pictures = await restoreStudies(tx, archive, studies.ids);
    await restoreLibraries(tx, archive, libraries.ids);
    await unbin(tx, 'study', studies.binned);
    await unbin(tx, 'library', libraries.binned);
    if (order.rest) await restoreRest(tx, archive);
    if (order.settings) await replaceSettings(tx, archive);
    return {
      studies: studies.ids.size + studies.binned.length,
      libraries: libraries.ids.size + libraries.binned.length,
      pictures,
      studyIds: [...studies.ids.values()],
      left: studies.left + libraries.left,
    };
  });
  await indexStale();
  // No backup holds all that a reading is made of.
  void readAnew(restoredStudies);
  return restored;
}

/** One after another: nobody waits for it, and who looks at a study first has it read at once. */
async function readAnew(ids: readonly string[]): Promise<void> {
  for (const id of ids) await refreshReading(id).catch((error) => console.error(error));
}

interface Plan {
  /** What is to be written, each under the id that it gets here. */
  ids: Map<string, string>;
  binned: string[];
  left: number;
}

function plan(
  things: readonly KeptThing[],
  wanted: ReadonlySet<string>,
  differing: RestoreOrder['differing'],
): Plan {
  const ids = new Map<string, string>();
  const binned: string[] = [];
  let left = 0;
  for (const { id, standing } of things) {
    if (!wanted.has(id)) continue;
    if (standing === 'new') ids.set(id, id);
    else if (standing === 'binned') binned.push(id);
    else if (standing === 'differs') {
      if (differing === 'both') ids.set(id, randomUUID());
      else left++;
    }
  }
  return { ids, binned, left };
}

async function restoreStudies(
  tx: RowWriter,
  archive: Archive,
  ids: ReadonlyMap<string, string>,
): Promise<number> {
  const needed = new Set<unknown>();
  for await (const row of archive.rows('study'))
    if (ids.has(String(row.id))) needed.add(row.picture_id);
  const { pictureIds, pictures } = await restorePictures(tx, archive, needed);
  await put(
    tx,
    'study',
    mapped(archive.rows('study'), (row) => {
      const id = ids.get(String(row.id));
      if (id === undefined) return null;
      const title = id === row.id ? row.title : beside(String(row.title));
      const document = { ...(row.document as Row), title };
      return { ...row, id, title, document, picture_id: pictureIds.get(row.picture_id) };
    }),
  );
  await put(tx, 'study_revision', remapped(archive.rows('study_revision'), 'study_id', ids));
  const whole = await studiesWithWholeReadings(archive);
  const read = new Map([...ids].filter(([id]) => whole.has(id)));
  for (const table of ['reading', 'wheel_reading'] as const)
    await put(tx, table, remapped(archive.rows(table), 'study_id', read));
  return pictures;
}

async function restoreLibraries(
  tx: RowWriter,
  archive: Archive,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const folders = new Set<unknown>();
  for await (const row of archive.rows('library'))
    if (ids.has(String(row.id))) folders.add(row.folder_id);
  await put(
    tx,
    'folder',
    mapped(archive.rows('folder'), (row) => (folders.has(row.id) ? row : null)),
    true,
  );
  const studies = await studyIds(tx);
  await put(
    tx,
    'library',
    mapped(archive.rows('library'), (row) => {
      const id = ids.get(String(row.id));
      if (id === undefined) return null;
      return {
        ...row,
        id,
        // What it is found by follows from it and its study, which may be another one here.
        indexed: id === row.id && row.study_id === null ? row.indexed : 0,
        name: id === row.id ? row.name : beside(String(row.name)),
        study_id: studies.has(String(row.study_id)) ? row.study_id : null,
      };
    }),
  );
  for (const table of ['library_revision', 'swatch', 'tag'] as const)
    await put(tx, table, remapped(archive.rows(table), 'library_id', ids));
}

/** Folders, searches, guesses, answers of practice, materials, courses, patterns and sessions that are not here; settings where none were made. */
async function restoreRest(tx: DocumentWriter, archive: Archive): Promise<void> {
  await put(tx, 'folder', archive.rows('folder'), true);
  await put(tx, 'saved_search', archive.rows('saved_search'), true);
  const studies = await studyIds(tx);
  await put(
    tx,
    'attempt',
    mapped(archive.rows('attempt'), (row) => ({
      ...row,
      study_id: studies.has(String(row.study_id)) ? row.study_id : null,
    })),
    true,
  );
  await put(tx, 'drill_answer', archive.rows('drill_answer'), true);
  await put(tx, 'setting', archive.rows('setting'), true);
  await restoreSingle(tx, archive, 'shelf', async (content) => addToShelf(tx, readShelf(content)));
  await restoreSingle(tx, archive, 'courses', async (content) =>
    addCourses(tx, readCourses(content)),
  );
  await restorePatterns(tx, archive);
  await restoreSessions(tx, archive, studies);
}

/** A document of which a store has one: whole with its history where none is here, else what it has and the one here lacks. */
async function restoreSingle(
  tx: DocumentWriter,
  archive: Archive,
  table: 'shelf' | 'courses',
  add: (content: unknown) => Promise<void>,
): Promise<void> {
  const here = await rows<{ id: string }>(sql`select id from ${sql.identifier(table)}`, tx);
  if (here.length === 0) {
    await put(tx, table, archive.rows(table));
    await put(tx, `${table}_revision`, archive.rows(`${table}_revision`));
    return;
  }
  for await (const row of archive.rows(table)) await add(row.content);
}

async function studyIds(tx: RowWriter): Promise<Set<string>> {
  return new Set((await rows<{ id: string }>(sql`select id from study`, tx)).map(({ id }) => id));
}

async function replaceSettings(tx: RowWriter, archive: Archive): Promise<void> {
  const settings: Row[] = [];
  for await (const row of archive.rows('setting')) settings.push(row);
  if (settings.length === 0) return;
  await tx.execute(sql`delete from setting`);
  await put(tx, 'setting', settings);
}

async function unbin(
  tx: RowWriter,
  table: 'study' | 'library',
  ids: readonly string[],
): Promise<void> {
  for (const id of ids)
    await tx.execute(
      sql`update ${sql.identifier(table)} set deleted_at = null where id = ${id}::uuid`,
    );
}

function beside(name: string): string {
  return `${cutText(name, 200 - BESIDE.length)}${BESIDE}`;
}
