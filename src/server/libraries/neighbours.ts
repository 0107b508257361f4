import { sql } from 'drizzle-orm';
import type { Oklab } from '@/core/colour/oklab';
import { ALL_LIBRARIES } from '@/contracts/library-search';
import type { Neighbours } from '@/contracts/library';
import { database } from '../db/client';
import { library, swatch } from '../db/library-schema';
import { study } from '../db/schema';
import { rows } from '../db/rows';
import { nearSwatches } from './near';

/** Up to this CIEDE2000 a swatch elsewhere is the same one. */
const SAME = 0.5;
/** Beyond this it is no neighbour. */
const NEAR = 8;
const MAX_NEIGHBOURS = 24;

/** The swatches of all libraries nearest to one, and the studies whose palette it is in. */
export async function neighboursOf(
  libraryId: string,
  swatchId: string,
  colour: Oklab,
): Promise<Neighbours> {
  const near = (await nearSwatches({ ...ALL_LIBRARIES, near: { colour, within: NEAR } })) ?? [];
  const nearest = near
    .filter((one) => one.libraryId !== libraryId || one.id !== swatchId)
    .sort((one, other) => one.distance - other.distance);
  const facts = await factsOf(nearest.slice(0, 4 * MAX_NEIGHBOURS));
  const found = nearest.flatMap(({ libraryId: of, id, distance }) => {
    const fact = facts.get(`${of} ${id}`);
    return fact ? [{ ...fact, libraryId: of, id, distance }] : [];
  });
  const db = await database();
  const studies = await db
    .select({ id: study.id, title: study.title })
    .from(study)
    .where(
      sql`${study.deletedAt} is null and ${study.document}->'palette'->'swatches' @> ${JSON.stringify([{ id: swatchId }])}::jsonb`,
    )
    .orderBy(study.title);
  return {
    same: found.filter(({ distance }) => distance <= SAME).slice(0, MAX_NEIGHBOURS),
    near: found.filter(({ distance }) => distance > SAME).slice(0, MAX_NEIGHBOURS),
    studies,
  };
}

interface Fact {
  name: string;
  libraryName: string;
  colour: Oklab;
}

/** What is to be said of swatches, by library and id; those in the bin have nothing. */
async function factsOf(
  swatches: readonly { libraryId: string; id: string }[],
): Promise<Map<string, Fact>> {
  if (swatches.length === 0) return new Map();
  const list = sql.join(
    swatches.map(({ libraryId, id }) => sql`(${libraryId}::uuid, ${id})`),
    sql`, `,
  );
  const found = await rows<{
    library: string;
    id: string;
    name: string;
    title: string;
    L: number;
    a: number;
    b: number;
  }>(sql`
    select ${swatch.libraryId} as library, ${swatch.id} as id, ${swatch.name} as name,
      ${library.name} as title, ${swatch.L} as "L", ${swatch.a} as a, ${swatch.b} as b
    from ${swatch} join ${library} on ${library.id} = ${swatch.libraryId}
    where ${library.deletedAt} is null and (${swatch.libraryId}, ${swatch.id}) in (${list})`);
  return new Map(
    found.map(({ library: of, id, name, title, L, a, b }) => [
      `${of} ${id}`,
      { name, libraryName: title, colour: { L, a, b } },
    ]),
  );
}
