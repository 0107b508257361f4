'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { Button } from './button';
import { typing } from './typing';

interface Props {
  canUndo: boolean;
  canRedo: boolean;
  undo: () => void;
  redo: () => void;
}

type Way = 'undo' | 'redo';

/** Which way a key press goes, if either: Ctrl or Cmd with Z, Shift Z or Y. */
function wayOf(event: KeyboardEvent): Way | null {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return null;
  const key = event.key.toLowerCase();
  if (key === 'z') return event.shiftKey ? 'redo' : 'undo';
  return key === 'y' ? 'redo' : null;
}

/** The ways back and forward in a document, as two buttons and their keys. */
export function UndoRedo({ canUndo, canRedo, undo, redo }: Props) {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const way = wayOf(event);
      // A field has a history of its own.
      if (!way || typing(event)) return;
      event.preventDefault();
      if (way === 'undo') undo();
      else redo();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [undo, redo]);
  return (
    <>
      <Button
        weight="quiet"
        aria-label="Undo"
        title="Undo (Ctrl Z)"
        disabled={!canUndo}
        onClick={undo}
      >
        <Undo2 size={20} aria-hidden />
      </Button>
      <Button
        weight="quiet"
        aria-label="Redo"
        title="Redo (Ctrl Shift Z)"
        disabled={!canRedo}
        onClick={redo}
      >
        <Redo2 size={20} aria-hidden />
      </Button>
    </>
  );
}
