'use client';

import { useMemo } from 'react';
import { MAX_LIMITED, MIN_LIMITED } from '@/core/palette/reach';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import { useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { roundPlace, simplifyPath } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import { usePushSettings } from '../../push-settings';
import type { Mark, StepOverlay } from '../../step';
import { useDrawn } from '../../use-answer';
import { usePalette } from '../../use-palette';
import type { Point } from '../../view';
import { paletteView } from './palette-view';
import { useTestedPalette } from './tested-palette';

type LensKind = 'mapped' | 'failing' | 'reached' | 'squint' | 'zones' | 'pushed';

/** What colours are picked from or how the palette fits; the loop, and where swatches come from. */
export function usePaletteOverlay(): StepOverlay {
  const store = useDeskStore();
  const palette = usePalette();
  const tool = useDesk((state) => state.tool);
  const lens = useDrawn<LensKind>(useLensQuery());
  const lines = useRegionLine();
  const marks = useSwatchMarks();
  const takeRegion = useTakeRegion();
  const isLooping = tool === 'region';
  return {
    lens,
    lines,
    marks,
    onStroke: isLooping ? takeRegion : null,
    onTap: isLooping
      ? () => store.getState().set({ tool: 'look' })
      : (place) => void palette.pick(place),
  };
}

function useLensQuery(): QueryOf<LensKind> | null {
  const [{ tab, build, testLens, limited }] = useStepView(paletteView);
  const pickFrom = useDesk((state) => state.view.pickFrom);
  const values = useDocument((document) => document.values);
  const swatches = useDocument((document) => document.palette.swatches);
  const pushSettings = usePushSettings();
  const { colours } = useTestedPalette();
  if (tab === 'test' && colours.length > 0)
    return testLens === 'picture' ? null : { kind: testLens, colours };
  if (tab === 'build' && build === 'limited') {
    const members = swatches.filter(({ id }) => limited.includes(id)).map(({ colour }) => colour);
    const isEnough = members.length >= MIN_LIMITED && members.length <= MAX_LIMITED;
    return isEnough ? { kind: 'reached', colours: members } : null;
  }
  if (tab !== 'pick') return null;
  switch (pickFrom) {
    case 'picture':
      return null;
    case 'squint':
      return { kind: 'squint', squint: values.squint, quick: false };
    case 'zones':
      return { kind: 'zones', settings: values, look: 'colours', quick: false };
    case 'pushed':
      return { kind: 'pushed', settings: pushSettings, quick: false };
  }
}

/** The loop that extraction looks within, closed. */
function useRegionLine(): readonly DrawnLine[] {
  const region = useDocument((document) => document.palette.region);
  const { framedArea } = usePicture();
  return useMemo(
    () =>
      region
        ? [
            {
              kind: 'found',
              points: [...region, region[0]].map((point) => framedArea({ ...point, radius: 0 })),
            },
          ]
        : [],
    [region, framedArea],
  );
}

/** Where the swatches were taken that are selected or pointed at. */
function useSwatchMarks(): readonly Mark[] {
  const swatches = useDocument((document) => document.palette.swatches);
  const selected = useDesk((state) => state.selected);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const { framedArea } = usePicture();
  const pointed = focus?.kind === 'swatch' ? focus.id : null;
  return useMemo(
    () =>
      swatches.flatMap(({ id, area }) =>
        area && (id === selected || id === pointed)
          ? [{ id, ...framedArea(area), strong: id === selected }]
          : [],
      ),
    [swatches, selected, pointed, framedArea],
  );
}

/** Takes a drawn loop as the area that extraction looks within. */
function useTakeRegion(): (points: Point[]) => void {
  const store = useDeskStore();
  const { originalArea } = usePicture();
  return (points) => {
    if (points.length < 3) return;
    const region = simplifyPath(points).map((point) => roundPlace(originalArea(point, 0, true)));
    if (region.length < 3) return;
    store
      .getState()
      .change((document) => ({ ...document, palette: { ...document.palette, region } }));
    store.getState().set({ tool: 'look' });
  };
}
