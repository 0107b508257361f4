'use client';

import { useMemo } from 'react';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import { protectPart } from '@/study/hidden-edits';
import { useSettings } from '@/ui/settings';
import { useDesk, useStepView } from '../../desk-store';
import { usePushSettings } from '../../push-settings';
import type { Mark, StepOverlay } from '../../step';
import { useAnswer, useDrawn } from '../../use-answer';
import { useStrokes } from '../../use-strokes';
import { BeforeAndAfter } from './before-and-after';
import { hiddenView } from './hidden-view';
import { useHidden } from './use-hidden';

/** The picture strengthened, or the map of its hidden colours with their outlines and numbers. */
export function useHiddenOverlay(): StepOverlay {
  const [{ tab, lens }] = useStepView(hiddenView);
  const tool = useDesk((state) => state.tool);
  const quick = useDesk((state) => state.sliding);
  const settings = usePushSettings();
  const wheel = useSettings().settings.wheel;
  const isMap = lens === 'map';
  const drawn = useDrawn<'pushed' | 'hiddenMap'>(
    isMap
      ? { kind: 'hiddenMap', settings, wheel }
      : lens === 'strengthened'
        ? { kind: 'pushed', settings, quick }
        : null,
  );
  const lines = useOutlines(isMap);
  const marks = useNumbers(isMap);
  const leaveAlone = useStrokes(tab === 'leave-alone', protectPart);
  // A hand that draws needs the one picture it draws on.
  const isTwo = tool === 'look' && (lens === 'beside' || lens === 'greys');
  return {
    lens: drawn,
    lines,
    marks,
    onStroke: leaveAlone,
    instead: isTwo ? <BeforeAndAfter greys={lens === 'greys'} /> : undefined,
  };
}

function useOutlines(isWanted: boolean): readonly DrawnLine[] {
  const { wheel } = useSettings().settings;
  const { value } = useAnswer<'hiddenOutlines'>(
    isWanted ? { kind: 'hiddenOutlines', wheel } : null,
  );
  return useMemo(
    () => (value ?? []).flatMap((rings) => rings.map((points) => ({ kind: 'soft', points }))),
    [value],
  );
}

/** The numbers of hidden colours on their map. */
function useNumbers(isWanted: boolean): readonly Mark[] {
  const { value } = useHidden(isWanted);
  return useMemo(
    () =>
      (value?.colours ?? []).map(({ point }, i) => ({
        id: `hidden ${i}`,
        ...point,
        radius: 0.002,
        strong: false,
        label: String(i + 1),
      })),
    [value],
  );
}
