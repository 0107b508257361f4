import { index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import type { StoredSession } from '@/contracts/session';
import { moment, now, picture, study } from './schema';

/** A sitting at the easel with its snapshots, notes and checks, painted from the picture of a study. */
export const session = pgTable(
  'session',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    studyId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    revision: integer('revision').notNull(),
    /** Of whatever version it was stored in: read by `readSession`. */
    content: jsonb('content').$type<StoredSession>().notNull(),
    createdAt: moment('created_at').notNull().default(now),
    updatedAt: moment('updated_at').notNull().default(now),
    /** In the bin since. */
    deletedAt: moment('deleted_at'),
  },
  (table) => [index('session_study').on(table.studyId)],
);

/** The pictures of a session's snapshots. They may be here before the session says so: it is saved later than they are. */
export const sessionSnapshot = pgTable(
  'session_snapshot',
  {
    sessionId: uuid('session_id')
      .notNull()
      .references(() => session.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    pictureId: uuid('picture_id')
      .notNull()
      .references(() => picture.id),
    createdAt: moment('created_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.id] })],
);

/** The history of a session: its state at the end of each sitting of changes. */
export const sessionRevision = pgTable(
  'session_revision',
  {
    ownerId: uuid('session_id')
      .notNull()
      .references(() => session.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<unknown>().notNull(),
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);
