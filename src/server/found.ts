import { z } from 'zod';
import { ServiceError } from './errors';

/** What a service gets for an id, or null where there is no such thing; for pages, which have a page for that. */
export async function found<T>(get: (id: string) => Promise<T>, id: string): Promise<T | null> {
  if (!z.uuid().safeParse(id).success) return null;
  try {
    return await get(id);
  } catch (error) {
    if (error instanceof ServiceError && error.code === 'not-found') return null;
    throw error;
  }
}
