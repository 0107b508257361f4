interface Props {
  checked: boolean;
  onChange: (on: boolean) => void;
  children: string;
}

/** A checkbox with its words. */
export function Tick({ checked, onChange, children }: Props) {
  return (
    <label className="flex min-h-10 items-center gap-2.5 text-[15px]">
      <input
        type="checkbox"
        className="h-5 w-5 shrink-0 accent-ink"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
