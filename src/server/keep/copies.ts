import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { addDays, format } from 'date-fns';
import type { LocalCopy } from '@/contracts/keep';
import type { CopyTime } from '@/contracts/settings';
import { dataFolder } from '../db/client';
import { errorBodyOf, notFound, ServiceError } from '../errors';
import { requireRoom } from '../room';
import { getSettings } from '../settings/settings';
import { openArchive } from './archive';
import { backup } from './backup';
import { unreadable } from './unreadable';

/** Beside the data, or where PRISM_COPIES says: another disk is better. */
function copiesFolder(): string {
  return path.resolve(
    /*turbopackIgnore: true*/ process.env.PRISM_COPIES ??
      path.join(/*turbopackIgnore: true*/ dataFolder(), 'copies'),
  );
}

const NAME = /^Bold Prism \d{4}-\d{2}-\d{2} \d{2}\.\d{2}\.\d{2}\.zip$/;
const DAYS: Record<CopyTime, number> = { never: Infinity, day: 1, week: 7 };

export function backupName(now = new Date()): string {
  return `Bold Prism ${format(now, 'yyyy-MM-dd HH.mm.ss')}.zip`;
}

/** The copies that are there, the newest first. */
export async function listCopies(): Promise<LocalCopy[]> {
  const names = await readdir(copiesFolder()).catch(() => []);
  const copies = await Promise.all(
    names
      .filter((name) => NAME.test(name))
      .map(async (name) => {
        const { size, mtime } = await stat(
          path.join(/*turbopackIgnore: true*/ copiesFolder(), name),
        );
        return { name, size, madeAt: mtime.toISOString() };
      }),
  );
  return copies.sort((one, other) => (one.name < other.name ? 1 : -1));
}

/** The path of the newest copy; null where there is none. */
export async function newestCopy(): Promise<string | null> {
  const [last] = await listCopies();
  return last ? path.join(/*turbopackIgnore: true*/ copiesFolder(), last.name) : null;
}

/** What is going on in this process, whatever bundle asks. */
const state = globalThis as typeof globalThis & {
  prismCopying?: Promise<LocalCopy>;
  prismCopyFailed?: { at: string; why: string };
};

/** The last copy that was tried and failed, until one is made again. */
export const copyFailure = () => state.prismCopyFailed ?? null;

/**
 * Makes a copy, reads it back against its checksums, and lets go of the oldest beyond `keep`. Whoever asks while one
 * is being made gets that one.
 */
export function makeCopy(keep: number): Promise<LocalCopy> {
  state.prismCopying ??= writeCopy(keep)
    .then(
      (copy) => {
        state.prismCopyFailed = undefined;
        return copy;
      },
      (error: unknown) => {
        const why = reasonOf(error);
        state.prismCopyFailed = { at: new Date().toISOString(), why };
        if (error instanceof ServiceError) throw error;
        console.error(error);
        throw new ServiceError('copy-failed', `No copy was made: ${why}`, 500);
      },
    )
    .finally(() => (state.prismCopying = undefined));
  return state.prismCopying;
}

function reasonOf(error: unknown): string {
  const { code, syscall } = error as NodeJS.ErrnoException;
  return syscall && code !== 'ENOSPC'
    ? `the folder of copies can’t be written to (${code}).`
    : errorBodyOf(error).message;
}

async function writeCopy(keep: number): Promise<LocalCopy> {
  await mkdir(copiesFolder(), { recursive: true });
  await requireRoom();
  let missing: string[] = [];
  const name = backupName();
  const file = path.join(/*turbopackIgnore: true*/ copiesFolder(), name);
  const part = `${file}.part`;
  await throwParts();
  try {
    await pipeline(await backup(), createWriteStream(part));
    const archive = await openArchive(part);
    archive.close();
    // One without all of it is kept beside the older ones, which may be whole.
    missing = archive.manifest.missing;
    // Only a copy that was found whole gets its name, and only then an old one goes.
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  if (missing.length > 0) throw unreadable(missing);
  for (const old of (await listCopies()).slice(keep))
    await rm(path.join(/*turbopackIgnore: true*/ copiesFolder(), old.name), { force: true });
  const { size, mtime } = await stat(file);
  return { name, size, madeAt: mtime.toISOString() };
}

/** What a server that was killed left of a copy. */
async function throwParts(): Promise<void> {
  for (const name of await readdir(copiesFolder()))
    if (name.endsWith('.zip.part'))
      await rm(path.join(/*turbopackIgnore: true*/ copiesFolder(), name), { force: true });
}

/** A copy to be taken elsewhere. */
export async function readCopy(name: string): Promise<{ stream: Readable; size: number }> {
  const file = path.join(/*turbopackIgnore: true*/ copiesFolder(), name);
  const found = NAME.test(name) ? await stat(file).catch(() => null) : null;
  if (!found) throw notFound('copy');
  return { stream: createReadStream(file), size: found.size };
}

/** Makes a copy if one is due; answers it, or null. */
export async function copyIfDue(now = new Date()): Promise<LocalCopy | null> {
  const { every, keep } = (await getSettings()).copies;
  const [last] = await listCopies();
  const due = !last || addDays(new Date(last.madeAt), Math.min(DAYS[every], 1e6)) <= now;
  return every !== 'never' && due ? makeCopy(keep) : null;
}
