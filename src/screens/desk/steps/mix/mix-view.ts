import { PLATE_LOOKS, type PlateLook } from '@/core/mixing/plates';
import { addressCodec, bounded, flag, oneOf, text, transient } from '@/ui/address';
import type { StepView } from '../../view';

/** How many tubes a recipe may take. */
export const TUBE_LIMITS = ['2', '3', '4'] as const;

/** What is done with the palette's recipes. */
export const MIX_TABS = ['recipes', 'morning', 'tubes'] as const;
export type MixTab = (typeof MIX_TABS)[number];
/** What of the plates is held against the picture. */
export const INK_LENSES = ['none', 'proof', '1', '2', '3', '4', '5'] as const;
export const FILMS = ['thin', 'usual', 'thick'] as const;

interface MixView {
  tab: MixTab;
  /** The canvas in centimetres, how thick the paint lies on it, and the nozzle of the tubes in millimetres. */
  width: number;
  height: number;
  film: (typeof FILMS)[number];
  nozzle: number;
  most: (typeof TUBE_LIMITS)[number];
  black: boolean;
  /** Leaves out what has cadmium. */
  cadmiumFree: boolean;
  /** Tubes of the palette that are left out here. */
  without: readonly string[];
  /** Inks that are printed, by their ids with commas between; empty for the first three. */
  inks: string;
  /** The paper they are printed on, as it was typed. */
  paper: string;
  look: PlateLook;
  /** What is laid over the picture: the proof, or a plate by its number. */
  ink: (typeof INK_LENSES)[number];
}

export const mixView: StepView<MixView> = {
  step: 'mix',
  codec: addressCodec<MixView>({
    tab: oneOf('tab', MIX_TABS, 'recipes'),
    width: bounded('canvasw', [5, 400], 40),
    height: bounded('canvash', [5, 400], 30),
    film: oneOf('film', FILMS, 'usual'),
    nozzle: bounded('nozzle', [2, 30], 8),
    most: oneOf('tubes', TUBE_LIMITS, '4'),
    black: flag('black'),
    cadmiumFree: flag('nocadmium'),
    without: transient<readonly string[]>([]),
    inks: text('inks', 220),
    paper: text('paper', 40),
    look: oneOf('plates', PLATE_LOOKS, 'tones'),
    ink: oneOf('ink', INK_LENSES, 'none'),
  }),
};
