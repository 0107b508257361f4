'use client';

import { keptBox, WHOLE } from '@/core/picture/framing';
import { say, showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { usePictureFacts } from '../../facts';
import { usePicture } from '../../picture-room';
import { CropFrame } from '../../stage/crop-frame';
import type { StepOverlay } from '../../step';
import { useDrawn } from '../../use-answer';
import type { Point } from '../../view';

/** Nothing under this OKLab lightness says what the light is like. */
const TOO_DARK = 0.12;

/** The crop's frame in place of the picture; a tap takes what ought to be grey. */
export function useLookOverlay(): StepOverlay {
  const tool = useDesk((state) => state.tool);
  const takeNeutral = useTakeNeutral();
  return {
    onTap: tool === 'neutral' ? (place) => void takeNeutral(place) : undefined,
    instead: tool === 'crop' ? <Cropping /> : undefined,
  };
}

function useTakeNeutral() {
  const store = useDeskStore();
  const { originalArea, ask } = usePicture();
  const { settings } = useSettings();
  return async (place: Point) => {
    try {
      const area = originalArea(place, settings.pickRadius);
      const found = await ask<'workingProbe'>({
        kind: 'workingProbe',
        place: { x: area.x, y: area.y },
        radius: area.radius,
      });
      if (!found) return say('There is no picture at this place.');
      if (found.colour.L < TOO_DARK)
        return say(
          'That is too dark to tell the light by. Click something lighter that ought to be grey.',
        );
      store
        .getState()
        .change((document) => ({ ...document, neutral: { ...area, cast: found.colour } }));
      store.getState().set({ tool: 'look' });
    } catch (error) {
      showError(error);
    }
  };
}

function Cropping() {
  const store = useDeskStore();
  const framing = useDocument((document) => document.framing);
  const { width, height } = usePictureFacts();
  const whole = useDrawn<'uncorrected'>({
    kind: 'uncorrected',
    framing: { angle: framing.angle, crop: WHOLE },
  });
  return (
    <CropFrame
      whole={whole.canvas}
      box={keptBox(framing, width / height)}
      onChange={(box) =>
        store
          .getState()
          .change(
            (document) => ({ ...document, framing: { ...document.framing, crop: box } }),
            'crop',
          )
      }
      onDone={() => store.getState().set({ tool: 'look' })}
    />
  );
}
