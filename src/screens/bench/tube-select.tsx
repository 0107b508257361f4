'use client';

import { weightOf } from '@/core/mixing/tube';
import type { MixingTube } from '@/study/shelf';

/** What a choice of a tube begins with: the one that outweighs all others. */
export const strongest = (tubes: readonly MixingTube[]): MixingTube =>
  tubes.reduce((one, other) => (weightOf(other.optics) > weightOf(one.optics) ? other : one));

/** One of some tubes, or none of them where `none` says so. */
export function TubeSelect({
  label,
  tubes,
  value,
  none = false,
  onChange,
}: {
  label: string;
  tubes: readonly MixingTube[];
  value: string;
  none?: boolean;
  onChange: (id: string) => void;
}) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-sm text-soft">{label}</span>
      <select
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="h-10 w-full border border-line bg-sheet px-2 text-[15px]"
      >
        {none && <option value="">nothing, straight</option>}
        {tubes.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
