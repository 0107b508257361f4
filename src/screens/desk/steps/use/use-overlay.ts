'use client';

import { MOOD_SETTINGS } from '@/core/transfer/moods';
import { useDesk, useDocument, useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import type { Mark, StepOverlay } from '../../step';
import { useDrawn } from '../../use-answer';
import { transferView } from './transfer-view';
import { useTransfer } from './use-transfer';

/** The picture in other colours, or in another mood; a touch opens a mass. */
export function useTransferOverlay(): StepOverlay {
  const [view, look] = useStepView(transferView);
  const quick = useDesk((state) => state.sliding);
  const squint = useDocument((document) => document.values.squint);
  const { made, masses } = useTransfer();
  const { ask } = usePicture();
  const isPalette = view.tab === 'palette';
  const transferred = useDrawn<'transferred'>(
    isPalette && made ? { kind: 'transferred', ...made, quick } : null,
  );
  const mood = useDrawn<'mood'>(
    !isPalette
      ? {
          kind: 'mood',
          settings: { ...MOOD_SETTINGS[view.mood], ...view.moved },
          squint,
          quick,
        }
      : null,
  );
  const open = view.mass === null ? undefined : masses[view.mass];
  const marks: Mark[] =
    isPalette && open
      ? [{ id: 'mass', ...open.place, radius: 0.02, strong: true, label: String(view.mass! + 1) }]
      : [];
  return {
    lens: isPalette ? transferred : mood,
    marks,
    onTap: isPalette
      ? (place) =>
          void ask<'massAt'>({ kind: 'massAt', squint, place }).then((mass) => look({ mass }))
      : undefined,
  };
}
