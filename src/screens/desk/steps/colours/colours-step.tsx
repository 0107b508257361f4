import type { IntensityWord } from '@/core/colour/intensity';
import type { DeskStep } from '../../step';
import { useColoursOverlay } from './colours-overlay';
import { ColoursPanel } from './colours-panel';
import { coloursView } from './colours-view';

declare module '../../extension-points' {
  interface FocusKinds {
    hue: { from: number; to: number };
    family: { index: number };
    word: { word: IntensityWord };
    /** Munsell values and OKLCH chromas, each from the first up to before the second; null has no end. */
    tone: { value: readonly [number, number]; chroma: readonly [number, number | null] };
  }
}

/** What colours the picture is in, and how they stand to each other. */
export const coloursStep: DeskStep = {
  id: coloursView.step,
  title: 'Colours',
  letter: 'k',
  Panel: ColoursPanel,
  useOverlay: useColoursOverlay,
  view: coloursView,
  veils: {
    hue: ({ from, to }) => ({ kind: 'hue', from, to }),
    family: ({ index }, { wheel }) => ({ kind: 'family', index, wheel }),
    word: ({ word }) => ({ kind: 'word', word }),
    tone: ({ value, chroma }) => ({ kind: 'tone', value: [...value], chroma: [...chroma] }),
  },
};
