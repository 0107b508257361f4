import { MOODS, type Mood, type MoodSettings } from '@/core/transfer/moods';
import { PROPOSALS, type ProposalKind } from '@/core/transfer/proposals';
import { USE_MODES, type UseMode } from '@/contracts/desk-query/transfer-queries';
import { addressCodec, oneOf, text, transient } from '@/ui/address';
import type { StepView } from '../../view';

/** What is done with the picture's values: other colours, or another mood. */
export const USE_TABS = ['palette', 'moods'] as const;
export type UseTab = (typeof USE_TABS)[number];

interface UseView {
  tab: UseTab;
  /** The library whose colours are put on the picture; empty for the study's own palette. */
  of: string;
  mode: UseMode;
  proposal: ProposalKind;
  /** Colours that masses were given by hand, by the masses' numbers. */
  locks: Readonly<Record<number, number>>;
  /** The mass that is open. */
  mass: number | null;
  mood: Mood;
  /** Where sliders have moved the mood. */
  moved: Partial<MoodSettings>;
}

export const transferView: StepView<UseView> = {
  step: 'use',
  codec: addressCodec<UseView>({
    tab: oneOf('tab', USE_TABS, 'palette'),
    of: text('of', 40),
    mode: oneOf('mode', USE_MODES, 'held'),
    proposal: oneOf('way', PROPOSALS, 'by value'),
    locks: transient<Readonly<Record<number, number>>>({}),
    mass: transient<number | null>(null),
    mood: oneOf('mood', MOODS, 'golden evening'),
    moved: transient<Partial<MoodSettings>>({}),
  }),
};
