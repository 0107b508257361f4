import { sql } from 'drizzle-orm';
import { rows } from '../db/rows';
import type { Archive } from './archive';
import { mapped, put, remapped, type RowWriter } from './put-rows';
import { restorePictures } from './restore-pictures';

/** Sessions that are not here and whose study is, with their snapshots and history; those that are stay as they are. */
export async function restoreSessions(
  tx: RowWriter,
  archive: Archive,
  studies: ReadonlySet<string>,
): Promise<void> {
  const here = new Set(
    (await rows<{ id: string }>(sql`select id from session`, tx)).map(({ id }) => id),
  );
  const ids = new Map<string, string>();
  for await (const { id, study_id } of archive.rows('session'))
    if (!here.has(String(id)) && studies.has(String(study_id))) ids.set(String(id), String(id));
  const needed = new Set<unknown>();
  for await (const { session_id, picture_id } of archive.rows('session_snapshot'))
    if (ids.has(String(session_id))) needed.add(picture_id);
  const { pictureIds } = await restorePictures(tx, archive, needed);
  await put(tx, 'session', remapped(archive.rows('session'), 'id', ids));
  await put(
    tx,
    'session_snapshot',
    mapped(archive.rows('session_snapshot'), (row) =>
      ids.has(String(row.session_id))
        ? { ...row, picture_id: pictureIds.get(row.picture_id) }
        : null,
    ),
  );
  await put(tx, 'session_revision', remapped(archive.rows('session_revision'), 'session_id', ids));
}
