import { addressCodec, flag, oneOf, text, transient } from '@/ui/address';
import type { StepView } from '../../view';

/** What is done with the picture. */
export const USE_TABS = ['palette', 'moods', 'what-if', 'key', 'belongs', 'kept'] as const;
export type UseTab = (typeof USE_TABS)[number];

/** How what was made is looked at: over the picture, several ways side by side, or the greys of both. */
export const USE_LOOKS = ['over', 'beside', 'greys'] as const;
export type UseLook = (typeof USE_LOOKS)[number];

interface UseView {
  tab: UseTab;
  look: UseLook;
  /** Whether it is hatched where nothing but the palette has no such value. */
  unreached: boolean;
  /** Whose colours are to be taken on arrival, as "library.ID" or "study.ID". */
  take: string;
  /** The mass that is open. */
  mass: number | null;
  /** The colour in hand: what is touched in the picture takes it. */
  colour: string | null;
}

export const transferView: StepView<UseView> = {
  step: 'use',
  codec: addressCodec<UseView>({
    tab: oneOf('tab', USE_TABS, 'palette'),
    look: oneOf('look', USE_LOOKS, 'over'),
    unreached: flag('unreached'),
    take: text('take', 60),
    mass: transient<number | null>(null),
    colour: transient<string | null>(null),
  }),
};
