interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; title: string }[];
  onChange: (value: T) => void;
  /** Set apart from those that ask for nothing. */
  strong?: boolean;
  /** Takes the width there is: for names that people gave. */
  wide?: boolean;
}

/** One of many, as the system lists them; the label is read out, and its words stand in the first entry. */
export function Select<T extends string>({
  label,
  value,
  options,
  onChange,
  strong,
  wide,
}: Props<T>) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      className={`h-10 ${wide ? 'w-full' : 'max-w-36'} min-w-10 border bg-sheet px-2 text-[15px] ${strong ? 'border-ink font-semibold' : 'border-line'}`}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.title}
        </option>
      ))}
    </select>
  );
}
