import { addressCodec, bounded, oneOf, text } from '@/ui/address';

export const PRACTICE_TABS = ['profile', 'class', 'screen'] as const;

/** How Practice is looked at. */
export interface PracticeView {
  tab: (typeof PRACTICE_TABS)[number];
  /** The study whose palette is asked about; one's own palettes where it is empty. */
  study: string;
  /** The session that is warmed up for. */
  session: string;
  /** Makes a round always the same; any where it is null. */
  seed: number | null;
}

export const practiceCodec = addressCodec<PracticeView>({
  tab: oneOf('tab', PRACTICE_TABS, 'profile'),
  study: text('study', 40),
  session: text('session', 40),
  seed: bounded('seed', [0, 2 ** 31], null),
});
