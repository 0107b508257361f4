import { emptyOld } from '../libraries/bin';
import { copyIfDue } from './copies';

const FIRST_AFTER = 2 * 60_000;
const EVERY = 60 * 60_000;

/** Background jobs of the server: copies that are due, and emptying the bin of what has been in it for long. */
export function keepHouse(): void {
  const round = () =>
    void Promise.all([copyIfDue(), emptyOld()]).catch((error: unknown) => console.error(error));
  setTimeout(round, FIRST_AFTER).unref();
  setInterval(round, EVERY).unref();
}
