import { sql } from 'drizzle-orm';
import { database } from '../db/client';
import { keysOf, TABLES, type Row } from '../keep/tables';

/** The rows of each table, in the order of its keys. */
export async function allRows(): Promise<Record<string, Row[]>> {
  const db = await database();
  const tables: Record<string, Row[]> = {};
  for (const table of TABLES) {
    const order = sql.join(
      keysOf(table).map((key) => sql.identifier(key)),
      sql`, `,
    );
    const answer = (await db.execute(
      sql`select to_jsonb(t) as row from ${sql.identifier(table)} t order by ${order}`,
    )) as unknown as { rows: { row: Row }[] };
    tables[table] = answer.rows.map(({ row }) => row);
  }
  return tables;
}

/** Leaves nothing in the store. */
export async function wipe(): Promise<void> {
  const db = await database();
  const tables = ['picture_bytes', 'desk_answers', ...TABLES].map((name) => sql.identifier(name));
  await db.execute(sql`truncate ${sql.join(tables, sql`, `)}`);
}
