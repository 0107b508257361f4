import { sql, type SQL } from 'drizzle-orm';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { TEMPERATURE_WORDS, BETWEEN_TEMPERATURE } from '@/core/colour/temperature';
import type { WheelId } from '@/core/colour/wheel';
import { GREY, type Facets, type LibrarySearch } from '@/contracts/library-search';
import { library, swatch, tag } from '../db/library-schema';
import { rows } from '../db/rows';
import { nearSwatches, type Near } from './near';
import { hits, matching } from './search-queries';
import { INTENSITY_STEP, VALUE_STEP, type Facet } from './search-conditions';

type SwatchFacet = 'families' | 'values' | 'intensities' | 'temperatures';

const SWATCH_FACETS = ['families', 'values', 'intensities', 'temperatures'] as const;

/** Which part a swatch falls into, as a whole number. */
function partOf(facet: SwatchFacet, wheel: WheelId) {
  switch (facet) {
    case 'families':
      return sql`coalesce(${swatch[wheel]}, ${sql.raw(String(GREY))})::int`;
    case 'values':
      return VALUE_STEP;
    case 'intensities':
      return INTENSITY_STEP;
    case 'temperatures':
      return sql`width_bucket(${swatch.warmth}, array[${sql.raw(`${-BETWEEN_TEMPERATURE},${BETWEEN_TEMPERATURE}`)}]::float8[])`;
  }
}

/** How many swatches or libraries would be found for each value of each criterion, with the other criteria as they are. */
export async function countFacets(search: LibrarySearch, wheel: WheelId): Promise<Facets> {
  const near = await nearSwatches(search);
  const isFiltered: Record<Facet, boolean> = {
    families: search.families.length > 0,
    values: search.values !== null,
    intensities: search.intensities !== null,
    temperatures: search.temperature !== null,
    // Tags narrow together: what is listed is what would still be found.
    tags: false,
    makers: search.maker !== null,
  };
  // Criteria that are not set filter nothing: their facets are counted in one query.
  const open = FACETS.filter((facet) => !isFiltered[facet]);
  const found = await countThese(open, search, wheel, near);
  for (const facet of FACETS)
    if (isFiltered[facet]) found.push(...(await countThese([facet], search, wheel, near)));
  const at = (facet: Facet, part: number) =>
    found.find((row) => row.facet === facet && row.part === String(part))?.count ?? 0;
  const listed = (facet: Facet) =>
    found
      .filter((row) => row.facet === facet)
      .map(({ part, count }) => ({ of: part, count }))
      .sort((one, other) => other.count - one.count || one.of.localeCompare(other.of))
      .slice(0, MAX_LISTED);
  return {
    families: [...Array(12).keys(), GREY].map((of) => ({ of, count: at('families', of) })),
    values: Array.from({ length: 11 }, (_, step) => at('values', step)),
    intensities: INTENSITY_WORDS.map((of, step) => ({ of, count: at('intensities', step) })),
    temperatures: TEMPERATURE_WORDS.map((of, step) => ({ of, count: at('temperatures', step) })),
    tags: listed('tags'),
    makers: listed('makers'),
  };
}

const FACETS = ['families', 'values', 'intensities', 'temperatures', 'tags', 'makers'] as const;
const MAX_LISTED = 60;

interface Count extends Record<string, unknown> {
  facet: Facet;
  part: string;
  count: number;
}

/** The counts of some facets in one query; of one, without what is asked of it. */
async function countThese(
  facets: readonly Facet[],
  search: LibrarySearch,
  wheel: WheelId,
  near: readonly Near[] | null,
): Promise<Count[]> {
  const but = facets.length === 1 ? facets[0] : undefined;
  const ofSwatches = SWATCH_FACETS.filter((facet) => facets.includes(facet));
  const parts = ofSwatches.map((facet) => sql`${partOf(facet, wheel)} as ${sql.identifier(facet)}`);
  const listed = (entries: readonly SQL[]) => sql.join([...entries], sql`, `);
  const names = ofSwatches.map((facet) => sql.identifier(facet));
  const queries: SQL[] = [];
  if (ofSwatches.length > 0)
    queries.push(sql`
      select case ${sql.join(
        ofSwatches.map(
          (facet) => sql`when grouping(${sql.identifier(facet)}) = 0 then ${sql.raw(`'${facet}'`)}`,
        ),
        sql` `,
      )} end as facet, coalesce(${listed(names.map((name) => sql`${name}`))})::text as part, count(*)::int as count
      from (${hits(search, wheel, near, { but, also: listed(parts) })}) counted
      group by grouping sets (${listed(names.map((name) => sql`(${name})`))})`);
  const libraries: SQL[] = [];
  if (facets.includes('tags'))
    libraries.push(sql`select 'tags' as facet, ${tag.name} as part, count(*)::int as count
      from matching join ${tag} on ${tag.libraryId} = matching.id group by ${tag.name}`);
  if (facets.includes('makers'))
    libraries.push(sql`select 'makers' as facet, ${library.maker} as part, count(*)::int as count
      from matching join ${library} on ${library.id} = matching.id
      where ${library.maker} <> '' group by ${library.maker}`);
  if (libraries.length > 0)
    queries.push(
      sql`with ${matching(search, wheel, near, but)} ${sql.join(libraries, sql` union all `)}`,
    );
  const found: Count[] = [];
  for (const query of queries) found.push(...(await rows<Count>(query)));
  return found;
}
