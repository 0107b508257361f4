import { addressCodec, flag, oneOf, text } from '@/ui/address';

export const LOOKS = ['one', 'wall', 'two', 'cloth'] as const;
export type Look = (typeof LOOKS)[number];
export const TABS = ['duplicates', 'colours', 'lines', 'export'] as const;
export type PatternTab = (typeof TABS)[number];
export const WALL_PARTS = ['all', 'kept', 'favourites'] as const;
export type WallPart = (typeof WALL_PARTS)[number];

/** The drawing as it was, beside colourways that are kept. */
export const ORIGINAL = 'original';
/** The colourway that is being tried. */
export const TRIED = 'tried';

export interface PatternView {
  look: Look;
  tab: PatternTab;
  /** What is looked at: the original, a kept one's id, or what is tried (also when empty). */
  shown: string;
  /** What it is held against; empty for the original. */
  beside: string;
  part: WallPart;
  /** On the wall each repeated. */
  tiled: boolean;
}

export const patternCodec = addressCodec<PatternView>({
  look: oneOf('look', LOOKS, 'one'),
  tab: oneOf('tab', TABS, 'colours'),
  shown: text('shown', 40),
  beside: text('beside', 40),
  part: oneOf('part', WALL_PARTS, 'all'),
  tiled: flag('tiled'),
});
