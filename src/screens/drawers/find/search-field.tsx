import type { LibrarySearch } from '@/contracts/library-search';

interface Props {
  search: LibrarySearch;
  onChange: (search: LibrarySearch) => void;
  className: string;
}

/** The words to search for. It stands in the top line where there is room, and on a phone above what is found. */
export function SearchField({ search, onChange, className }: Props) {
  return (
    <input
      type="search"
      aria-label="Search libraries and swatches"
      placeholder="Name, note, tag, maker, study"
      value={search.text}
      maxLength={200}
      onChange={(event) => onChange({ ...search, text: event.target.value })}
      className={`h-10 w-full min-w-16 border border-line bg-sheet px-2.5 placeholder:text-soft ${className}`}
    />
  );
}
