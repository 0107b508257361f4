import { getTableName, is } from 'drizzle-orm';
import { getTableConfig, PgTable } from 'drizzle-orm/pg-core';
import * as coursesSchema from '../db/courses-schema';
import * as librarySchema from '../db/library-schema';
import * as patternSchema from '../db/pattern-schema';
import * as practiceSchema from '../db/practice-schema';
import * as schema from '../db/schema';
import * as sessionSchema from '../db/session-schema';
import * as shelfSchema from '../db/shelf-schema';
import type { Rendition } from '@/contracts/pictures';

/** Bytes of pictures stand in a backup as files of their own; what the Desk opens with is made anew. */
const APART: readonly PgTable[] = [schema.pictureBytes, schema.deskAnswers];

const EXPORTS: readonly unknown[] = Object.values({
  ...schema,
  ...librarySchema,
  ...patternSchema,
  ...sessionSchema,
  ...shelfSchema,
  ...coursesSchema,
  ...practiceSchema,
});
const SCHEMAS = EXPORTS.filter(
  (value): value is PgTable => is(value, PgTable) && !APART.includes(value),
);

/** A table as it stands in a backup: what it is called, which columns it has, and which tell its rows apart. */
interface KeptTable {
  name: string;
  table: PgTable;
  columns: readonly string[];
  keys: readonly string[];
  parents: readonly string[];
}

function keptTable(table: PgTable): KeptTable {
  const { name, columns, primaryKeys, foreignKeys } = getTableConfig(table);
  const keys = primaryKeys[0]?.columns ?? columns.filter(({ primary }) => primary);
  return {
    name,
    table,
    columns: columns.map((column) => column.name),
    keys: keys.map((column) => column.name),
    parents: foreignKeys
      .map((key) => getTableName(key.reference().foreignTable))
      .filter((parent) => parent !== name),
  };
}

/** Parents before their children, else by name. */
function inOrder(tables: readonly KeptTable[]): KeptTable[] {
  const left = [...tables].sort((one, other) => (one.name < other.name ? -1 : 1));
  const ordered: KeptTable[] = [];
  while (left.length > 0) {
    const at = left.findIndex(({ parents }) =>
      parents.every((parent) => ordered.some(({ name }) => name === parent)),
    );
    if (at < 0) throw new Error('tables refer to each other in a circle');
    ordered.push(...left.splice(at, 1));
  }
  return ordered;
}

const KEPT = inOrder(SCHEMAS.map(keptTable));
const BY_NAME = new Map(KEPT.map((table) => [table.name, table]));

/** Every table that a backup holds, parents before their children. */
export const TABLES: readonly string[] = KEPT.map(({ name }) => name);

function kept(table: string): KeptTable {
  const found = BY_NAME.get(table);
  if (!found) throw new Error(`there is no table ${table}`);
  return found;
}

/** The columns that tell one row of a table from all others. */
export const keysOf = (table: string) => kept(table).keys;

export const columnsOf = (table: string) => kept(table).columns;

export const tableOf = (table: string) => kept(table).table;

/** A row as PostgreSQL writes it as JSON: every column by its name. */
export type Row = Record<string, unknown>;

export const tablePath = (table: string) => `tables/${table}.jsonl`;

export const picturePath = (hash: string, rendition: Rendition) => `pictures/${hash}/${rendition}`;
