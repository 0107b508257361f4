import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { subHours } from 'date-fns';
import type { BackupLook, Restored, RestoreOrder } from '@/contracts/keep';
import { dataFolder } from '../db/client';
import { ServiceError } from '../errors';
import { requireRoom } from '../room';
import { openArchive } from './archive';
import { restore } from './restore';
import { standingsOf } from './standing';

/** A backup that was sent and not restored is thrown away after this long. */
const KEPT_HOURS = 24;
const MAX_BACKUP_BYTES = 50 * 1024 ** 3;

const folder = () => path.join(/*turbopackIgnore: true*/ dataFolder(), 'incoming');
const fileOf = (token: string) => path.join(/*turbopackIgnore: true*/ folder(), `${token}.zip`);

/** Takes a backup in as it comes, checks all of it, and answers what it holds. One that is damaged is thrown away. */
export async function receive(body: WebStream<Uint8Array> | null): Promise<BackupLook> {
  await throwOld();
  const token = randomUUID();
  try {
    if (body) await pipeline(Readable.fromWeb(body), limited, createWriteStream(fileOf(token)));
    return await lookAt(fileOf(token), token);
  } catch (error) {
    await rm(fileOf(token), { force: true });
    throw error;
  }
}

async function lookAt(file: string, token: string): Promise<BackupLook> {
  const archive = await openArchive(file);
  try {
    const { madeAt, missing } = archive.manifest;
    return { token, madeAt, missing, ...(await standingsOf(archive)) };
  } finally {
    archive.close();
  }
}

/** Restores the chosen parts of a backup that was received. It stays until the next day, should more of it be wanted. */
export async function restoreReceived({ token, ...order }: RestoreOrder): Promise<Restored> {
  const there = await stat(fileOf(token)).catch(() => null);
  if (!there)
    throw new ServiceError(
      'not-found',
      'That backup is no longer here. Nothing was restored; please choose the file again.',
      404,
    );
  const archive = await openArchive(fileOf(token));
  try {
    return await restore(archive, order);
  } finally {
    archive.close();
  }
}

/** Passes a backup on as long as there is room for it. */
async function* limited(source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let size = 0;
  for await (const part of source) {
    size += part.byteLength;
    if (size > MAX_BACKUP_BYTES)
      throw new ServiceError(
        'too-many-bytes',
        'This backup is larger than 50 GB. Nothing was restored.',
        413,
      );
    await requireRoom(part.byteLength);
    yield part;
  }
}

/** Throws away what was sent and not restored for long. */
export async function throwOld(): Promise<void> {
  await mkdir(folder(), { recursive: true });
  const limit = subHours(new Date(), KEPT_HOURS);
  for (const name of await readdir(folder())) {
    const file = path.join(/*turbopackIgnore: true*/ folder(), name);
    if ((await stat(file)).mtime < limit) await rm(file, { force: true });
  }
}
