import { setImmediate } from 'node:timers/promises';

/** Lets whatever else waits be done, between two parts of long work. */
export async function yieldToEventLoop(): Promise<void> {
  await setImmediate();
}
