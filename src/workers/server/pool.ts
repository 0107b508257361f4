import path from 'node:path';
import { Piscina } from 'piscina';
import type { ReadingJob, ReadingResult } from './job';

const held = globalThis as typeof globalThis & { prismPool?: Piscina };

/** The server's workers, started on the first job; `scripts/build-workers.mjs` makes their file. */
function pool(): Piscina {
  held.prismPool ??= new Piscina({
    filename: path.join(/*turbopackIgnore: true*/ process.cwd(), 'build/workers/job.mjs'),
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 60_000,
  });
  return held.prismPool;
}

export function runReading(job: ReadingJob, signal?: AbortSignal): Promise<ReadingResult> {
  return pool().run(job, { signal });
}

export async function closePool(): Promise<void> {
  await held.prismPool?.destroy();
  held.prismPool = undefined;
}
