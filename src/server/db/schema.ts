import { sql } from 'drizzle-orm';
import {
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { StoredAnswers } from '@/contracts/desk-query/opening-queries';
import type { WheelId } from '@/core/colour/wheel';
import type { WheellessStudy, WheelStudy } from '@/core/measure/colour-study';
import type { SchemeName } from '@/core/measure/harmony';
import type { ValueReading } from '@/core/measure/values';
import type { Oklab } from '@/core/colour/oklab';
import type { Guess } from '@/contracts/attempt';
import type { Settings } from '@/contracts/settings';

/**
 * Bytes go in as base64 text: PGlite's own way writes a byte at a time, 10 MB in 3.5 s against 0.6 s
 * measured this way, and a PostgreSQL server takes it as well.
 */
const bytea = customType<{ data: Uint8Array }>({
  dataType: () => 'bytea',
  toDriver: (bytes) =>
    sql`decode(${Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('base64')}, 'base64')`,
});
export const moment = (name: string) => timestamp(name, { withTimezone: true, precision: 3 });
export const now = sql`clock_timestamp()`;

/** A picture as it was imported, known by its content. */
export const picture = pgTable(
  'picture',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    hash: text('hash').notNull(),
    name: text('name').notNull(),
    type: text('type').notNull(),
    size: integer('size').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    /** Of a JPEG, 1–100, as its quantisation tables tell; null for any other. */
    quality: integer('quality'),
    workingWidth: integer('working_width').notNull(),
    workingHeight: integer('working_height').notNull(),
    createdAt: moment('created_at').notNull().default(now),
  },
  (table) => [uniqueIndex('picture_hash').on(table.hash)],
);

/** Apart from `picture`, so that listing pictures never reads megabytes. */
export const pictureBytes = pgTable('picture_bytes', {
  pictureId: uuid('picture_id')
    .primaryKey()
    .references(() => picture.id),
  original: bytea('original').notNull(),
  working: bytea('working').notNull(),
  thumbnail: bytea('thumbnail').notNull(),
});

/** `title` repeats the document's, for the Wall to search. A deleted study waits with `deletedAt` set. */
export const study = pgTable(
  'study',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    pictureId: uuid('picture_id')
      .notNull()
      .references(() => picture.id),
    title: text('title').notNull(),
    /** Of whatever version it was stored in: read by `readStudyDocument`. */
    document: jsonb('document').$type<unknown>().notNull(),
    revision: integer('revision').notNull(),
    createdAt: moment('created_at').notNull().default(now),
    updatedAt: moment('updated_at').notNull().default(now),
    deletedAt: moment('deleted_at'),
  },
  (table) => [
    index('study_created').on(table.createdAt),
    index('study_picture').on(table.pictureId),
  ],
);

/** The history of a study: its state at the end of each sitting of changes. */
export const studyRevision = pgTable(
  'study_revision',
  {
    ownerId: uuid('study_id')
      .notNull()
      .references(() => study.id),
    revision: integer('revision').notNull(),
    content: jsonb('document').$type<unknown>().notNull(),
    /** When the sitting began, and when it was last saved in. */
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);

/** The stored reading of a study, with the version of the core that made it; columns are what the Wall searches. */
export const reading = pgTable('reading', {
  studyId: uuid('study_id')
    .primaryKey()
    .references(() => study.id),
  core: integer('core').notNull(),
  /** What was measured: the framing, neutral point and value settings as a string that changes when they do. */
  of: text('of').notNull(),
  key: text('key').$type<ValueReading['key']>().notNull(),
  range: text('range').$type<ValueReading['range']>().notNull(),
  median: doublePrecision('median').notNull(),
  values: jsonb('values').$type<ValueReading>().notNull(),
  /** Of the colours, which are read after the values: null until then. */
  neutral: doublePrecision('neutral'),
  temperature: doublePrecision('temperature'),
  colours: jsonb('colours').$type<WheellessStudy>(),
});

/** What the Desk's steps ask as they open, answered with the reading. It follows from the picture: no backup holds it. */
export const deskAnswers = pgTable('desk_answers', {
  studyId: uuid('study_id')
    .primaryKey()
    .references(() => reading.studyId, { onDelete: 'cascade' }),
  answers: jsonb('answers').$type<StoredAnswers>().notNull(),
});

/** What of a stored reading depends on the wheel of families: a row for each wheel. */
export const wheelReading = pgTable(
  'wheel_reading',
  {
    studyId: uuid('study_id')
      .notNull()
      .references(() => reading.studyId),
    wheel: text('wheel').$type<WheelId>().notNull(),
    /** The dominant family and the key colour's; null for greys. */
    family: text('family'),
    keyFamily: text('key_family'),
    harmony: text('harmony').$type<SchemeName>(),
    study: jsonb('study').$type<WheelStudy>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.studyId, table.wheel] }),
    index('wheel_reading_family').on(table.wheel, table.family),
  ],
);

/** What a person said of a colour before its reading was shown, and how near it came: what drills are made of. */
export const attempt = pgTable(
  'attempt',
  {
    id: uuid('id').primaryKey(),
    drill: text('drill').notNull(),
    studyId: uuid('study_id').references(() => study.id),
    colour: jsonb('colour').$type<Oklab>().notNull(),
    guess: jsonb('guess').$type<Guess>().notNull(),
    /** What came of it: families, Munsell steps and intensity words off, and the score of 100. */
    familyOff: integer('family_off'),
    valueOff: doublePrecision('value_off').notNull(),
    intensityOff: integer('intensity_off').notNull(),
    score: doublePrecision('score').notNull(),
    madeAt: moment('made_at').notNull().default(now),
  },
  (table) => [index('attempt_drill').on(table.drill, table.madeAt)],
);

export const setting = pgTable('setting', {
  id: text('id').primaryKey(),
  value: jsonb('value').$type<Settings>().notNull(),
});
