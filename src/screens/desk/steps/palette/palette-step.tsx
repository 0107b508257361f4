import type { DeskState } from '../../desk-store';
import type { DeskStep } from '../../step';
import { usePaletteOverlay } from './palette-overlay';
import { PalettePanel } from './palette-panel';
import { paletteView } from './palette-view';

declare module '../../extension-points' {
  interface ToolKinds {
    /** Draws the loop that extraction looks within. */
    region: true;
  }
}

/** Extract, pick, merge near-duplicates, compare proportions, test and build. */
export const paletteStep: DeskStep = {
  id: paletteView.step,
  title: 'Palette',
  letter: 'p',
  Panel: PalettePanel,
  useOverlay: usePaletteOverlay,
  view: paletteView,
  serves: {
    'look at a swatch': (state: DeskState) => state.look({ step: paletteView.step }),
  },
  stateOf: ({ palette: { swatches } }) => (swatches.length > 0 ? String(swatches.length) : ''),
};
