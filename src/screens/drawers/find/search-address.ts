import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { INTENSITY_WORDS, type IntensityWord } from '@/core/colour/intensity';
import type { Wheel } from '@/core/colour/wheel';
import { addressCodec, bounded, flag, parsed, text, type AddressCodec } from '@/ui/address';
import {
  ALL_LIBRARIES,
  GREY,
  librarySearchSchema,
  DEFAULT_NEAR,
  MAX_NEAR,
  type LibrarySearch,
} from '@/contracts/library-search';

/** What families are called in an address and on the screen. */
export const GREYS = 'greys';

export function familyName(place: number, wheel: Wheel): string {
  return place === GREY ? GREYS : wheel.families[place];
}

/** What the address holds of a search: families by their names on a wheel, a colour by its hex. */
export function searchCodec(wheel: Wheel): AddressCodec<LibrarySearch> {
  const { shape } = librarySearchSchema;
  const familyOf = (name: string) => (name === GREYS ? GREY : wheel.families.indexOf(name));
  const fields = addressCodec<Omit<LibrarySearch, 'near'> & Near>({
    text: text('text', 200),
    colour: parsed(
      'near',
      shape.near,
      ([hex]) => {
        const colour = oklabFromHex(hex);
        return colour && { colour, within: DEFAULT_NEAR };
      },
      (near) => (near ? [hexFromOklab(near.colour).slice(1)] : []),
    ),
    within: bounded('within', [0.5, MAX_NEAR], DEFAULT_NEAR),
    families: parsed(
      'family',
      shape.families,
      ([names]) =>
        names
          .split(',')
          .map(familyOf)
          .filter((place, i) => place >= 0 || names.split(',')[i] === GREYS),
      (places) =>
        places.length > 0 ? [places.map((place) => familyName(place, wheel)).join(',')] : [],
    ),
    values: parsed(
      'value',
      shape.values.refine((values) => values === null || values[0] <= values[1]),
      ([range]) => range.split('-').map(Number),
      (values) => (values ? [values.join('-')] : []),
    ),
    intensities: parsed(
      'intensity',
      shape.intensities,
      ([range]) => range.split('-'),
      (words) => (words ? [words.join('-')] : []),
    ),
    temperature: parsed('temperature', shape.temperature, ([word]) => word, textsOf),
    tags: parsed(
      'tag',
      shape.tags,
      (tags) => tags,
      (tags) => tags,
    ),
    maker: parsed('maker', shape.maker, ([maker]) => maker, textsOf),
    folder: parsed('folder', shape.folder, ([folder]) => folder, textsOf),
    favourites: flag('favourites'),
    sort: parsed('sort', shape.sort, ([sort]) => sort, textsOf),
  });
  return {
    initial: ALL_LIBRARIES,
    read(query) {
      const { colour, within, ...rest } = fields.read(query);
      return { ...rest, near: colour && { ...colour, within } };
    },
    write({ near, ...rest }, query) {
      fields.write({ ...rest, colour: near, within: near?.within ?? DEFAULT_NEAR }, query);
    },
  };
}

/** A nearness in an address: the colour, and how near if that is not as usual. */
interface Near {
  colour: LibrarySearch['near'];
  within: number;
}

const textsOf = (value: string | null) => (value === null ? [] : [value]);

/** Whether a search filters by what colours are like. */
export function asksByColour(search: LibrarySearch): boolean {
  return (
    search.near !== null ||
    search.families.length > 0 ||
    search.values !== null ||
    search.intensities !== null ||
    search.temperature !== null
  );
}

/** Whether a search filters by anything but folder and order. */
export function asksSomething(search: LibrarySearch): boolean {
  return (
    asksByColour(search) ||
    search.text.trim() !== '' ||
    search.tags.length > 0 ||
    search.maker !== null
  );
}

/** The same folder and order, without any other criterion. */
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
