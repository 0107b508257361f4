import { sql, type SQL } from 'drizzle-orm';
import { ciede2000Of } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import type { WheelId } from '@/core/colour/wheel';
import type { Swatch } from '@/contracts/library';
import type { FoundLibrary, LibrarySearch, SearchAnswer } from '@/contracts/library-search';
import { database } from '../db/client';
import { library, swatch } from '../db/library-schema';
import { contentsOf } from './library-rows';
import {
  asksOfSwatches,
  colourConditions,
  libraryConditions,
  libraryTextConditions,
  ownTextCondition,
  textConditions,
  wordQueries,
  type Near,
  type Facet,
} from './search-conditions';
import { maybeNear } from './near';

/** So many swatches of a large library are sent to be drawn small. */
const MOST_DRAWN = 120;

interface PageRow extends Record<string, unknown> {
  id: string;
  name: string;
  note: string;
  updated: Date | string;
  folder: string | null;
  favourite: boolean;
  size: number;
  total: number;
}

/** Libraries in which something answers, in their order, from `offset` on. */
export async function searchLibraries(
  search: LibrarySearch,
  wheel: WheelId,
  offset: number,
  limit: number,
): Promise<SearchAnswer> {
  const near = await nearSwatches(search);
  const page = await rows<PageRow>(sql`
    with ${matching(search, wheel, near)}
    select ${library.id} as id, ${library.name} as name, ${library.note} as note,
      ${library.updatedAt} as updated, ${library.folderId} as folder,
      ${library.favourite} as favourite,
      (select count(*)::int from ${swatch} where ${swatch.libraryId} = ${library.id}) as size,
      page.total as total
    from (
      select matching.id, matching.nearest, count(*) over ()::int as total
      from matching join ${library} on ${library.id} = matching.id
      ${order(search)} limit ${limit} offset ${offset}
    ) page join ${library} on ${library.id} = page.id
    ${order(search, sql.raw('page'))}`);
  const ids = page.map(({ id }) => id);
  const hits = await hitsIn(ids, search, wheel, near);
  const { swatches, tags } = await contentsOf(ids);
  return {
    total: page[0]?.total ?? (offset > 0 ? await totalOf(search, wheel, near) : 0),
    libraries: page.map(({ id, name, note, updated, folder, favourite, size }): FoundLibrary => ({
      id,
      name,
      note,
      updatedAt: new Date(updated).toISOString(),
      folderId: folder,
      favourite,
      size,
      tags: tags.get(id) ?? [],
      hits: hits.get(id) ?? [],
      swatches: drawn(swatches.get(id) ?? [], new Set(hits.get(id))),
    })),
  };
}

async function totalOf(
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
): Promise<number> {
  const [{ total }] = await rows<{ total: number }>(
    sql`with ${matching(search, wheel, near)} select count(*)::int as total from matching`,
  );
  return total;
}

/** Swatches near the colour that is asked for; null where none is. */
export async function nearSwatches({ near }: LibrarySearch): Promise<Near[] | null> {
  if (!near) return null;
  const lab = labFromOklab(near.colour);
  // As one row: a row for each would cost twice as much to take over.
  const [{ band }] = await rows<{ band: [string, string, number, number, number][] | null }>(sql`
    select json_agg(json_build_array(${swatch.libraryId}, ${swatch.id}, ${swatch.labL}, ${swatch.labA}, ${swatch.labB})) as band
    from ${swatch} where ${maybeNear(lab, near.within)}`);
  const found: Near[] = [];
  for (const [libraryId, id, L, a, b] of band ?? []) {
    const distance = ciede2000Of(lab.L, lab.a, lab.b, L, a, b);
    if (distance <= near.within) found.push({ libraryId, id, distance });
  }
  return found;
}

/** `hit`, the swatches that answer, and `matching`, the libraries with them or that answer themselves. */
export function matching(
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
  but?: Facet,
): SQL {
  const words = wordQueries(search.text);
  const own = libraryConditions(search, but);
  if (!asksOfSwatches(search) && words.length === 0)
    return sql`matching as (
      select ${library.id} as id, null::float8 as nearest from ${library} where ${all(own)}
    )`;
  // A library without swatches can still have the words.
  const itself = asksOfSwatches(search)
    ? sql``
    : sql`union all select ${library.id}, null::float8 from ${library}
        where ${all([...own, ...libraryTextConditions(words)])}`;
  return sql`hit as (${hits(search, wheel, near, { but })}), matching as (
    select id, min(distance) as nearest from (
      select library_id as id, distance from hit ${itself}
    ) answers group by id
  )`;
}

/**
 * The swatches that answer, each with its distance from the colour asked for; to all but what is asked of one facet,
 * and with more columns, where these are given.
 */
export function hits(
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
  { but, also }: { but?: Facet; also?: SQL } = {},
): SQL {
  const conditions = [
    ...libraryConditions(search, but),
    ...colourConditions(search, wheel, but),
    ...textConditions(wordQueries(search.text)),
  ];
  const columns = sql`${swatch.libraryId} as library_id, ${swatch.id} as swatch_id${also ? sql`, ${also}` : sql``}`;
  const joined = sql`from ${swatch} join ${library} on ${library.id} = ${swatch.libraryId}`;
  if (!near)
    return sql`select ${columns}, null::float8 as distance ${joined} where ${all(conditions)}`;
  return sql`select ${columns}, near.distance ${joined}
    join unnest(
      ${arrayOf(near.map(({ libraryId }) => libraryId))}::uuid[],
      ${arrayOf(near.map(({ id }) => id))}::text[],
      ${arrayOf(near.map(({ distance }) => String(distance)))}::float8[]
    ) as near (library_id, id, distance)
      on near.library_id = ${swatch.libraryId} and near.id = ${swatch.id}
    where ${all(conditions)}`;
}

/** The swatches to be marked in the libraries of a page; none where nothing is asked that is a swatch's own. */
async function hitsIn(
  ids: readonly string[],
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
): Promise<Map<string, string[]>> {
  const words = wordQueries(search.text);
  if (ids.length === 0 || (!asksOfSwatches(search) && words.length === 0)) return new Map();
  // Of a library that has all the words itself every swatch would answer: then none is marked but those with a word.
  const marked = asksOfSwatches(search) ? sql`` : sql`and ${ownTextCondition(words)}`;
  const found = await rows<{ library: string; ids: string[] }>(sql`
    select hit.library_id as library, json_agg(hit.swatch_id order by ${swatch.position}) as ids
    from (${hits(search, wheel, near)} ${marked} and ${swatch.libraryId} in (${sql.join(
      ids.map((id) => sql`${id}::uuid`),
      sql`, `,
    )})) hit
    join ${swatch} on ${swatch.libraryId} = hit.library_id and ${swatch.id} = hit.swatch_id
    group by hit.library_id`);
  return new Map(found.map((row) => [row.library, row.ids]));
}

function order({ sort, near }: LibrarySearch, from: SQL = sql.raw('matching')): SQL {
  const newest = sql`${library.updatedAt} desc, ${library.id} desc`;
  switch (sort) {
    case 'own':
      return sql`order by ${library.place}, ${newest}`;
    case 'name':
      return sql`order by lower(${library.name}), ${newest}`;
    case 'swatches':
      return sql`order by (select count(*) from ${swatch} where ${swatch.libraryId} = ${library.id}) desc, ${newest}`;
    case 'nearest':
      return near ? sql`order by ${from}.nearest, ${newest}` : sql`order by ${newest}`;
    default:
      return sql`order by ${newest}`;
  }
}

/** Few enough to be drawn small, in their order, with every hit among them. */
function drawn(swatches: Swatch[], marked: ReadonlySet<string>): Swatch[] {
  if (swatches.length <= MOST_DRAWN) return swatches;
  const each = Math.ceil(swatches.length / MOST_DRAWN);
  return swatches.filter(({ id }, i) => i % each === 0 || marked.has(id));
}

/** A list as PostgreSQL writes an array; as one text, which every driver hands over alike. */
function arrayOf(entries: readonly string[]): SQL {
  const quoted = entries.map((entry) => `"${entry.replace(/["\\]/g, '\\$&')}"`);
  return sql`cast(${`{${quoted.join(',')}}`} as text)`;
}

export function all(conditions: readonly SQL[]): SQL {
  return conditions.length > 0 ? sql.join([...conditions], sql` and `) : sql`true`;
}

/** Rows of a query of ours, on either kind of server. */
export async function rows<T extends Record<string, unknown>>(query: SQL): Promise<T[]> {
  const db = await database();
  const answer = (await db.execute(query)) as unknown as { rows: T[] };
  return answer.rows;
}
