'use client';

import type { PaletteSet } from '@/contracts/palette';
import type { TraySwatch } from '@/contracts/study';
import { usePaletteState, useSwatches } from './host';

/** What a colour is built from: the swatch that is selected, or the one with most of the picture. */
export function useKeySwatch(): TraySwatch | null {
  const swatches = useSwatches();
  const selected = usePaletteState((state) => state.selected);
  const most = swatches.reduce<TraySwatch | null>(
    (best, swatch) => (!best || (swatch.share ?? 0) > (best.share ?? 0) ? swatch : best),
    null,
  );
  return swatches.find(({ id }) => id === selected) ?? most;
}

/** The set that the selected swatch moves with, or else the last one of its kind. */
export function useSet<K extends PaletteSet['kind']>(
  kind: K,
): Extract<PaletteSet, { kind: K }> | null {
  const { sets, swatches } = usePaletteState(({ document }) => document.palette);
  const selected = usePaletteState((state) => state.selected);
  const follows = swatches.find(({ id }) => id === selected)?.follows;
  const ofKind = sets.filter((set): set is Extract<PaletteSet, { kind: K }> => set.kind === kind);
  const own = follows?.kind === 'set' ? ofKind.find(({ id }) => id === follows.id) : undefined;
  return own ?? ofKind.at(-1) ?? null;
}
