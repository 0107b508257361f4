import { addressCodec, oneOf, text } from '@/ui/address';
import type { LogFilter } from './log-entries';

export const LOG_TABS = ['sessions', 'mistakes', 'habits', 'courses'] as const;

/** How the Log is looked at. */
export interface LogView extends LogFilter {
  tab: (typeof LOG_TABS)[number];
  /** The mistake that is looked at; the one that weighs most where there is none. */
  mistake: string;
  /** The session that is replayed. */
  replay: string;
}

export const logCodec = addressCodec<LogView>({
  tab: oneOf('tab', LOG_TABS, 'sessions'),
  words: text('words', 200),
  aim: text('aim', 120),
  medium: text('medium', 40),
  maker: text('maker', 200),
  mistake: text('mistake', 40),
  replay: text('replay', 40),
});
