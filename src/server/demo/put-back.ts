import { ServiceError } from '../errors';

/** What is there under an id: as it stands, or brought back from deletion, or made. */
export async function putBack<T>(
  get: () => Promise<T>,
  restore: () => Promise<unknown>,
  create: () => Promise<unknown>,
): Promise<T> {
  const missing = (error: unknown) => {
    if (!(error instanceof ServiceError) || error.code !== 'not-found') throw error;
    return null;
  };
  const there = await get().catch(missing);
  if (there) return there;
  const restored = await restore().then(() => true, missing);
  if (!restored) await create();
  return get();
}
