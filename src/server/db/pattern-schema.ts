import { integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import type { StoredPattern } from '@/contracts/pattern';
import type { DrawingFacts } from '@/contracts/pattern-drawing';
import { moment, now } from './schema';

/** A vector pattern and its colourways. */
export const pattern = pgTable('pattern', {
  id: uuid('id').primaryKey().defaultRandom(),
  revision: integer('revision').notNull(),
  /** Of whatever version it was stored in: read by `readPattern`. */
  content: jsonb('content').$type<StoredPattern>().notNull(),
  createdAt: moment('created_at').notNull().default(now),
  updatedAt: moment('updated_at').notNull().default(now),
  /** In the bin since. */
  deletedAt: moment('deleted_at'),
});

/** The drawings that a pattern is or was coloured as, known by their content; they never change. */
export const patternDrawing = pgTable(
  'pattern_drawing',
  {
    patternId: uuid('pattern_id')
      .notNull()
      .references(() => pattern.id, { onDelete: 'cascade' }),
    hash: text('hash').notNull(),
    /** The drawing as it came, or as it was traced. What could run is left out wherever it is sent. */
    svg: text('svg').notNull(),
    /** The picture that it was traced from, in base64. */
    original: text('original'),
    facts: jsonb('facts').$type<DrawingFacts>().notNull(),
    createdAt: moment('created_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.patternId, table.hash] })],
);

/** The history of a pattern: its state at the end of each sitting of changes. */
export const patternRevision = pgTable(
  'pattern_revision',
  {
    ownerId: uuid('pattern_id')
      .notNull()
      .references(() => pattern.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<unknown>().notNull(),
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);
