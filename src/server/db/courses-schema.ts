import { integer, jsonb, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import type { StoredCourses } from '@/contracts/courses';
import { moment, now } from './schema';

/** The courses that a person has set up: one row. */
export const courses = pgTable('courses', {
  id: uuid('id').primaryKey(),
  revision: integer('revision').notNull(),
  /** Of whatever version it was stored in: read by `readCourses`. */
  content: jsonb('content').$type<StoredCourses>().notNull(),
  createdAt: moment('created_at').notNull().default(now),
  updatedAt: moment('updated_at').notNull().default(now),
});

/** The history of the courses: their state at the end of each sitting of changes. */
export const coursesRevision = pgTable(
  'courses_revision',
  {
    ownerId: uuid('courses_id')
      .notNull()
      .references(() => courses.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<unknown>().notNull(),
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);
