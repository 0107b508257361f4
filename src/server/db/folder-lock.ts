import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, realpath, rename, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { isRunning, ownIdentity } from './process-identity';

export interface FolderLock {
  release: () => Promise<void>;
}

const NAME = /^prism-lock\.(\d+)$/;

const holderSchema = z.object({
  pid: z.number().int(),
  started: z.string().nullable(),
  boot: z.string(),
  /** The inode of the folder: a copy of it has another. */
  folder: z.string(),
  released: z.boolean(),
});
type Holder = z.infer<typeof holderSchema>;

/**
 * Holds a data folder for this process alone. PGlite has no lock of its own, and two processes on
 * one folder lose rows that were acknowledged.
 *
 * The lock is a folder inside the folder, by its real path, with a file that names its holder: moving a folder to a
 * name is exclusive on every file system, and brings its content at once. Locks are numbered and the highest one counts. One whose holder has released it or no longer runs is not removed but outnumbered: the next number is
 * created exclusively, so that of any number of processes one wins, and the highest is never taken away.
 * Throws an Error with a sentence for the person when another process holds the folder.
 */
export async function lockFolder(folder: string): Promise<FolderLock> {
  await mkdir(folder, { recursive: true });
  const real = await realpath(folder);
  const own: Holder = { ...ownIdentity(), folder: await idOf(real), released: false };
  const highest = Math.max(0, ...(await lockNumbers(real)));
  const holder = highest === 0 ? null : await holderOf(lockPath(real, highest));
  if (!holder || !isHeld(holder, own.folder)) {
    const number = highest + 1;
    if (await createLock(real, number, own)) {
      const numbers = await lockNumbers(real);
      // Who was slow may have taken a number that others have passed and cleared away.
      if (Math.max(...numbers) === number) {
        await Promise.all(numbers.filter((n) => n < number).map((n) => discard(lockPath(real, n))));
        return { release: () => release(lockPath(real, number), own) };
      }
      await discard(lockPath(real, number));
    }
  }
  throw new Error(
    `Another Bold Prism is already using ${folder}. Close that one first, or give this one a folder of its own with PRISM_DATA.`,
  );
}

const lockPath = (folder: string, number: number) => path.join(folder, `prism-lock.${number}`);
const holderFile = (lock: string) => path.join(lock, 'holder.json');

/** A lock that is outnumbered does no harm where it stays. */
const discard = (lock: string) => rm(lock, { recursive: true, force: true }).catch(() => undefined);

async function lockNumbers(folder: string): Promise<number[]> {
  const names = await readdir(folder);
  return names.flatMap((name) => NAME.exec(name)?.[1] ?? []).map(Number);
}

async function idOf(folder: string): Promise<string> {
  const { dev, ino } = await stat(folder, { bigint: true });
  return `${dev}:${ino}`;
}

function isHeld(holder: Holder, folder: string): boolean {
  return !holder.released && holder.folder === folder && isRunning(holder);
}

/** Null for what nobody can hold: a lock that is damaged, or that was just outnumbered. */
async function holderOf(lock: string): Promise<Holder | null> {
  try {
    return holderSchema.parse(JSON.parse(await readFile(holderFile(lock), 'utf8')));
  } catch {
    return null;
  }
}

/** Creates a lock with all that it says at once; false where that number is taken. */
async function createLock(folder: string, number: number, holder: Holder): Promise<boolean> {
  const draft = path.join(folder, `prism-lock-${randomUUID()}`);
  await mkdir(draft);
  try {
    await writeFile(holderFile(draft), JSON.stringify(holder));
    await rename(draft, lockPath(folder, number));
    return true;
  } catch (error) {
    if ((await lockNumbers(folder)).includes(number)) return false;
    throw error;
  } finally {
    await discard(draft);
  }
}

/** Says in the lock that it is free. A folder that was taken away meanwhile needs no word. */
async function release(lock: string, holder: Holder): Promise<void> {
  await writeFile(holderFile(lock), JSON.stringify({ ...holder, released: true })).catch(
    (error: NodeJS.ErrnoException) => {
      if (error.code !== 'ENOENT') throw error;
    },
  );
}
