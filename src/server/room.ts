import { statfs } from 'node:fs/promises';
import path from 'node:path';
import { dataFolder } from './db/client';
import { ServiceError } from './errors';

const MB = 1024 * 1024;
/**
 * Room that is left on the disk of the data folder. An embedded PostgreSQL that can't make its next log segment (16 MB)
 * does not come back by itself, so changes are refused before that; PRISM_RESERVE_MB sets another amount.
 */
const DEFAULT_RESERVE_MB = 96;
/** Deleting takes little and makes room, so it goes on for longer. */
const DELETING_SHARE = 1 / 3;
/** How long a reading of the free room counts, in milliseconds. */
const FRESH_FOR = 500;

let last: { at: number; bytes: number } | null = null;

/** Free bytes on the disk of the data folder; Infinity where it can't be told, as for a PostgreSQL server elsewhere. */
export async function freeBytes(): Promise<number> {
  if (process.env.DATABASE_URL) return Infinity;
  if (last && Date.now() - last.at < FRESH_FOR) return last.bytes;
  let folder = dataFolder();
  for (;;) {
    try {
      const { bavail, bsize } = await statfs(folder);
      last = { at: Date.now(), bytes: bavail * bsize };
      return last.bytes;
    } catch {
      // Before the first start the folder is not there yet; its disk is.
      const parent = path.dirname(folder);
      if (parent === folder) return Infinity;
      folder = parent;
    }
  }
}

function reserve(): number {
  const set = Number(process.env.PRISM_RESERVE_MB ?? DEFAULT_RESERVE_MB);
  return (Number.isFinite(set) && set >= 0 ? set : DEFAULT_RESERVE_MB) * MB;
}

/** Throws `no-room` where `bytes` more would leave too little on the disk. */
export async function requireRoom(bytes = 0, isDeleting = false): Promise<void> {
  const least = reserve() * (isDeleting ? DELETING_SHARE : 1);
  if ((await freeBytes()) - bytes >= least) return;
  throw noRoom();
}

export function noRoom(): ServiceError {
  return new ServiceError(
    'no-room',
    'The disk is nearly full, so nothing is stored until there is room again. What is kept can still be read and exported; what you change stays in this window. Free some space on the disk, and saving goes on by itself.',
    507,
  );
}
