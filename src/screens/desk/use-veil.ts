'use client';

import { useMemo } from 'react';
import type { VeilPart } from '@/contracts/desk-query/desk-query';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/core/colour/value-scale';

import { useDesk, useDocument } from './desk-store';
import type { Focus } from './extension-points';
import { useSteps, type DeskStep, type FocusVeils, type VeilContext } from './step';
import { useDrawn, type Drawn } from './use-answer';

/** The veils of what belongs to no step. A place is left clear by the stage itself. */
const COMMON: FocusVeils = {
  swatch({ id }, { document }) {
    const { swatches } = document.palette;
    const index = swatches.findIndex((swatch) => swatch.id === id);
    const colours = swatches.map(({ colour }) => colour);
    return index < 0 ? null : { kind: 'swatch', index, colours };
  },
  masses: ({ which }, { document }) => ({
    kind: 'masses',
    which: [...which],
    squint: document.values.squint,
  }),
};

/** What the worker is to leave clear for what is pointed at, by the step that declares it. */
export function veilPartOf(
  steps: readonly DeskStep[],
  focus: Focus | null,
  context: VeilContext,
): VeilPart | null {
  if (focus === null) return null;
  for (const veils of [COMMON, ...steps.map((step) => step.veils ?? {})]) {
    const own = veils[focus.kind] as
      ((focus: Focus, context: VeilContext) => VeilPart | null) | undefined;
    if (own) return own(focus, context);
  }
  return null;
}

/** Dims all but the part that is pointed at. */
export function useVeil(): Drawn {
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const document = useDocument((whole) => whole);
  const steps = useSteps();
  const { settings } = useSettings();
  const part = useMemo(
    () =>
      veilPartOf(steps, focus, {
        document,
        wheel: settings.wheel,
        scaleStep: stepOf(settings.scale),
      }),
    [steps, focus, document, settings.wheel, settings.scale],
  );
  const drawn = useDrawn<'veil'>(part && { kind: 'veil', part });
  // What was pointed at before is not what is pointed at now.
  return drawn.stale ? { canvas: null, stale: true } : drawn;
}
