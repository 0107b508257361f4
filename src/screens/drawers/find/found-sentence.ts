import { hexFromOklab } from '@/core/colour/hex';
import { shortName } from '@/core/colour/name';
import type { Wheel } from '@/core/colour/wheel';
import { GREY, type LibrarySearch } from '@/contracts/library-search';
import { capital, list, several } from '@/ui/words';
import { asksSomething } from './search-address';

/** What was found, in words that say the search. */
export function foundSentence(
  search: LibrarySearch,
  total: number,
  counts: { libraries: number; swatches: number },
  wheel: Wheel,
): string {
  if (!asksSomething(search)) {
    if (search.favourites) return `${capital(several(total, 'favourite'))}.`;
    if (search.folder !== null) return `${capital(several(total, 'library', 'libraries'))} here.`;
    return `${capital(several(counts.libraries, 'library', 'libraries'))} with ${several(counts.swatches, 'swatch', 'swatches')}.`;
  }
  const { families, intensities, temperature, near, text } = search;
  const parts = [
    ...(text.trim() ? [`“${text.trim()}”`] : []),
    ...(near ? [`something near ${shortName(near.colour)} (${hexFromOklab(near.colour)})`] : []),
    ...(families.length > 0
      ? [families.map((place) => (place === GREY ? 'a grey' : wheel.families[place])).join(' or ')]
      : []),
    ...(search.values ? ['that value'] : []),
    ...(intensities ? ['that intensity'] : []),
    ...(temperature
      ? [temperature === 'between' ? 'neither warm nor cool' : `a ${temperature} colour`]
      : []),
  ];
  const whole = parts.length > 0 ? ` ${total === 1 ? 'has' : 'have'} ${list(parts)}` : ' answer';
  return `${capital(several(total, 'library', 'libraries'))}${total === 1 && parts.length === 0 ? ' answers' : whole}.`;
}
