import { z } from 'zod';
import { CSV_PARTS } from '@/core/formats/csv-columns';
import { libraryContentSchema } from './library';

/** For each part of a swatch the column of a table that holds it. */
export const csvColumnsSchema = z.partialRecord(
  z.enum(CSV_PARTS),
  z.number().int().min(0).max(999),
);

/** The most of a table's rows that are shown to tell its columns by. */
export const MAX_SHOWN_ROWS = 6;

/** What was read from a file, before anything is stored: the library that it would become, or why it can't. */
export const readFileSchema = z.object({
  fileName: z.string(),
  error: z.string().nullable(),
  format: z.object({ id: z.string(), title: z.string(), loses: z.array(z.string()) }).nullable(),
  content: libraryContentSchema.nullable(),
  table: z
    .object({
      header: z.array(z.string()),
      rows: z.array(z.array(z.string())),
      columns: csvColumnsSchema,
    })
    .nullable(),
});
export type ReadFile = z.infer<typeof readFileSchema>;

/** The most bytes of one file that is imported, and of all that a zip unpacks to. */
export const MAX_FILE_BYTES = 64 * 1024 * 1024;
export const MAX_ZIPPED_FILES = 500;
