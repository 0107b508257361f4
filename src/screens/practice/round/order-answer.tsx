'use client';

import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  horizontalListSortingStrategy,
  SortableContext,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { Button } from '@/ui/button';
import { useKeys } from './use-keys';

/** Colours put in order: dragged, moved by arrows, or called by their numbers one after another from the darkest. */
export function OrderAnswer({
  colours,
  onOrder,
}: {
  colours: readonly Oklab[];
  onOrder: (order: readonly number[]) => void;
}) {
  const [places, setPlaces] = useState(() => [...colours.keys()]);
  // How many were called by their numbers so far: they stand in front.
  const [called, setCalled] = useState(0);
  const [said, setSaid] = useState('');
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const move = (from: number, to: number) => {
    if (to < 0 || to >= places.length || from < 0) return;
    setPlaces(arrayMove(places, from, to));
    setSaid(`Colour ${places[from] + 1} is at place ${to + 1} of ${places.length}.`);
  };
  const end = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    setCalled(0);
    move(places.indexOf(Number(active.id) - 1), places.indexOf(Number(over.id) - 1));
  };
  useKeys(({ key, target }) => {
    const place = Number(key) - 1;
    if (colours.at(place) && place >= 0 && Number.isInteger(place)) {
      const from = places.indexOf(place);
      if (from >= called) {
        move(from, called);
        setCalled((called + 1) % places.length);
      }
      return true;
    }
    const isOnButton = target instanceof Element && target.closest('button') !== null;
    if (key === 'Enter' && !isOnButton) onOrder(places);
    return key === 'Enter' && !isOnButton;
  });
  return (
    <div className="flex h-full w-full max-w-3xl flex-col gap-3">
      <div className="flex justify-between">
        <span>dark</span>
        <span className="max-sm:hidden">drag them, or call their numbers, the darkest first</span>
        <span>light</span>
      </div>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
        <SortableContext
          items={places.map((place) => place + 1)}
          strategy={horizontalListSortingStrategy}
        >
          <ul aria-label="Order" className="flex min-h-28 grow gap-2">
            {places.map((place, i) => (
              <Movable
                key={place}
                place={place}
                colour={colours[place]}
                position={`${i + 1} of ${places.length}`}
                onMove={(by) => {
                  setCalled(0);
                  move(i, i + by);
                }}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      <p role="status" className="sr-only">
        {said}
      </p>
      <Button weight="strong" className="min-h-12 self-center px-8" onClick={() => onOrder(places)}>
        That is the order
      </Button>
    </div>
  );
}

function Movable({
  place,
  colour,
  position,
  onMove,
}: {
  place: number;
  colour: Oklab;
  position: string;
  onMove: (by: number) => void;
}) {
  // dnd-kit takes an id of 0 for none.
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: place + 1,
  });
  return (
    <li className="flex min-w-0 grow basis-0">
      <button
        ref={setNodeRef}
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Colour ${place + 1}, place ${position}; arrows move it`}
        className={`flex w-full touch-none flex-col ${isDragging ? 'z-10 shadow-[0_6px_14px_rgba(0,0,0,0.45)]' : ''}`}
        style={{ transform: CSS.Translate.toString(transform), transition }}
        onKeyDown={(event) => {
          const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onMove(by);
        }}
      >
        <span className="block w-full grow" style={{ background: hexFromOklab(colour) }} />
        <kbd className="h-8 w-full pt-1 text-center font-sans">{place + 1}</kbd>
      </button>
    </li>
  );
}
