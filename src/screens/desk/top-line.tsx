'use client';

import { CircleHelp, Eye } from 'lucide-react';
import { Button } from '@/ui/button';
import { TopLine } from '@/ui/shell';
import { UndoRedo } from '@/ui/undo-redo';
import { useDesk, useDeskStore, useDocument } from './desk-store';
import { holdOriginal } from './shortcuts';
import { StudyHistory } from './study-history';

/** The study's title, what is saved, and the ways back and forward. */
export function DeskTopLine({ onHelp }: { onHelp: () => void }) {
  const title = useDocument((document) => document.title);
  const maker = useDocument((document) => document.maker);
  const saveState = useDesk((state) => state.saveState);
  const canUndo = useDesk((state) => state.history.past.length > 0);
  const canRedo = useDesk((state) => state.history.future.length > 0);
  const store = useDeskStore();
  const { undo, redo } = store.getState();
  return (
    <TopLine>
      <h1
        className="ml-1 min-w-0 truncate border-l pl-4 font-serif text-xl leading-8"
        title={title}
      >
        {title}
      </h1>
      {maker && <span className="truncate text-sm text-soft max-lg:hidden">{maker}</span>}
      <span
        role="status"
        className="ml-auto text-sm whitespace-nowrap text-soft"
        data-testid="save-state"
      >
        {saveState}
      </span>
      <Button
        weight="quiet"
        aria-label="Show the original while held (O)"
        title="Hold to see the original (O)"
        {...holdOriginal(store)}
      >
        <Eye size={20} aria-hidden />
      </Button>
      <UndoRedo canUndo={canUndo} canRedo={canRedo} undo={undo} redo={redo} />
      <StudyHistory />
      <Button weight="quiet" aria-label="Keys (?)" title="Keys (?)" onClick={onHelp}>
        <CircleHelp size={20} aria-hidden />
      </Button>
    </TopLine>
  );
}
