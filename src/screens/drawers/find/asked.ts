import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { INTENSITY_WORDS, type IntensityWord } from '@/core/colour/intensity';
import type { Wheel } from '@/core/colour/wheel';
import {
  ALL_LIBRARIES,
  GREY,
  librarySearchSchema,
  DEFAULT_NEAR,
  type LibrarySearch,
} from '@/contracts/library-search';

/** What families are called in an address and on the screen. */
export const GREYS = 'greys';

export function familyName(place: number, wheel: Wheel): string {
  return place === GREY ? GREYS : wheel.families[place];
}

/** Reads an address; whatever is missing or makes no sense asks for nothing. */
export function searchFrom(query: URLSearchParams, wheel: Wheel): LibrarySearch {
  const near = oklabFromHex(query.get('near') ?? '');
  const within = Number(query.get('within') ?? DEFAULT_NEAR);
  const families = (query.get('family') ?? '').split(',').flatMap((name) => {
    if (name === GREYS) return [GREY];
    const place = wheel.families.indexOf(name);
    return place >= 0 ? [place] : [];
  });
  const values = (query.get('value') ?? '').split('-').map(Number);
  const intensities = (query.get('intensity') ?? '').split('-');
  const folder = query.get('folder');
  const asked: Record<keyof LibrarySearch, unknown> = {
    text: (query.get('text') ?? '').slice(0, 200),
    near: near && { colour: near, within },
    families,
    values: values.length === 2 && values[0] <= values[1] ? values : null,
    intensities: intensities.length === 2 ? intensities : null,
    temperature: query.get('temperature'),
    tags: query.getAll('tag'),
    maker: query.get('maker'),
    folder,
    favourites: query.has('favourites'),
    sort: query.get('sort') ?? ALL_LIBRARIES.sort,
  };
  const sound: Record<string, unknown> = {};
  for (const key of Object.keys(asked) as (keyof LibrarySearch)[])
    if (librarySearchSchema.shape[key].safeParse(asked[key]).success) sound[key] = asked[key];
  return librarySearchSchema.parse(sound);
}

/** The address of what is asked, without what asks for nothing. */
export function queryOf(search: LibrarySearch, wheel: Wheel): string {
  const query = new URLSearchParams();
  const { text, near, families, values, intensities, temperature, tags, maker, folder } = search;
  if (text.trim()) query.set('text', text.trim());
  if (near) {
    query.set('near', hexFromOklab(near.colour).slice(1));
    if (near.within !== DEFAULT_NEAR) query.set('within', String(near.within));
  }
  if (families.length > 0)
    query.set('family', families.map((place) => familyName(place, wheel)).join(','));
  if (values) query.set('value', values.join('-'));
  if (intensities) query.set('intensity', intensities.join('-'));
  if (temperature) query.set('temperature', temperature);
  for (const tag of tags) query.append('tag', tag);
  if (maker !== null) query.set('maker', maker);
  if (folder !== null) query.set('folder', folder);
  if (search.favourites) query.set('favourites', '');
  if (search.sort !== ALL_LIBRARIES.sort) query.set('sort', search.sort);
  return query.toString();
}

/** Whether anything is asked but where it lies and in which order. */
export function asksSomething(search: LibrarySearch): boolean {
  return (
    search.text.trim() !== '' ||
    search.near !== null ||
    search.families.length > 0 ||
    search.values !== null ||
    search.intensities !== null ||
    search.temperature !== null ||
    search.tags.length > 0 ||
    search.maker !== null
  );
}

/** The same order and place, with nothing asked. */
export function askNothing({ folder, favourites, sort }: LibrarySearch): LibrarySearch {
  return { ...ALL_LIBRARIES, folder, favourites, sort: sort === 'nearest' ? 'changed' : sort };
}

export function withNear(search: LibrarySearch, near: LibrarySearch['near']): LibrarySearch {
  const sort = near ? 'nearest' : search.sort === 'nearest' ? ALL_LIBRARIES.sort : search.sort;
  return { ...search, near, sort };
}

export function toggled<T>(list: readonly T[], entry: T): T[] {
  return list.includes(entry) ? list.filter((one) => one !== entry) : [...list, entry];
}

/** The first and last words of a range of intensities; null for all of them. */
export function intensityRange(from: number, to: number): [IntensityWord, IntensityWord] | null {
  if (from <= 0 && to >= INTENSITY_WORDS.length - 1) return null;
  return [INTENSITY_WORDS[from], INTENSITY_WORDS[to]];
}

/** The address of what lies near a colour. */
export function nearHref(hex: string): string {
  return `/drawers?near=${hex.replace('#', '')}&sort=nearest`;
}
