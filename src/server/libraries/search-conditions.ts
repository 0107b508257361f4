import { sql, type SQL } from 'drizzle-orm';
import { INTENSITY_LIMITS, INTENSITY_WORDS } from '@/core/colour/intensity';
import { BETWEEN_TEMPERATURE, type TemperatureWord } from '@/core/colour/temperature';
import type { WheelId } from '@/core/colour/wheel';
import { GREY, LOOSE, type Facets, type LibrarySearch } from '@/contracts/library-search';
import { library, swatch, tag } from '../db/library-schema';
import { wordsOf } from './words';

/** What can be counted apart from what is asked of it. */
export type Facet = keyof Facets;

/** Whether anything is asked that only a swatch can answer. */
export function asksOfSwatches({
  near,
  families,
  values,
  intensities,
  temperature,
}: LibrarySearch): boolean {
  return (
    near !== null ||
    families.length > 0 ||
    values !== null ||
    intensities !== null ||
    temperature !== null
  );
}

/** The whole Munsell values of a swatch, as the facet counts them. */
export const VALUE_STEP = sql`least(10, round(${swatch.value}))::int`;

/** What must hold of a swatch's colour, all but what is asked of one facet. */
export function colourConditions(search: LibrarySearch, wheel: WheelId, but?: Facet): SQL[] {
  const conditions: SQL[] = [];
  const { families, values, intensities, temperature } = search;
  if (families.length > 0 && but !== 'families') {
    const family = swatch[wheel];
    const named = families.filter((place) => place !== GREY);
    const parts: SQL[] = [];
    if (named.length > 0)
      parts.push(
        sql`${family} in (${sql.join(
          named.map((place) => sql`${place}`),
          sql`, `,
        )})`,
      );
    if (families.includes(GREY)) parts.push(sql`${family} is null`);
    conditions.push(sql`(${sql.join(parts, sql` or `)})`);
  }
  if (values && but !== 'values')
    conditions.push(sql`${swatch.value} between ${values[0]} and ${values[1]}`);
  if (intensities && but !== 'intensities') {
    const [from, to] = intensities.map((word) => INTENSITY_WORDS.indexOf(word));
    if (from > 0) conditions.push(sql`${swatch.chroma} >= ${INTENSITY_LIMITS[from - 1]}`);
    if (to < INTENSITY_LIMITS.length)
      conditions.push(sql`${swatch.chroma} < ${INTENSITY_LIMITS[to]}`);
  }
  if (temperature && but !== 'temperatures') conditions.push(temperatureCondition(temperature));
  return conditions;
}

function temperatureCondition(word: TemperatureWord): SQL {
  if (word === 'warm') return sql`${swatch.warmth} >= ${BETWEEN_TEMPERATURE}`;
  if (word === 'cool') return sql`${swatch.warmth} <= ${-BETWEEN_TEMPERATURE}`;
  return sql`(${swatch.warmth} > ${-BETWEEN_TEMPERATURE} and ${swatch.warmth} < ${BETWEEN_TEMPERATURE})`;
}

/** The place of a swatch's intensity word, as the facet counts them. */
export const INTENSITY_STEP = sql`width_bucket(${swatch.chroma}, array[${sql.raw(INTENSITY_LIMITS.join(','))}]::float8[])`;

/** What must hold of a library, all but what is asked of one facet. */
export function libraryConditions(search: LibrarySearch, but?: Facet): SQL[] {
  const conditions: SQL[] = [sql`${library.deletedAt} is null`];
  const { tags, maker, folder, favourites } = search;
  if (but !== 'tags')
    for (const name of tags)
      conditions.push(
        sql`${library.id} in (select ${tag.libraryId} from ${tag} where ${tag.name} = ${name})`,
      );
  if (maker !== null && but !== 'makers') conditions.push(sql`${library.maker} = ${maker}`);
  if (folder !== null)
    conditions.push(
      folder === LOOSE
        ? sql`${library.folderId} is null`
        : sql`${library.folderId} = ${folder}::uuid`,
    );
  if (favourites) conditions.push(sql`${library.favourite}`);
  return conditions;
}

/** The words of a text, each as a query for words that begin with it; the text may have no words at all. */
export function wordQueries(text: string): SQL[] {
  // Words have only letters, marks and digits, so that nothing in them is an operator.
  return wordsOf(text).map((word) => sql`${`'${word}':*`}::tsquery`);
}

/** Every word is the swatch's own or its library's. */
export function textConditions(queries: readonly SQL[]): SQL[] {
  return queries.map((query) => sql`${swatch.words} @@ ${query}`);
}

/** A word is the swatch's own. */
export function ownTextCondition(queries: readonly SQL[]): SQL {
  return sql`(${sql.join(
    queries.map((query) => sql`${swatch.ownWords} @@ ${query}`),
    sql` or `,
  )})`;
}

/** Every word is the library's own. */
export function libraryTextConditions(queries: readonly SQL[]): SQL[] {
  return queries.map((query) => sql`${library.words} @@ ${query}`);
}
