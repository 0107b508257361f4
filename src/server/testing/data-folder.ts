import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A data folder of a test's own, with its copies in it, until it is removed. */
export async function ownDataFolder(): Promise<{ folder: string; remove: () => Promise<void> }> {
  const folder = await mkdtemp(path.join(tmpdir(), 'bold-prism-data-'));
  const set = { PRISM_DATA: folder, PRISM_COPIES: path.join(folder, 'copies') };
  const was = Object.keys(set).map((name) => [name, process.env[name]] as const);
  Object.assign(process.env, set);
  return {
    folder,
    remove: async () => {
      for (const [name, value] of was)
        if (value === undefined) delete process.env[name];
        else process.env[name] = value;
      await rm(folder, { recursive: true, force: true });
    },
  };
}
