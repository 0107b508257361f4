import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { KeptThing, Restored, RestoreOrder } from '@/contracts/keep';
import { database } from '../db/client';
import type { Database } from '../db/open';
import { rows } from '../db/rows';
import { pictureBytes } from '../db/schema';
import { indexStale } from '../libraries/libraries';
import type { Rendition } from '@/contracts/pictures';
import type { Archive } from './archive';
import { groupBy, standingsOf } from './standing';
import { columnsOf, picturePath, type Row } from './tables';

type Writer = Pick<Database, 'execute' | 'insert'>;

const BESIDE = ', from the backup';
/** Rows handed over in one statement. */
const AT_ONCE = 200;

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
  const restored = await db.transaction(async (tx) => {
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
      left: studies.left + libraries.left,
    };
  });
  await indexStale();
  return restored;
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
  tx: Writer,
  archive: Archive,
  ids: ReadonlyMap<string, string>,
): Promise<number> {
  const studies = (await archive.rows('study')).filter((row) => ids.has(String(row.id)));
  const needed = new Set(studies.map((row) => row.picture_id));
  const pictureIds = new Map<unknown, unknown>();
  let pictures = 0;
  for (const row of await archive.rows('picture')) {
    if (!needed.has(row.id)) continue;
    const [here] = await rows<{ id: string }>(
      sql`select id from picture where hash = ${row.hash}`,
      tx,
    );
    if (here) {
      pictureIds.set(row.id, here.id);
      continue;
    }
    const [taken] = await rows<{ id: string }>(
      sql`select id from picture where id = ${row.id}`,
      tx,
    );
    const id = taken ? randomUUID() : String(row.id);
    pictureIds.set(row.id, id);
    await put(tx, 'picture', [{ ...row, id }]);
    const bytes = (rendition: Rendition) => archive.bytes(picturePath(String(row.hash), rendition));
    await tx.insert(pictureBytes).values({
      pictureId: id,
      original: await bytes('original'),
      working: await bytes('working'),
      thumbnail: await bytes('thumbnail'),
    });
    pictures++;
  }
  const moved = (row: Row) => ids.get(String(row.id)) !== row.id;
  await put(
    tx,
    'study',
    studies.map((row) => {
      const title = moved(row) ? beside(String(row.title)) : row.title;
      return {
        ...row,
        id: ids.get(String(row.id)),
        title,
        document: { ...(row.document as Row), title },
        picture_id: pictureIds.get(row.picture_id),
      };
    }),
  );
  for (const table of ['study_revision', 'reading', 'wheel_reading'] as const)
    await put(tx, table, remapped(await archive.rows(table), 'study_id', ids));
  return pictures;
}

async function restoreLibraries(
  tx: Writer,
  archive: Archive,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const libraries = (await archive.rows('library')).filter((row) => ids.has(String(row.id)));
  const folders = groupBy(await archive.rows('folder'), 'id');
  for (const id of new Set(libraries.map((row) => row.folder_id)))
    await put(tx, 'folder', folders.get(String(id)) ?? [], true);
  const studies = new Set(
    (await rows<{ id: string }>(sql`select id from study`, tx)).map(({ id }) => id),
  );
  await put(
    tx,
    'library',
    libraries.map((row) => {
      const id = ids.get(String(row.id));
      return {
        ...row,
        id,
        // One that got another name is found by other words.
        indexed: id === row.id ? row.indexed : 0,
        name: id === row.id ? row.name : beside(String(row.name)),
        study_id: studies.has(String(row.study_id)) ? row.study_id : null,
      };
    }),
  );
  for (const table of ['library_revision', 'swatch', 'tag'] as const)
    await put(tx, table, remapped(await archive.rows(table), 'library_id', ids));
}

/** Folders, searches and guesses that are not here; settings where none were made. */
async function restoreRest(tx: Writer, archive: Archive): Promise<void> {
  await put(tx, 'folder', await archive.rows('folder'), true);
  await put(tx, 'saved_search', await archive.rows('saved_search'), true);
  const studies = new Set(
    (await rows<{ id: string }>(sql`select id from study`, tx)).map(({ id }) => id),
  );
  await put(
    tx,
    'attempt',
    (await archive.rows('attempt')).map((row) => ({
      ...row,
      study_id: studies.has(String(row.study_id)) ? row.study_id : null,
    })),
    true,
  );
  await put(tx, 'setting', await archive.rows('setting'), true);
}

async function replaceSettings(tx: Writer, archive: Archive): Promise<void> {
  const settings = await archive.rows('setting');
  if (settings.length === 0) return;
  await tx.execute(sql`delete from setting`);
  await put(tx, 'setting', settings);
}

async function unbin(
  tx: Writer,
  table: 'study' | 'library',
  ids: readonly string[],
): Promise<void> {
  for (const id of ids)
    await tx.execute(
      sql`update ${sql.identifier(table)} set deleted_at = null where id = ${id}::uuid`,
    );
}

function remapped(list: readonly Row[], key: string, ids: ReadonlyMap<string, string>): Row[] {
  return list.flatMap((row) => {
    const id = ids.get(String(row[key]));
    return id === undefined ? [] : [{ ...row, [key]: id }];
  });
}

/**
 * Writes rows as they are; those whose key is here already are passed over where that may be. Columns that
 * came after the backup get their defaults.
 */
async function put(
  tx: Writer,
  table: string,
  list: readonly Row[],
  quietly = false,
): Promise<void> {
  const columns = sql.join(
    columnsOf(table)
      .filter((column) => list.some((row) => column in row))
      .map((column) => sql.identifier(column)),
    sql`, `,
  );
  for (let from = 0; from < list.length; from += AT_ONCE)
    await tx.execute(sql`
      insert into ${sql.identifier(table)} (${columns})
      select ${columns} from jsonb_populate_recordset(null::${sql.identifier(table)}, ${JSON.stringify(list.slice(from, from + AT_ONCE))}::jsonb)
      ${quietly ? sql`on conflict do nothing` : sql``}`);
}

function beside(name: string): string {
  return `${name.slice(0, 200 - BESIDE.length).replace(/[\ud800-\udbff]$/, '')}${BESIDE}`;
}
