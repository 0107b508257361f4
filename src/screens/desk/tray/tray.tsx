'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
  pointerWithin,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
} from '@dnd-kit/sortable';
import { useRef, useState } from 'react';
import { Button } from '@/ui/button';
import { layStave } from '@/core/palette/stave-layout';
import { selectionAfter, useDesk, useDeskStore, useDocument } from '../desk-store';
import { moveSwatch } from '@/study/edits';
import { mergeSwatches } from '@/study/palette-edits';
import { useSize } from '../stage/stage';
import { goFor, useSteps } from '../step';
import { newId, usePalette } from '../use-palette';
import { SaveDialog } from './save-dialog';
import { TrayBlock } from './tray-block';
import { TrayHead } from './tray-head';
import { ValueLines } from './value-lines';

const MIN_COLUMN = 40;
const BLOCK = 24;
const LABEL = 18;

/** Columns are of all widths: what is dragged goes where the finger is; on the keyboard, to the nearest. */
const underPointer: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : closestCenter(args);
};

/** The study's palette as a stave, always in view. */
export function Tray() {
  const palette = usePalette();
  const { swatches, count } = useDocument((document) => document.palette);
  const selected = useDesk((state) => state.selected);
  const chosen = useDesk((state) => state.chosen);
  const choosing = useDesk((state) => state.choosing);
  const store = useDeskStore();
  const steps = useSteps();
  const [saving, setSaving] = useState(false);
  const lines = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(lines);
  const room = Math.max(20, height - BLOCK - LABEL);
  const columns = layStave(
    swatches.map((swatch) => swatch.share),
    Math.max(width, swatches.length * MIN_COLUMN),
    MIN_COLUMN,
  );
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
    }),
  );

  const move = (id: string, to: number) =>
    store.getState().change((document) => moveSwatch(document, id, to));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = swatches.findIndex(({ id }) => id === over?.id);
    if (to >= 0) move(String(active.id), to);
  };
  const select = (id: string, adding: boolean) => {
    store.getState().set(selectionAfter(store.getState(), id, adding || choosing));
    store.getState().look({ at: null });
    goFor(steps, 'look at a swatch', store.getState());
  };
  const onKey = (event: React.KeyboardEvent, id: string, at: number) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      palette.remove(chosen.includes(id) ? chosen : [id]);
    } else if (event.key === 'Enter' && event.shiftKey) {
      event.preventDefault();
      select(id, true);
    } else if (event.key.toLowerCase() === 'm' && chosen.length > 1) {
      event.preventDefault();
      event.stopPropagation();
      palette.change((document) => mergeSwatches(document, new Set(chosen), newId));
      store.getState().set({ selected: null, chosen: [] });
    } else if (event.altKey && by) {
      event.preventDefault();
      move(id, at + by);
    }
  };

  return (
    <section aria-label="Palette" className="flex h-full bg-sheet">
      <TrayHead />
      <div
        className="relative min-w-0 grow overflow-x-auto overflow-y-hidden px-3 py-2.5"
        data-testid="tray"
      >
        <div
          ref={lines}
          className="relative ml-6 h-full"
          style={{ minWidth: swatches.length * MIN_COLUMN }}
        >
          <ValueLines room={room} offset={BLOCK / 2} />
          <DndContext
            sensors={sensors}
            collisionDetection={underPointer}
            onDragEnd={onDragEnd}
            id="tray"
          >
            <SortableContext
              items={swatches.map(({ id }) => id)}
              strategy={horizontalListSortingStrategy}
            >
              {width > 0 &&
                swatches.map((swatch, i) => (
                  <TrayBlock
                    key={swatch.id}
                    swatch={swatch}
                    number={i + 1}
                    column={columns[i]}
                    block={BLOCK}
                    room={room}
                    selected={selected === swatch.id || chosen.includes(swatch.id)}
                    onSelect={(adding) => select(swatch.id, adding)}
                    onPoint={(on) =>
                      store
                        .getState()
                        .set({ hovered: on ? { kind: 'swatch', id: swatch.id } : null })
                    }
                    onKey={(event) => onKey(event, swatch.id, i)}
                  />
                ))}
            </SortableContext>
          </DndContext>
          {swatches.length === 0 && (
            <p className="absolute inset-0 flex items-center font-serif text-xl italic">
              Extract colours, or pick them from the picture.
            </p>
          )}
        </div>
      </div>
      <div className="flex w-40 shrink-0 flex-col justify-center gap-2 border-l px-3">
        <Button disabled={palette.busy} onClick={() => void palette.extract(count)}>
          {palette.busy ? 'Extracting …' : swatches.length === 0 ? 'Extract' : 'Extract again'}
        </Button>
        <Button weight="strong" disabled={swatches.length === 0} onClick={() => setSaving(true)}>
          Save to Drawers
        </Button>
      </div>
      {saving && <SaveDialog onClose={() => setSaving(false)} />}
    </section>
  );
}
