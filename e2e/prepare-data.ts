import { spawn } from 'node:child_process';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { root } from '../scripts/lib.mjs';
import { DATA_KINDS, preparedData, type DataKind } from './app';

/** Makes the data folders that the tests' servers get copies of. */
export default async function prepareData(): Promise<void> {
  await Promise.all(DATA_KINDS.map(prepare));
}

async function prepare(kind: DataKind): Promise<void> {
  const data = preparedData(kind);
  await rm(data, { recursive: true, force: true });
  const tsx = path.join(root, 'node_modules/tsx/dist/cli.mjs');
  const child = spawn(process.execPath, [tsx, 'e2e/fill-data.ts', kind], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, PRISM_DATA: data },
  });
  const code = await new Promise((resolve) => child.once('exit', resolve));
  if (code !== 0) throw new Error(`the data “${kind}” could not be prepared`);
}
