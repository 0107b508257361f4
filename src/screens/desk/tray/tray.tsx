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
import { ArrowDownUp, ListChecks } from 'lucide-react';
import { useRef, useState } from 'react';
import { scaleMarks } from '@/core/colour/value-scale';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { layStave } from '@/core/palette/stave-layout';
import { several } from '@/ui/words';
import { selectionAfter, useDesk, useDeskStore, useDocument } from '../desk-store';
import { moveSwatch } from '@/study/edits';
import { mergeSwatches, ordered, ORDERS } from '@/study/palette-edits';
import { Menu } from '@/ui/menu';
import { useSize } from '../stage/stage';
import { goFor, useSteps } from '../step';
import { newId, usePalette } from '../use-palette';
import { SaveDialog } from './save-dialog';
import { TrayBlock } from './tray-block';

const MIN_COLUMN = 40;
const BLOCK = 24;
const LABEL = 18;

/** Columns are of all widths: what is dragged goes where the finger is; on the keyboard, to the nearest. */
const underPointer: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : closestCenter(args);
};

/** The study's palette as a stave: the palette's one home, always in view. */
export function Tray() {
  const palette = usePalette();
  const { swatches, count } = useDocument((document) => document.palette);
  const selected = useDesk((state) => state.selected);
  const chosen = useDesk((state) => state.chosen);
  const choosing = useDesk((state) => state.choosing);
  const store = useDeskStore();
  const steps = useSteps();
  const { settings } = useSettings();
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
      <div className="flex w-37 shrink-0 flex-col justify-between border-r px-4.5 py-3 max-[1000px]:w-30 max-[1000px]:px-3">
        <div>
          <h2 className="font-serif text-lg italic">Palette</h2>
          <p className="text-sm leading-snug text-soft">
            {swatches.length === 0 ? 'empty' : several(swatches.length, 'colour')}
            {swatches.some((swatch) => swatch.locked) &&
              `, ${swatches.filter((swatch) => swatch.locked).length} locked`}
          </p>
        </div>
        {swatches.length > 1 && (
          <div className="-mx-2 flex flex-col items-start">
            <Menu
              side="top"
              trigger={
                <Button weight="quiet" className="px-2 text-sm">
                  <ArrowDownUp size={16} aria-hidden /> Order
                </Button>
              }
              items={ORDERS.map((order) => ({
                title: `By ${order}`,
                onSelect: () => palette.change((document) => ordered(document, order)),
              }))}
            />
            <Button
              weight="quiet"
              className="px-2 text-sm aria-pressed:bg-ink aria-pressed:text-sheet"
              aria-pressed={choosing}
              onClick={() => store.getState().set({ choosing: !choosing })}
            >
              <ListChecks size={16} aria-hidden /> Several
            </Button>
          </div>
        )}
      </div>
      <div
        className="relative min-w-0 grow overflow-x-auto overflow-y-hidden px-3 py-2.5"
        data-testid="tray"
      >
        <div
          ref={lines}
          className="relative ml-6 h-full"
          style={{ minWidth: swatches.length * MIN_COLUMN }}
        >
          {scaleMarks(settings.scale).map(({ mark, value }, i) => (
            <div
              key={mark}
              className="absolute inset-x-0 border-t border-line"
              style={{ top: (1 - value / 10) * room + BLOCK / 2 }}
              aria-hidden
            >
              {(settings.scale.steps < 7 || i % 2 === 0) && (
                <span className="absolute -top-2 -left-6 w-5 text-right text-[11px] leading-4 text-soft">
                  {mark}
                </span>
              )}
            </div>
          ))}
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
