import { setImmediate } from 'node:timers/promises';

/** Lets whatever else waits be done, between two parts of long work. */
export async function breathe(): Promise<void> {
  await setImmediate();
}
