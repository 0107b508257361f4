// `npm run bench`: bundles the benchmark as the app's workers are bundled, and runs it.
import { build } from 'esbuild';
import path from 'node:path';
import { root, run } from './lib.mjs';

const outfile = path.join(root, 'build/bench.mjs');
await build({
  entryPoints: [path.join(root, 'bench/bench.ts')],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  tsconfig: path.join(root, 'tsconfig.json'),
  logLevel: 'warning',
});
process.exit(run(process.execPath, [outfile, ...process.argv.slice(2)]));
