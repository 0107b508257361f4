import { sql, type SQL } from 'drizzle-orm';
import type { Database } from '../db/open';
import { columnsOf, type Row } from './tables';

export type RowWriter = Pick<Database, 'execute' | 'insert'>;

/** Rows handed over in one statement, and how many characters of them. */
const AT_ONCE = 200;
const MAX_BATCH = 8 * 1024 * 1024;

/** Each row as it is to be written; null leaves it out. */
export async function* mapped(
  list: AsyncIterable<Row>,
  change: (row: Row) => Row | null,
): AsyncGenerator<Row> {
  for await (const row of list) {
    const changed = change(row);
    if (changed) yield changed;
  }
}

export const remapped = (list: AsyncIterable<Row>, key: string, ids: ReadonlyMap<string, string>) =>
  mapped(list, (row) => {
    const id = ids.get(String(row[key]));
    return id === undefined ? null : { ...row, [key]: id };
  });

/**
 * Writes rows as they come; those whose key is here already are passed over where that may be. Columns that
 * came after the backup get their defaults.
 */
export async function put(
  tx: RowWriter,
  table: string,
  list: Iterable<Row> | AsyncIterable<Row>,
  quietly = false,
): Promise<void> {
  let batch: string[] = [];
  let size = 0;
  let columns: SQL | null = null;
  const write = async () => {
    if (batch.length === 0) return;
    await tx.execute(sql`
      insert into ${sql.identifier(table)} (${columns})
      select ${columns} from jsonb_populate_recordset(null::${sql.identifier(table)}, ${`[${batch.join()}]`}::jsonb)
      ${quietly ? sql`on conflict do nothing` : sql``}`);
    batch = [];
    size = 0;
  };
  for await (const row of list) {
    columns ??= sql.join(
      columnsOf(table)
        .filter((column) => column in row)
        .map((column) => sql.identifier(column)),
      sql`, `,
    );
    const text = JSON.stringify(row);
    batch.push(text);
    size += text.length;
    if (batch.length === AT_ONCE || size > MAX_BATCH) await write();
  }
  await write();
}
