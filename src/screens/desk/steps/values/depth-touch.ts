'use client';

import { useMemo } from 'react';
import type { DepthWord } from '@/core/depth/depth-marks';
import { addDepthMark } from '@/study/depth-edits';
import { OPAQUE } from '@/core/picture/picture';
import { say, showError } from '@/ui/notices';
import { useDeskStore, useDocument } from '../../desk-store';
import { roundPlace } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import type { Mark } from '../../step';
import { useAnswer } from '../../use-answer';
import { newId } from '@/study/edits';
import type { Point } from '../../view';

const NO_MARKS: readonly Mark[] = [];
/** The ring that shows a marked mass, a share of the diagonal. */
const RING = 0.012;

/** Says of the mass at a place how far away it lies, or which way it faces; one step to undo. */
export function useDepthTouch(is: DepthWord): (place: Point) => void {
  const store = useDeskStore();
  const room = usePicture();
  return (place) => {
    if (!room.canvas || !isOpaqueAt(room.canvas, place))
      return say('There is no picture at this place.');
    const { x, y } = roundPlace(room.originalArea(place, 0));
    try {
      store.getState().change((document) => addDepthMark(document, { id: newId(), x, y, is }));
    } catch (error) {
      showError(error);
    }
  };
}

/** Whether a picture has a colour at a place: where it is transparent nothing can be marked. */
function isOpaqueAt(canvas: HTMLCanvasElement, { x, y }: Point): boolean {
  const at = (share: number, size: number) => Math.min(size - 1, Math.floor(share * size));
  const pixel = canvas
    .getContext('2d')
    ?.getImageData(at(x, canvas.width), at(y, canvas.height), 1, 1);
  return pixel !== undefined && pixel.data[3] >= OPAQUE;
}

/** What a hand has said, written on each mass. */
export function useDepthMarks(isWanted: boolean): readonly Mark[] {
  const squint = useDocument((document) => document.values.squint);
  const marks = useDocument((document) => document.depth.marks);
  const { value } = useAnswer<'depth'>(isWanted ? { kind: 'depth', squint, marks } : null);
  return useMemo(() => {
    if (!isWanted || !value) return NO_MARKS;
    return value.masses.flatMap(({ byHand, distance, facing, place }, i) => {
      const words = [byHand.distance && distance, byHand.facing && facing].filter(Boolean);
      return words.length === 0
        ? []
        : [{ id: `depth ${i}`, ...place, radius: RING, strong: true, label: words.join(', ') }];
    });
  }, [isWanted, value]);
}
