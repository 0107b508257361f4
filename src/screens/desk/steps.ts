import type { DeskStep } from './step';
import { checkStep } from './steps/check/check-step';
import { coloursStep } from './steps/colours/colours-step';
import { hiddenStep } from './steps/hidden/hidden-step';
import { lookStep } from './steps/look/look-step';
import { mixStep } from './steps/mix/mix-step';
import { paletteStep } from './steps/palette/palette-step';
import { transferStep } from './steps/use/transfer-step';
import { valuesStep } from './steps/values/values-step';

/** The steps in the order of the work. */
export const STEPS: readonly DeskStep[] = [
  lookStep,
  valuesStep,
  coloursStep,
  hiddenStep,
  paletteStep,
  mixStep,
  transferStep,
  checkStep,
];
