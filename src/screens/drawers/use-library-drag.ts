'use client';

import {
  KeyboardSensor,
  pointerWithin,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragStartEvent,
} from '@dnd-kit/core';
import { useState } from 'react';

interface Drops {
  onOrder: (id: string, before: string) => void;
  /** Into a folder, or out of any. */
  onMove: (id: string, folder: string | null) => void;
}

/** A library that is dragged: its name while it is, and where it is let go. */
export function useLibraryDrag({ onOrder, onMove }: Drops) {
  const [dragged, setDragged] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    if (!over) return;
    const id = String(active.id);
    const target = over.data.current as { folder?: string | null; before?: string } | undefined;
    if (target?.before !== undefined) {
      if (target.before !== id) onOrder(id, target.before);
    } else if (target && 'folder' in target) onMove(id, target.folder ?? null);
  };
  return {
    dragged,
    handlers: {
      sensors,
      collisionDetection: pointerWithin,
      onDragStart: ({ active }: DragStartEvent) =>
        setDragged(String(active.data.current?.name ?? '')),
      onDragEnd,
      onDragCancel: () => setDragged(null),
    },
  };
}
