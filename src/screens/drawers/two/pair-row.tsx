import { hexFromOklab } from '@/core/colour/hex';
import type { Swatch } from '@/contracts/library';

interface Props {
  one: Swatch;
  other: Swatch;
  /** CIEDE2000. */
  apart: number;
}

/** Two swatches of two libraries side by side, and how far apart they are. */
export function PairRow({ one, other, apart }: Props) {
  return (
    <li className="flex items-center gap-3 border-b py-1.5">
      <span className="flex h-9 w-24 shrink-0" aria-hidden>
        <span className="grow" style={{ background: hexFromOklab(one.colour) }} />
        <span className="grow" style={{ background: hexFromOklab(other.colour) }} />
      </span>
      <span className="min-w-0 grow text-[15px] leading-tight">
        {one.name === other.name ? one.name : `${one.name}; ${other.name}`}
      </span>
      <span className="shrink-0 text-sm text-soft tabular-nums">ΔE {apart.toFixed(1)}</span>
    </li>
  );
}
