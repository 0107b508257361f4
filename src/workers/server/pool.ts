import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { DEFAULT_SQUINT } from '@/core/picture/squint';
import type { Picture } from '@/core/picture/picture';
import type { DrawingJob, FilledDrawing, ReadKeyedDrawing, RefusedDrawing } from './drawing-job';
import type { ReadingJob, ReadingResult } from './job';
import type { MadeJob } from './made-job';
import type { OutgoingColourway } from './outgoing-colourways';
import type { MadePlates, PlatesJob } from './plates-job';
import type { PushJob, PushSaid } from './push-job';
import type { ReadJob, ReadJobResult } from './read-job';

const held = globalThis as typeof globalThis & { prismPool?: Piscina; prismReaders?: Piscina };

const jobFile = () => path.join(/*turbopackIgnore: true*/ process.cwd(), 'build/workers/job.mjs');

/** A pool whose failing threads end their jobs and not the server. */
function started(options: ConstructorParameters<typeof Piscina>[0]): Piscina {
  return new Piscina(options).on('error', (error: unknown) => console.error(error));
}

/** The server's workers, started on the first job; `scripts/build-workers.mjs` makes their file. */
function pool(): Piscina {
  held.prismPool ??= started({
    filename: jobFile(),
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 60_000,
  });
  return held.prismPool;
}

export function runReading(job: ReadingJob, signal?: AbortSignal): Promise<ReadingResult> {
  return pool().run(job, { signal });
}

/** Makes a picture into plates in a worker. */
export function runPlates(job: PlatesJob, signal?: AbortSignal): Promise<MadePlates> {
  return pool().run(job, { name: 'platesJob', signal });
}

/** Makes an original into another picture in a worker. */
export const runMade = (job: Omit<MadeJob, 'port'>, signal?: AbortSignal): Promise<Picture> =>
  pictureBy('madeJob', job, () => undefined, signal);

/** Pushes an original in a worker; `onShare` is told how much of it is done, 0–1. */
export const runPush = (
  job: Omit<PushJob, 'port'>,
  onShare: (share: number) => void,
  signal?: AbortSignal,
): Promise<Picture> => pictureBy('pushJob', job, onShare, signal);

/** Runs a job that hands its picture over through a port, after what shares of it are done. */
async function pictureBy(
  name: string,
  job: object,
  onShare: (share: number) => void,
  signal?: AbortSignal,
): Promise<Picture> {
  const { port1, port2 } = new MessageChannel();
  const picture = new Promise<Picture>((resolve) =>
    port1.on('message', (said: PushSaid) => {
      if (typeof said === 'number') onShare(said);
      else resolve(said);
    }),
  );
  try {
    await pool().run({ ...job, port: port2 }, { name, transferList: [port2], signal });
    return await picture;
  } finally {
    port1.close();
  }
}

const READ_SECONDS = 10;
const DRAWING_SECONDS = 30;
const READ_MEGABYTES = 512;

/** Threads of their own for what comes from strangers, which are ended when they take too long or too much memory. */
function readers(): Piscina {
  held.prismReaders ??= started({
    filename: jobFile(),
    name: 'readJob',
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: READ_MEGABYTES },
  });
  return held.prismReaders;
}

/**
 * Reads a library from a text. The promise is rejected with an AbortError after too long, or with the code
 * ERR_WORKER_OUT_OF_MEMORY.
 */
export function runRead(job: ReadJob): Promise<ReadJobResult> {
  return readers().run(job, { signal: AbortSignal.timeout(READ_SECONDS * 1000) });
}

type DrawingResults = {
  read: ReadKeyedDrawing;
  trace: string;
  fill: FilledDrawing;
  colour: OutgoingColourway[];
};

/** Reads, traces, fills or colours a drawing, or says why it can't; rejected as `runRead` is. */
export function runDrawing<K extends DrawingJob['kind']>(
  job: Extract<DrawingJob, { kind: K }>,
): Promise<DrawingResults[K] | RefusedDrawing> {
  return readers().run(job, {
    name: 'drawingJob',
    signal: AbortSignal.timeout(DRAWING_SECONDS * 1000),
  });
}

/** Starts a worker and lets it read a few pixels, so that the first picture need not wait for that. */
export async function warmPool(): Promise<void> {
  const side = 64;
  const data = Uint8ClampedArray.from({ length: side * side * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : i,
  );
  await runReading({
    picture: { width: side, height: side, data },
    development: { framing: { angle: 0, crop: null }, cast: null },
    values: { zones: 4, breaks: 'natural', squint: DEFAULT_SQUINT },
    palette: { count: 8 },
    colours: null,
  });
}

export async function closePool(): Promise<void> {
  await Promise.all([held.prismPool?.destroy(), held.prismReaders?.destroy()]);
  held.prismPool = held.prismReaders = undefined;
}
