import type { ShelfContent } from '@/contracts/shelf';
import type { ShelfStore } from '@/materials/use-shelf';

/** What each medium's panel is given. */
export interface MediumProps {
  shelf: ShelfContent;
  store: ShelfStore;
}
