import { z } from 'zod';

export const BACKUP_FORMAT = 'bold-prism-backup';
export const BACKUP_VERSION = 1;

const count = z.number().int().min(0);

/** What a backup says of itself, as its last entry. */
export const manifestSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  madeAt: z.string(),
  counts: z.object({ studies: count, pictures: count, libraries: count, swatches: count }),
  /** Tables that could not be read when it was made: their rows are not in it. */
  missing: z.array(z.string()).default([]),
  /** Every other entry, with its length in bytes and the SHA-256 of its content. */
  entries: z.array(z.object({ path: z.string(), size: count, sha256: z.string() })),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** How something in a backup stands to what is here. */
export const STANDINGS = ['new', 'same', 'binned', 'differs'] as const;
const thingSchema = z.object({
  id: z.string(),
  name: z.string(),
  standing: z.enum(STANDINGS),
  /** Whether it was in the bin when the backup was made. */
  binned: z.boolean(),
});
export type KeptThing = z.infer<typeof thingSchema>;

/** What a backup holds, before anything is restored. */
export const backupLookSchema = z.object({
  /** By which the backup that was sent is known until it is restored. */
  token: z.string(),
  madeAt: z.string(),
  /** Tables that could not be read when it was made. */
  missing: z.array(z.string()),
  studies: z.array(thingSchema),
  libraries: z.array(thingSchema),
});
export type BackupLook = z.infer<typeof backupLookSchema>;

export const restoreOrderSchema = z.object({
  token: z.uuid(),
  studies: z.array(z.uuid()),
  libraries: z.array(z.uuid()),
  /** Folders, kept searches, the guesses that were scored, and patterns; settings too, where none were made here. */
  rest: z.boolean(),
  /** The backup's settings in place of those here. */
  settings: z.boolean(),
  /** What happens where the two differ: what is here is left alone, or the backup's is stored beside it. */
  differing: z.enum(['keep', 'both']),
});
export type RestoreOrder = z.infer<typeof restoreOrderSchema>;

export const restoredSchema = z.object({
  studies: count,
  libraries: count,
  pictures: count,
  /** Those that differ here and were left alone. */
  left: count,
});
export type Restored = z.infer<typeof restoredSchema>;

export const copySchema = z.object({ name: z.string(), madeAt: z.string(), size: count });
export type LocalCopy = z.infer<typeof copySchema>;

/** How the keeping goes, in bytes; `free` is null where it can't be told. */
export const storeStateSchema = z.object({
  store: count,
  copies: count,
  free: count.nullable(),
  /** The last copy that was tried and failed, until one is made again. */
  failed: z.object({ at: z.string(), why: z.string() }).nullable(),
});
export type StoreState = z.infer<typeof storeStateSchema>;

/** What the check of the store found. */
export const checkSchema = z.object({
  pictures: count,
  studies: count,
  libraries: count,
  problems: z.array(z.string()),
  /** What was out of step and has been put right. */
  mended: z.array(z.string()),
});
export type StoreCheck = z.infer<typeof checkSchema>;
