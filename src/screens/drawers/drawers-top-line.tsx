import type { LibrarySearch } from '@/contracts/library-search';
import { Button } from '@/ui/button';
import { TopLine } from '@/ui/shell';
import { SearchField } from './find/search-field';

interface Props {
  search: LibrarySearch;
  onSearch: (search: LibrarySearch) => void;
  onBegin: () => void;
  onImport: () => void;
}

/** The search by words, and the two ways that libraries come into the Drawers besides being saved. */
export function DrawersTopLine({ search, onSearch, onBegin, onImport }: Props) {
  return (
    <TopLine>
      <SearchField search={search} onChange={onSearch} className="ml-auto max-w-72 max-sm:hidden" />
      <Button
        onClick={onBegin}
        className="h-9 min-h-9 shrink-0 whitespace-nowrap max-sm:ml-auto max-sm:h-10"
      >
        New palette
      </Button>
      <Button
        weight="strong"
        onClick={onImport}
        className="h-9 min-h-9 shrink-0 whitespace-nowrap max-sm:h-10"
      >
        Import swatches
      </Button>
    </TopLine>
  );
}
