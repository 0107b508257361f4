// Bundles what Next does not make: the server's worker, which piscina starts from a file, and the script of a round's page.
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
  // The page of a round for a class has to run from a file: its script goes into it whole.
  await build({
    entryPoints: ['src/screens/practice/class/page/page.ts'],
    outfile: 'build/workers/round-page.js',
    bundle: true,
    minify: true,
    format: 'iife',
    platform: 'browser',
    target: 'es2022',
    tsconfig: 'tsconfig.json',
    logLevel: 'warning',
  });
}

if (process.argv[1]?.endsWith('build-workers.mjs')) await buildWorkers();
