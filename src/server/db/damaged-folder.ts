import { existsSync } from 'node:fs';
import path from 'node:path';

/** A data folder that holds a database which PostgreSQL can't open. */
export class DamagedFolderError extends Error {
  constructor(
    readonly folder: string,
    cause: unknown,
  ) {
    super(`The database in ${folder} is damaged and can’t be opened.`, { cause });
    this.name = 'DamagedFolderError';
  }
}

/** Whether a folder holds a database already, so that failing to open it means that it is damaged. */
export function holdsDatabase(folder: string): boolean {
  return existsSync(path.join(/*turbopackIgnore: true*/ folder, 'PG_VERSION'));
}

/** What is damaged and what to do, for the person who starts the server. `newestCopy` is a file's path. */
export function damageReport(
  { folder, message, cause }: DamagedFolderError,
  newestCopy: string | null,
): string {
  const aside = `${folder}-damaged`;
  const why = cause instanceof Error ? cause.message.split('\n', 1)[0] : String(cause);
  return [
    message,
    'Nothing in that folder was deleted. To go on:',
    `  1. Keep it aside: rename ${folder} to ${aside}.`,
    '  2. Start Bold Prism again; it begins with an empty store.',
    newestCopy
      ? `  3. Under Drawers, Back up and restore, restore the newest copy: ${newestCopy}`
      : '  3. Under Drawers, Back up and restore, restore a backup, if you have taken one along: there is no copy beside the data.',
    `(PostgreSQL says: ${why})`,
  ].join('\n');
}
