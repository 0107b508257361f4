import { rm } from 'node:fs/promises';
import { vacuumIfWorthwhile } from '../db/vacuum';
import { emptyOld } from '../libraries/bin';
import { emptyOldPatterns } from '../patterns/bin';
import { emptyOldSessions } from '../sessions/bin';
import { outgoingFolder } from './backup';
import { copyIfDue } from './copies';
import { throwOld } from './incoming';

const FIRST_AFTER = 2 * 60_000;
const EVERY = 60 * 60_000;

/** Background jobs of the server: copies that are due, and emptying the bin of what has been in it for long. */
export function keepHouse(): void {
  const logged = (job: Promise<unknown>) =>
    void job.catch((error: unknown) => console.error(error));
  const round = () => {
    for (const job of [copyIfDue(), emptyOld(), emptyOldPatterns(), emptyOldSessions(), throwOld()])
      logged(job);
    logged(vacuumIfWorthwhile());
  };
  // What a process that was killed had begun to send belongs to nobody.
  logged(rm(outgoingFolder(), { recursive: true, force: true }));
  logged(throwOld());
  setTimeout(round, FIRST_AFTER).unref();
  setInterval(round, EVERY).unref();
}
