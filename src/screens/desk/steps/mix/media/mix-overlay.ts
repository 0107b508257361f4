'use client';

import { useQuery } from '@tanstack/react-query';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { queryFor } from '@/ui/queries';
import { useDocument, useStepView } from '../../../desk-store';
import type { StepOverlay } from '../../../step';
import { useDrawn } from '../../../use-answer';
import { mixView } from '../mix-view';
import { inkSet } from '@/study/ink-set';

/** With inks the proof, or one plate, lies over the picture. */
export function useMixOverlay(): StepOverlay {
  const isInks = useDocument(({ medium }) => medium === 'inks');
  const [view] = useStepView(mixView);
  const { data: shelf } = useQuery(queryFor(endpoints.getShelf, {}));
  const set = isInks && shelf && view.ink !== 'none' ? inkSet(shelf.content, view) : null;
  const printed = set && {
    paper: set.paper,
    inks: set.inks,
    strengths: set.strengths,
    look: view.look,
  };
  const proof = useDrawn<'proof'>(
    printed && view.ink === 'proof' ? { kind: 'proof', ...printed } : null,
  );
  const plate = useDrawn<'plate'>(
    printed && view.ink !== 'proof' && Number(view.ink) <= printed.inks.length
      ? { kind: 'plate', ...printed, ink: Number(view.ink) - 1 }
      : null,
  );
  if (!printed) return {};
  return { lens: view.ink === 'proof' ? proof : plate };
}
