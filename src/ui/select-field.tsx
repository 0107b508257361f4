import { Select } from './select';

/** A choice with its label above it, as wide as there is room. */
export function SelectField<T extends string>({
  label,
  value,
  values,
  onChange,
}: {
  label: string;
  value: T;
  values: readonly T[];
  onChange: (value: T) => void;
}) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-sm text-soft">{label}</span>
      <Select
        label={label}
        wide
        value={value}
        options={values.map((one) => ({ value: one, title: one }))}
        onChange={onChange}
      />
    </label>
  );
}
