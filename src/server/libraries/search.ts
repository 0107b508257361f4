import { sql, type SQL } from 'drizzle-orm';
import type { WheelId } from '@/core/colour/wheel';
import type { Swatch } from '@/contracts/library';
import type { FoundLibrary, LibrarySearch, SearchAnswer } from '@/contracts/library-search';
import { library, swatch } from '../db/library-schema';
import { rows } from '../db/rows';
import { contentsOf } from './library-rows';
import { nearSwatches, type Near } from './near';
import { asksOfSwatches, ownTextCondition, wordQueries } from './search-conditions';
import { hits, matching } from './search-queries';

/** So many swatches of a large library are sent to be drawn small. */
const MAX_DRAWN = 120;

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

/** The swatches to be marked in the libraries of a page; none where nothing is asked that is a swatch's own. */
async function hitsIn(
  ids: readonly string[],
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
): Promise<Map<string, string[]>> {
  const words = wordQueries(search.text);
  if (ids.length === 0 || (!asksOfSwatches(search) && words.length === 0)) return new Map();
  const here = new Set(ids);
  const nearHere = near?.filter(({ libraryId }) => here.has(libraryId)) ?? null;
  // Of a library that has all the words itself every swatch would answer: then none is marked but those with a word.
  const marked = asksOfSwatches(search) ? sql`` : sql`and ${ownTextCondition(words)}`;
  const found = await rows<{ library: string; ids: string[] }>(sql`
    select hit.library_id as library, json_agg(hit.swatch_id order by ${swatch.position}) as ids
    from (${hits(search, wheel, nearHere)} ${marked} and ${swatch.libraryId} in (${sql.join(
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
  if (swatches.length <= MAX_DRAWN) return swatches;
  const each = Math.ceil(swatches.length / MAX_DRAWN);
  return swatches.filter(({ id }, i) => i % each === 0 || marked.has(id));
}
