import type { Rendition } from '../pictures/get-bytes';

/** Every table but the bytes of pictures, parents before their children. */
export const TABLES = [
  'picture',
  'study',
  'study_revision',
  'reading',
  'wheel_reading',
  'attempt',
  'folder',
  'library',
  'library_revision',
  'swatch',
  'tag',
  'saved_search',
  'setting',
] as const;
export type TableName = (typeof TABLES)[number];

/** The columns that tell one row of a table from all others. */
export const KEYS: Record<TableName, readonly string[]> = {
  picture: ['id'],
  study: ['id'],
  study_revision: ['study_id', 'revision'],
  reading: ['study_id'],
  wheel_reading: ['study_id', 'wheel'],
  attempt: ['id'],
  folder: ['id'],
  library: ['id'],
  library_revision: ['library_id', 'revision'],
  swatch: ['library_id', 'id'],
  tag: ['library_id', 'name'],
  saved_search: ['id'],
  setting: ['id'],
};

/** A row as PostgreSQL writes it as JSON: every column by its name. */
export type Row = Record<string, unknown>;

export const tablePath = (table: TableName) => `tables/${table}.jsonl`;

export const picturePath = (hash: string, rendition: Rendition) => `pictures/${hash}/${rendition}`;
