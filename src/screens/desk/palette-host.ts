'use client';

import { useMemo } from 'react';
import { lightWarmth } from '@/core/transfer/mood-light';
import type { TraySwatch } from '@/contracts/study';
import {
  paletteStoreOf,
  type PaletteHost,
  type PaletteState,
  type Selection,
} from '@/palette/host';
import { useDeskStore, useDocument, type DeskState } from './desk-store';
import { usePicture } from './picture-room';
import { useAnswer } from './use-answer';
import type { PaletteActions } from './use-palette';

/** The study on the Desk as what the palette's tools work on. */
export function usePaletteHostOfDesk({ change, remove }: PaletteActions): PaletteHost {
  const store = useDeskStore();
  return useMemo(
    () => ({
      store: paletteStoreOf(store, stateOf),
      change,
      remove,
      select: (part) => store.getState().set(attentionOf(part)),
      hasPicture: true,
      useZoneMeans,
      useLights,
      useParts,
      useReach,
    }),
    [store, change, remove],
  );
}

const useReach: PaletteHost['useReach'] = (colours, wheel) =>
  useAnswer<'reach'>(colours && { kind: 'reach', colours: [...colours], wheel });

/** An extracted swatch has a place that is a point: so much around it is looked at, as a share of the diagonal. */
const MIN_RADIUS = 0.03;

function useParts({ area, components }: TraySwatch): TraySwatch['components'] {
  const { framedArea } = usePicture();
  const place = area && components.length < 2 ? framedArea(area) : null;
  const { value } = useAnswer<'pick'>(
    place && {
      kind: 'pick',
      place: { x: place.x, y: place.y },
      radius: Math.max(MIN_RADIUS, place.radius),
      from: { kind: 'picture' },
    },
  );
  return components.length > 1 ? components : (value?.clusters ?? NO_PARTS);
}
const NO_PARTS: TraySwatch['components'] = [];

function useZoneMeans(): readonly number[] | null {
  const settings = useDocument((document) => document.values);
  const { value } = useAnswer<'values'>({ kind: 'values', settings, quick: false });
  return value?.zones.filter(({ share }) => share > 0).map(({ mean }) => mean) ?? null;
}

/** The moods that are kept with the study, and the one that is tried. */
function useLights(): readonly { name: string; warmth: number }[] {
  const { mood, variants } = useDocument((document) => document.use);
  return useMemo(() => {
    const kept = variants.flatMap(({ name, made }) =>
      made.kind === 'mood' ? [{ name, warmth: lightWarmth(made.choice.settings) }] : [],
    );
    return [{ name: mood.mood, warmth: lightWarmth(mood.settings) }, ...kept];
  }, [mood, variants]);
}

/** What is pointed at on the Desk may be other things than swatches. */
function attentionOf({ hovered, pinned, ...rest }: Partial<Selection>): Partial<DeskState> {
  const focusOf = (id: string | null) => id && ({ kind: 'swatch', id } as const);
  return {
    ...rest,
    ...(hovered !== undefined && { hovered: focusOf(hovered) || null }),
    ...(pinned !== undefined && { pinned: focusOf(pinned) || null }),
  };
}

function stateOf({
  history,
  hovered,
  pinned,
  selected,
  chosen,
  choosing,
}: DeskState): PaletteState {
  return {
    document: history.present,
    selected,
    chosen,
    choosing,
    hovered: hovered?.kind === 'swatch' ? hovered.id : null,
    pinned: pinned?.kind === 'swatch' ? pinned.id : null,
  };
}
