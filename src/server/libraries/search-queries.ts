import { sql, type SQL } from 'drizzle-orm';
import type { WheelId } from '@/core/colour/wheel';
import type { LibrarySearch } from '@/contracts/library-search';
import { library, swatch } from '../db/library-schema';
import type { Near } from './near';
import {
  asksOfSwatches,
  colourConditions,
  libraryConditions,
  libraryTextConditions,
  textConditions,
  wordQueries,
  type Facet,
} from './search-conditions';

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

/** A list as PostgreSQL writes an array; as one text, which every driver hands over alike. */
function arrayOf(entries: readonly string[]): SQL {
  const quoted = entries.map((entry) => `"${entry.replace(/["\\]/g, '\\$&')}"`);
  return sql`cast(${`{${quoted.join(',')}}`} as text)`;
}

function all(conditions: readonly SQL[]): SQL {
  return conditions.length > 0 ? sql.join([...conditions], sql` and `) : sql`true`;
}
