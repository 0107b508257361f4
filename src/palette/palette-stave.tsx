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
import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import { layStave } from '@/core/palette/stave-layout';
import { moveSwatch, newId } from '@/study/edits';
import { mergeSwatches } from '@/study/palette-edits';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { useSize } from '@/ui/use-size';
import { selectionAfter, usePaletteHost, usePaletteState, useSwatches } from './host';
import { StaveHead } from './stave-head';
import { TrayBlock } from './tray-block';
import { ValueLines } from './value-lines';

const MIN_COLUMN = 40;
const BLOCK = 24;
const LABEL = 18;
/** More than these are drawn, but not taken hold of one by one. */
const MAX_BLOCKS = 128;

/** Columns are of all widths: what is dragged goes where the finger is; on the keyboard, to the nearest. */
const underPointer: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : closestCenter(args);
};

interface Props {
  /** Said where there is no swatch. */
  empty: string;
  onSelect?: () => void;
  /** What stands at its end. */
  children?: ReactNode;
}

/** A palette as a stave: its swatches are selected, dragged, merged and deleted on it. */
export function PaletteStave({ empty, onSelect, children }: Props) {
  const host = usePaletteHost();
  const swatches = useSwatches();
  const selected = usePaletteState((state) => state.selected);
  const chosen = usePaletteState((state) => state.chosen);
  const choosing = usePaletteState((state) => state.choosing);
  const { settings } = useSettings();
  const lines = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(lines);
  const room = Math.max(20, height - BLOCK - LABEL);
  const isDrawnOnly = swatches.length > MAX_BLOCKS;
  const least = isDrawnOnly ? 0 : swatches.length * MIN_COLUMN;
  const columns = layStave(
    swatches.map((swatch) => swatch.share),
    Math.max(width, least),
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

  const move = (id: string, to: number) => host.change((document) => moveSwatch(document, id, to));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = swatches.findIndex(({ id }) => id === over?.id);
    if (to >= 0) move(String(active.id), to);
  };
  const select = (id: string, adding: boolean) => {
    host.select(selectionAfter(host.store.getState(), id, adding || choosing));
    onSelect?.();
  };
  const onKey = (event: KeyboardEvent, id: string, at: number) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      host.remove(chosen.includes(id) ? chosen : [id]);
    } else if (event.key === 'Enter' && event.shiftKey) {
      event.preventDefault();
      select(id, true);
    } else if (event.key.toLowerCase() === 'm' && chosen.length > 1) {
      event.preventDefault();
      event.stopPropagation();
      host.change((document) => mergeSwatches(document, new Set(chosen), newId));
      host.select({ selected: null, chosen: [] });
    } else if (event.altKey && by) {
      event.preventDefault();
      move(id, at + by);
    }
  };

  return (
    <section aria-label="Palette" className="flex h-full bg-sheet">
      <StaveHead />
      <div
        className="relative min-w-0 grow overflow-x-auto overflow-y-hidden px-3 py-2.5"
        data-testid="tray"
      >
        <div ref={lines} className="relative ml-6 h-full" style={{ minWidth: least }}>
          {isDrawnOnly && height > 0 && (
            <Stave
              swatches={swatches}
              scale={settings.scale}
              height={height}
              label={staveWords(swatches)}
              marked={chosen.length > 0 ? new Set(chosen) : undefined}
            />
          )}
          {!isDrawnOnly && (
            <>
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
                        onPoint={(on) => host.select({ hovered: on ? swatch.id : null })}
                        onKey={(event) => onKey(event, swatch.id, i)}
                      />
                    ))}
                </SortableContext>
              </DndContext>
            </>
          )}
          {swatches.length === 0 && (
            <p className="absolute inset-0 flex items-center font-serif text-xl leading-tight italic">
              <span className="bg-sheet pr-3">{empty}</span>
            </p>
          )}
        </div>
      </div>
      {children}
    </section>
  );
}
