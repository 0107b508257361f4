import { closePool, warmPool } from '@/workers/server/pool';
import { refreshStale } from '../readings/refresh';
import { indexStale } from '../libraries/libraries';
import { keepHouse } from '../keep/housekeeping';
import { setClosing } from '../closing';
import { newestCopy } from '../keep/copies';
import { DamagedFolderError, damageReport } from './damaged-folder';
import { startWatchdog } from './watchdog';
import { closeDatabase, database } from './client';

async function reportOf(error: unknown): Promise<unknown> {
  if (error instanceof DamagedFolderError) return damageReport(error, await newestCopy());
  return error instanceof Error ? error.message : error;
}

/**
 * A throw while starting would leave a server that answers 500 for ever, so it says why and ends.
 * The signal handlers are ours (NEXT_MANUAL_SIG_HANDLE), so that the database is closed first.
 */
export async function openForServing(): Promise<void> {
  try {
    await database();
    await indexStale();
  } catch (error) {
    console.error(await reportOf(error));
    process.exit(1);
  }
  // A debugger may hold a server in development for as long as it likes.
  if (process.env.NODE_ENV === 'production') startWatchdog();
  keepHouse();
  // Nobody waits for either: a first picture that finds the workers cold is only slower.
  void warmPool()
    .then(refreshStale)
    .catch((error) => console.error(error));
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, async () => {
      setClosing(true);
      await closeDatabase().catch((error) => console.error(error));
      await closePool();
      process.exit(0);
    });
}
