// Bundles the server's worker: piscina starts it from a file, which Next does not make.
import { build } from 'esbuild';

export async function buildWorkers() {
  await build({
    entryPoints: ['src/workers/server/job.ts'],
    outfile: 'build/workers/job.mjs',
    bundle: true,
    format: 'esm',
    platform: 'node',
    // Some packages require their own parts by computed paths in their CommonJS form.
    mainFields: ['module', 'main'],
    target: 'node20',
    logLevel: 'warning',
  });
}

if (process.argv[1]?.endsWith('build-workers.mjs')) await buildWorkers();
