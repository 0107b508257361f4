import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Rendition } from '@/contracts/pictures';
import { rows } from '../db/rows';
import { pictureBytes } from '../db/schema';
import { damaged, type Archive } from './archive';
import { sha256 } from './backup';
import { put, type RowWriter } from './put-rows';
import { picturePath } from './tables';

/** Pictures of a backup that are needed and not here yet. Answers what each is called here, and how many were new. */
export async function restorePictures(
  tx: RowWriter,
  archive: Archive,
  needed: ReadonlySet<unknown>,
): Promise<{ pictureIds: Map<unknown, unknown>; pictures: number }> {
  const pictureIds = new Map<unknown, unknown>();
  let pictures = 0;
  for await (const row of archive.rows('picture')) {
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
    const original = await bytes('original');
    if (sha256(original) !== row.hash)
      throw damaged([`the picture “${String(row.name)}” is not the one that it is called by`]);
    await tx.insert(pictureBytes).values({
      pictureId: id,
      original,
      working: await bytes('working'),
      thumbnail: await bytes('thumbnail'),
    });
    pictures++;
  }
  return { pictureIds, pictures };
}
