import { getTableConfig, type PgColumn } from 'drizzle-orm/pg-core';
import { z } from 'zod';
import { mediumRecipesSchema } from '@/core/mixing/medium-recipe';
import { swatchRecipeSchema } from '@/core/mixing/swatch-recipe';
import { wellFormedText } from '@/core/text';
import { guessSchema } from '@/contracts/attempt';
import { oklabSchema } from '@/contracts/colour';
import { readCourses } from '@/contracts/courses';
import { provenanceSchema, readLibraryContent, swatchPartsSchema } from '@/contracts/library';
import { librarySearchSchema } from '@/contracts/library-search';
import { followsSchema, setsSchema, swatchChangeSchema, targetSchema } from '@/contracts/palette';
import { readPattern } from '@/contracts/pattern';
import { drawingFactsSchema } from '@/contracts/pattern-drawing';
import { readSession } from '@/contracts/session';
import { outcomeSchema } from '@/contracts/practice';
import { settingsSchema } from '@/contracts/settings';
import { readShelf } from '@/contracts/shelf';
import { readStudyDocument } from '@/contracts/study';
import { tableOf, type Row } from './tables';

/** A moment that both PostgreSQL and a Date can hold, in the years that pictures are studied in. */
const moment = z.string().refine((text) => {
  const year = new Date(text).getUTCFullYear();
  return year >= 1970 && year < 3000;
});
const int = (bits: number) =>
  z
    .number()
    .int()
    .min(-(2 ** (bits - 1)))
    .max(2 ** (bits - 1) - 1);

const BY_TYPE: Readonly<Record<string, z.ZodType>> = {
  PgUUID: z.uuid(),
  PgText: z.string().refine((text) => wellFormedText(text) === text),
  PgInteger: int(32),
  PgSmallInt: int(16),
  PgDoublePrecision: z.number(),
  PgBoolean: z.boolean(),
  PgTimestamp: moment,
  // Word vectors, as PostgreSQL writes them.
  PgCustomColumn: z.string(),
};

/** Stored documents may be of an older version: what reads them says whether they are whole. */
const readBy = (read: (stored: unknown) => unknown) =>
  z.unknown().refine((stored) => {
    try {
      read(stored);
      return true;
    } catch {
      return false;
    }
  });

/** What the columns of JSON hold, as far as it is not a reading, which is made anew from the picture. */
const BY_COLUMN: Readonly<Record<string, z.ZodType>> = {
  'study.document': readBy(readStudyDocument),
  'study_revision.document': readBy(readStudyDocument),
  'library_revision.content': readBy(readLibraryContent),
  'shelf.content': readBy(readShelf),
  'shelf_revision.content': readBy(readShelf),
  'pattern.content': readBy(readPattern),
  'pattern_revision.content': readBy(readPattern),
  'pattern_drawing.facts': drawingFactsSchema,
  'courses.content': readBy(readCourses),
  'courses_revision.content': readBy(readCourses),
  'session.content': readBy(readSession),
  'session_revision.content': readBy(readSession),
  'saved_search.search': readBy((stored) => librarySearchSchema.parse(stored)),
  'setting.value': readBy((stored) => settingsSchema.parse(stored)),
  'swatch.other_names': z.array(z.string().max(200)).max(20),
  'swatch.provenance': provenanceSchema,
  'swatch.follows': followsSchema,
  'swatch.change': swatchChangeSchema,
  'swatch.recipe': swatchRecipeSchema,
  'swatch.medium_recipes': mediumRecipesSchema,
  'swatch.parts': swatchPartsSchema,
  'library.sets': setsSchema,
  'library.target': targetSchema,
  'attempt.colour': oklabSchema,
  'attempt.guess': guessSchema,
  'drill_answer.colour': oklabSchema,
  'drill_answer.outcome': outcomeSchema,
  'reading.values': z.looseObject({ p5: z.number(), median: z.number(), p95: z.number() }),
  'reading.colours': z.looseObject({}),
  'wheel_reading.study': z.looseObject({}),
};

function columnSchema(table: string, column: PgColumn): z.ZodType {
  const schema =
    column.columnType === 'PgJsonb'
      ? BY_COLUMN[`${table}.${column.name}`]
      : BY_TYPE[column.columnType];
  if (!schema) throw new Error(`nothing says what ${table}.${column.name} holds`);
  const nullable = column.notNull ? schema : schema.nullable();
  // A backup may be older than a column, which then gets its default.
  return column.notNull && !column.hasDefault ? nullable : nullable.optional();
}

const made = new Map<string, z.ZodType<Row>>();

/** What a row of a table in a backup has to be; columns that the table does not have are left out. */
export function rowSchemaOf(table: string): z.ZodType<Row> {
  const schema =
    made.get(table) ??
    z.object(
      Object.fromEntries(
        getTableConfig(tableOf(table)).columns.map((column) => [
          column.name,
          columnSchema(table, column),
        ]),
      ),
    );
  made.set(table, schema);
  return schema;
}
