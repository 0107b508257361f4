import { sql } from 'drizzle-orm';
import { readPattern } from '@/contracts/pattern';
import { rows } from '../db/rows';
import { damaged, type Archive } from './archive';
import { put, remapped, type RowWriter } from './put-rows';

/** Patterns that are not here, with their drawings and history; those that are stay as they are. */
export async function restorePatterns(tx: RowWriter, archive: Archive): Promise<void> {
  const here = new Set(
    (await rows<{ id: string }>(sql`select id from pattern`, tx)).map(({ id }) => id),
  );
  const drawn = new Set<string>();
  for await (const { pattern_id, hash } of archive.rows('pattern_drawing'))
    drawn.add(`${String(pattern_id)} ${String(hash)}`);
  const ids = new Map<string, string>();
  for await (const row of archive.rows('pattern')) {
    const id = String(row.id);
    if (here.has(id)) continue;
    const { title, drawing } = readPattern(row.content);
    if (!drawn.has(`${id} ${drawing}`)) throw damaged([`the pattern “${title}” has no drawing`]);
    ids.set(id, id);
  }
  for (const [table, key] of [
    ['pattern', 'id'],
    ['pattern_drawing', 'pattern_id'],
    ['pattern_revision', 'pattern_id'],
  ] as const)
    await put(tx, table, remapped(archive.rows(table), key, ids));
}
