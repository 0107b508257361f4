import { sql } from 'drizzle-orm';
import type { StoreState } from '@/contracts/keep';
import { rows } from '../db/rows';
import { freeBytes } from '../room';
import { copyFailure, listCopies } from './copies';

/** What the store and its copies take, what is free, and whether copies fail. */
export async function getStoreState(): Promise<StoreState> {
  const [{ size }] = await rows<{ size: string | number }>(
    sql`select pg_database_size(current_database()) as size`,
  );
  const free = await freeBytes();
  const copies = await listCopies();
  return {
    store: Number(size),
    copies: copies.reduce((sum, copy) => sum + copy.size, 0),
    free: Number.isFinite(free) ? free : null,
    failed: copyFailure(),
  };
}
