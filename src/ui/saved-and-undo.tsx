import type { DocumentState } from './sync/document-store';
import { UndoRedo } from './undo-redo';

/** Whether a document is saved, and the ways back and forward in it. */
export function SavedAndUndo<T>({
  history,
  saveState,
  undo,
  redo,
}: Pick<DocumentState<T>, 'history' | 'saveState' | 'undo' | 'redo'>) {
  return (
    <>
      <span role="status" className="ml-auto text-sm text-soft" data-testid="save-state">
        {saveState}
      </span>
      <UndoRedo
        canUndo={history.past.length > 0}
        canRedo={history.future.length > 0}
        undo={undo}
        redo={redo}
      />
    </>
  );
}
