import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MAX_INKS, MIN_INKS } from '@/core/mixing/inks';
import type { ShelfContent, ShelfItem } from '@/contracts/shelf';
import { layerSource } from './layer-source';
import { itemsHere } from './shelf-items';

export const DEFAULT_PAPER = '#f4efe3';
const WHITE = oklabFromHex(DEFAULT_PAPER)!;
/** How many are printed until somebody chooses. */
const FIRST = 3;

/** The inks that are printed, in the order of the shelf, and what on. */
export interface InkSet {
  items: ShelfItem[];
  paper: Oklab;
  inks: Oklab[];
  strengths: number[];
}

/** The chosen inks of a shelf; null where they are too few to print together. */
export function inkSet(
  shelf: ShelfContent,
  { inks, paper }: { inks: string; paper: string },
): InkSet | null {
  const here = itemsHere(shelf, 'inks');
  const chosen = inks.split(',').filter(Boolean);
  const wanted = here.filter(({ id }) => chosen.includes(id));
  const items = (wanted.length > 0 ? wanted : here.slice(0, FIRST)).slice(0, MAX_INKS);
  if (items.length < MIN_INKS) return null;
  const { factorOf } = layerSource(shelf, 'inks');
  return {
    items,
    paper: oklabFromHex(paper || DEFAULT_PAPER) ?? WHITE,
    inks: items.map(({ colour }) => colour),
    strengths: items.map(({ id }) => factorOf(id)),
  };
}
