import { asc, eq, isNull, sql } from 'drizzle-orm';
import { database } from '../db/client';
import { library } from '../db/library-schema';
import { notFound } from '../errors';

/** Puts a library right before another in the person's own order; at the end of all without one. */
export async function placeBefore(id: string, before: string | null): Promise<void> {
  const db = await database();
  await db.transaction(async (tx) => {
    // Places are set anew one apart: two between which all room is used up would stand as one.
    const order = await tx
      .select({ id: library.id, place: library.place })
      .from(library)
      .where(isNull(library.deletedAt))
      .orderBy(asc(library.place), sql`${library.updatedAt} desc`, sql`${library.id} desc`);
    const moved = order.find((row) => row.id === id);
    if (!moved) throw notFound('library');
    const rest = order.filter((row) => row !== moved);
    const at = before === null ? rest.length : rest.findIndex((row) => row.id === before);
    rest.splice(at < 0 ? rest.length : at, 0, moved);
    const list = JSON.stringify(
      rest.flatMap((row, place) => (row.place === place ? [] : [[row.id, place]])),
    );
    await tx.execute(sql`
      update library set place = (entry->>1)::float8
      from jsonb_array_elements(${list}::jsonb) as entry where library.id = (entry->>0)::uuid`);
  });
}

export async function setFavourite(id: string, favourite: boolean): Promise<void> {
  const db = await database();
  const changed = await db
    .update(library)
    .set({ favourite })
    .where(eq(library.id, id))
    .returning({ id: library.id });
  if (changed.length === 0) throw notFound('library');
}
