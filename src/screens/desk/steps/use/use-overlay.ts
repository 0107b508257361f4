'use client';

import { keepPart } from '@/study/use-edits';
import { useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import type { Mark, StepOverlay } from '../../step';
import { useAnswer, useDrawn } from '../../use-answer';
import { useStrokes } from '../../use-strokes';
import { insteadOf } from './instead';
import { transferView } from './transfer-view';
import { useHoldMass } from './use-hold-mass';
import { useEcho } from './use-echo';
import { useTried } from './use-tried';

/** The picture as it was made, over the picture or beside it; a touch opens a mass, or gives it the colour in hand. */
export function useTransferOverlay(): StepOverlay {
  const [view, look] = useStepView(transferView);
  const tool = useDesk((state) => state.tool);
  const squint = useDocument((document) => document.values.squint);
  const { ask } = usePicture();
  const { set } = useDeskStore().getState();
  const { query, kind } = useTried();
  const made = useDrawn<'transferred' | 'mood' | 'whatIf' | 'oneKey' | 'failing' | 'unreached'>(
    query,
  );
  const hold = useHoldMass();
  const takesMasses = view.tab === 'palette' || view.tab === 'what-if';
  const { value: masses } = useAnswer<'subject'>(
    takesMasses && view.mass !== null ? { kind: 'subject', squint } : null,
  );
  const open = view.mass === null ? undefined : masses?.[view.mass];
  const echoes = useEcho();
  const marks: Mark[] = [
    ...(open ? [{ id: 'mass', ...open.place, radius: 0.02, strong: true }] : []),
    ...echoes.map((place, i) => ({
      id: `echo ${i}`,
      ...place,
      radius: 0.018,
      strong: true,
      label: 'echo',
    })),
  ];
  return {
    lens: made,
    marks,
    onTap: takesMasses
      ? (place) => {
          if (view.tab === 'palette' && view.colour) void hold(place, view.colour);
          else {
            set({ pinned: null });
            void ask<'massAt'>({ kind: 'massAt', squint, place }).then((mass) => look({ mass }));
          }
        }
      : undefined,
    onStroke: useStrokes(view.tab !== 'kept' && view.tab !== 'belongs', keepPart),
    // A hand that draws needs the one picture it draws on.
    instead: tool === 'look' && kind ? insteadOf(view.tab, view.look) : undefined,
  };
}
