import type { ShelfContent } from '@/contracts/shelf';
import type { ShelfStore } from '@/materials/use-shelf';
import type { BenchView } from './bench-view';

/** What each part of the bench is given. */
export interface TabProps {
  shelf: ShelfContent;
  store: ShelfStore;
  view: BenchView;
  look: (part: Partial<BenchView>) => void;
}
