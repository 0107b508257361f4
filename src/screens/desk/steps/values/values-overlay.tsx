'use client';

import { useMemo } from 'react';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import { addCorrection } from '@/study/light-edits';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/core/colour/value-scale';

import { useDesk, useDocument, useStepView } from '../../desk-store';
import { usePairMarks, withPlace } from '../../pair-of-places';
import { usePicture } from '../../picture-room';
import type { Mark, StepOverlay } from '../../step';
import { useAnswer, useDrawn } from '../../use-answer';
import { useStrokes } from '../../use-strokes';
import type { Point } from '../../view';
import { useDepthMarks, useDepthTouch } from './depth-touch';
import { TwoGreys } from './two-greys';
import { lensOf, valuesView, type Lens, type ValueTab } from './values-view';

type LensKind = 'squint' | 'greys' | 'zones' | 'sides' | 'haze' | 'busy';

/** What the step lays over the picture: another picture, lines, numbered places, a pair. */
export function useValuesOverlay(): StepOverlay {
  const [{ tab, lens: chosen, zoneLook, pair, touch }, look] = useStepView(valuesView);
  const quick = useDesk((state) => state.sliding);
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const marks = useDocument((document) => document.depth.marks);
  const side = useDesk((state) => state.brush.side);
  const room = usePicture();
  const lens = lensOf({ tab, lens: chosen });

  const { squint } = values;
  const queries: Partial<Record<Lens, QueryOf<LensKind>>> = {
    squint: { kind: 'squint', squint, quick },
    greys: { kind: 'greys' },
    zones: { kind: 'zones', settings: values, look: zoneLook, quick },
    sides: { kind: 'sides', squint, corrections },
    merging: { kind: 'greys' },
    busy: { kind: 'busy' },
    haze: { kind: 'haze', squint, marks },
  };
  const drawn = useDrawn<LensKind>(tab === 'greys' ? null : (queries[lens] ?? null));
  const lines = useEdgeLines(lens);
  const focal = useFocalMarks(tab === 'focus');
  const depth = useDepthMarks(tab === 'depth');
  const markDepth = useDepthTouch(touch);
  const places = usePairMarks(tab === 'separation' ? pair : NO_PLACES);
  const correct = useStrokes(tab === 'light', (document, stroke) =>
    addCorrection(document, { ...stroke, side }),
  );
  const taps: Partial<Record<ValueTab, (place: Point) => void>> = {
    separation: (place) => look({ pair: withPlace(pair, room.originalArea(place, 0)) }),
    depth: markDepth,
  };
  return {
    lens: drawn,
    lines,
    marks: tab === 'focus' ? focal : tab === 'depth' ? depth : places,
    onStroke: correct,
    onTap: taps[tab],
    instead: tab === 'greys' ? <TwoGreys /> : undefined,
  };
}

const NO_PLACES: readonly Point[] = [];
const NO_LINES: readonly DrawnLine[] = [];

/** The borders between masses, or only where masses merge. */
function useEdgeLines(lens: Lens): readonly DrawnLine[] {
  const squint = useDocument((document) => document.values.squint);
  const { settings } = useSettings();
  const merging = lens === 'merging' ? stepOf(settings.scale) / 2 : null;
  const isWanted = lens === 'edges' || lens === 'merging';
  const { value, stale } = useAnswer<'edgeLines'>(
    isWanted ? { kind: 'edgeLines', squint, merging } : null,
  );
  return stale ? NO_LINES : (value ?? NO_LINES);
}

/** The places of strongest contrast as numbered marks. */
function useFocalMarks(isWanted: boolean): readonly Mark[] {
  const { value } = useAnswer<'focus'>(isWanted ? { kind: 'focus' } : null);
  return useMemo(
    () =>
      (value?.places ?? []).map(({ x, y, radius }, i) => ({
        id: `focus ${i}`,
        x,
        y,
        radius,
        strong: i === 0,
        label: String(i + 1),
      })),
    [value],
  );
}
