import path from 'node:path';
import { openFolder, openServer, type Database, type OpenDatabase } from './open';

/** Bundles and hot reloads each have their own module state; the one database belongs to the process. */
const held = globalThis as typeof globalThis & { prismDatabase?: Promise<OpenDatabase> };

export function dataFolder(): string {
  return path.resolve(
    /*turbopackIgnore: true*/ process.env.PRISM_DATA ??
      path.join(/*turbopackIgnore: true*/ process.cwd(), 'data'),
  );
}

/** The process's database, opened and migrated on the first call. */
export async function database(): Promise<Database> {
  held.prismDatabase ??= process.env.DATABASE_URL
    ? openServer(process.env.DATABASE_URL)
    : openFolder(path.join(dataFolder(), 'postgres'));
  return (await held.prismDatabase).db;
}

export async function closeDatabase(): Promise<void> {
  const open = held.prismDatabase;
  held.prismDatabase = undefined;
  if (open) await (await open).close();
}

/** Tests bring a database of their own. */
export function setDatabase(open: OpenDatabase): void {
  held.prismDatabase = Promise.resolve(open);
}
