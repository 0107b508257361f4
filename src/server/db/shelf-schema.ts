import { integer, jsonb, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import type { StoredShelf } from '@/contracts/shelf';
import { moment, now } from './schema';

/** The materials that a person has: one row. */
export const shelf = pgTable('shelf', {
  id: uuid('id').primaryKey(),
  revision: integer('revision').notNull(),
  /** Of whatever version it was stored in: read by `readShelf`. */
  content: jsonb('content').$type<StoredShelf>().notNull(),
  createdAt: moment('created_at').notNull().default(now),
  updatedAt: moment('updated_at').notNull().default(now),
});

/** The history of the shelf: its state at the end of each sitting of changes. */
export const shelfRevision = pgTable(
  'shelf_revision',
  {
    ownerId: uuid('shelf_id')
      .notNull()
      .references(() => shelf.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<unknown>().notNull(),
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);
