import type { z } from 'zod';

/** JSON whose shape is not known yet. */
export type Stored = Record<string, unknown>;

/** A list as it is, or an empty one: the check that follows says what is wrong. */
export function listOf(value: unknown): Stored[] {
  return Array.isArray(value) ? (value as Stored[]) : [];
}

/**
 * A kind of document: the schema of its newest version, and for each older version the pure function
 * that makes the next of it. Functions are never changed once they are released; a new version adds one.
 */
export interface VersionedDocument<T> {
  schema: z.ZodType<T>;
  /** The first makes version 2 of version 1. */
  upgrades: readonly ((document: Stored) => Stored)[];
}

/** The newest version of a kind of document. */
export function newestVersion({ upgrades }: Pick<VersionedDocument<unknown>, 'upgrades'>): number {
  return upgrades.length + 1;
}

/**
 * A stored document brought up to date and checked. What says no version is of the first.
 * Throws a ZodError where it is not what it should be, a RangeError for a version that is newer than known.
 */
export function readDocument<T>({ schema, upgrades }: VersionedDocument<T>, stored: unknown): T {
  return schema.parse(upToDate(upgrades, stored));
}

/** The same without the check: for rows that are compared, not used. */
export function upToDate(
  upgrades: VersionedDocument<unknown>['upgrades'],
  stored: unknown,
): unknown {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return stored;
  const { version = 1 } = stored as Stored;
  const newest = newestVersion({ upgrades });
  if (typeof version === 'number' && version > newest)
    throw new RangeError(`a document of version ${version}; the newest known is ${newest}`);
  return upgrades
    .slice(Number(version) - 1)
    .reduce(
      (document, upgrade, i) => ({ ...upgrade(document), version: Number(version) + i + 1 }),
      { ...(stored as Stored), version },
    );
}
