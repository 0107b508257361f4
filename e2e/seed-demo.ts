import { rm } from 'node:fs/promises';
import { runNode } from '../scripts/lib.mjs';
import { DEMO_FOLDER } from './app';

/** Seeds the demo once; specs that want it start on a copy. */
export default async function seedDemoOnce(): Promise<void> {
  await rm(DEMO_FOLDER, { recursive: true, force: true });
  const code = runNode('tsx/dist/cli.mjs', ['demo/seed.ts'], { PRISM_DATA: DEMO_FOLDER });
  if (code !== 0) throw new Error('the demo could not be seeded');
}
