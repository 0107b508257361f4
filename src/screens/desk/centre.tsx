'use client';

import { memo, useLayoutEffect, useMemo, useState } from 'react';
import { useSettings } from '@/ui/settings';
import { useDesk, useDocument } from './desk-store';
import { usePicture } from './picture-room';
import { Stage } from './stage/stage';
import { useSteps, type DeskStep, type StepOverlay } from './step';
import { useDrawn } from './use-answer';
import { useVeil } from './use-veil';

const NO_LINES: NonNullable<StepOverlay['lines']> = [];
const NO_OVERLAY: StepOverlay = {};
const noOverlay = () => NO_OVERLAY;
const ignore = () => undefined;

/** The stage with what the open step lays over it, or what the step puts in its place. */
export function Centre() {
  const open = useDesk((state) => state.view.step);
  const steps = useSteps();
  const step = steps.find(({ id }) => id === open) ?? steps[0];
  const [overlay, setOverlay] = useState<StepOverlay>(NO_OVERLAY);
  return (
    <>
      <OverlayOf key={step.id} step={step} onOverlay={setOverlay} />
      {overlay.instead ?? <Looking overlay={overlay} />}
    </>
  );
}

/** Calls the step's own hook, in a component of its own: the stage stays as steps come and go. */
const OverlayOf = memo(function OverlayOf({
  step,
  onOverlay,
}: {
  step: DeskStep;
  onOverlay: (overlay: StepOverlay) => void;
}) {
  const useOverlay = step.useOverlay ?? noOverlay;
  const overlay = useOverlay();
  useLayoutEffect(() => onOverlay(overlay));
  return null;
});

function Looking({ overlay }: { overlay: StepOverlay }) {
  const { framedArea } = usePicture();
  const { settings } = useSettings();
  const at = useDesk((state) => state.view.at);
  const tool = useDesk((state) => state.tool);
  const brush = useDesk((state) => state.brush);
  const held = useDesk((state) => state.originalHeld);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const framing = useDocument((document) => document.framing);
  const veil = useVeil();
  const original = useDrawn<'uncorrected'>(held ? { kind: 'uncorrected', framing } : null);
  const { lens, lines = NO_LINES, marks, onTap = ignore, onStroke = null } = overlay;
  const allMarks = useMemo(
    () => [...(marks ?? []), ...(at ? [{ id: 'at', ...framedArea(at), strong: true }] : [])],
    [marks, at, framedArea],
  );
  return (
    <Stage
      lens={lens ?? null}
      original={original.canvas}
      veil={veil.canvas}
      spot={focus?.kind === 'place' ? focus : null}
      lines={lines}
      marks={allMarks}
      radius={tool === 'brush' ? brush.radius : settings.pickRadius}
      onStroke={onStroke}
      loops={tool !== 'brush'}
      onTap={(place) => {
        if (tool === 'brush' && onStroke) onStroke([place]);
        // A loop of one point is none.
        else if (tool !== 'lasso') onTap(place);
      }}
    />
  );
}
