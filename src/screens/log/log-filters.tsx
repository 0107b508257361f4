import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { ALL_ENTRIES, choicesIn, type LogEntry, type LogFilter } from './log-entries';

/** Words, aim, medium and maker that the Log is narrowed down by. */
export function LogFilters({
  all,
  filter,
  count,
  onChange,
}: {
  all: readonly LogEntry[];
  filter: LogFilter;
  count: number;
  onChange: (part: Partial<LogFilter>) => void;
}) {
  const isNarrow = Object.keys(ALL_ENTRIES).some((key) => filter[key as keyof LogFilter]);
  const select = (
    key: 'aim' | 'medium' | 'maker',
    title: string,
    of: (entry: LogEntry) => string,
  ) => (
    <Select
      label={title}
      value={filter[key]}
      options={[
        { value: '', title },
        ...choicesIn(all, of).map((value) => ({ value, title: value })),
      ]}
      onChange={(value) => onChange({ [key]: value })}
      strong={filter[key] !== ''}
    />
  );
  return (
    <div role="search" className="mb-3 flex flex-wrap items-center gap-2 print:hidden">
      <input
        type="search"
        aria-label="Find in the log"
        placeholder="Find: a title, a note, a mistake …"
        value={filter.words}
        maxLength={200}
        onChange={({ target }) => onChange({ words: target.value })}
        className="h-10 w-64 border border-line bg-sheet px-2.5 text-[15px] placeholder:text-soft"
      />
      {select('aim', 'any aim', ({ session }) => session.content.aim)}
      {select('medium', 'any medium', ({ session }) => session.content.medium)}
      {select('maker', 'any maker', ({ session }) => session.study.maker)}
      {isNarrow && (
        <>
          <Button weight="quiet" onClick={() => onChange(ALL_ENTRIES)}>
            Show all
          </Button>
          <span role="status" className="text-sm text-soft">
            {count} of {all.length}
          </span>
        </>
      )}
    </div>
  );
}
