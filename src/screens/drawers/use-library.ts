'use client';

import { useEffect, useRef, useState } from 'react';
import {
  libraryContentSchema,
  librarySchema,
  savedLibrarySchema,
  type Library,
  type LibraryContent,
} from '@/contracts/library';
import { call, RefusedError } from '@/ui/api';
import { say, showFault } from '@/ui/notices';
import { createSaver, type Saved, type Saver, type SaveState } from '@/ui/sync/saver';

/** A library's content that saves itself, and merges what another window saved. */
export function useLibrary(library: Library) {
  const [content, setContent] = useState<LibraryContent>(() => contentOf(library));
  const [saveState, setSaveState] = useState<SaveState>('saved');
  // A notice's undo is pressed long after it was made: changes work on what is here then.
  const current = useRef(content);
  const saver = useRef<Saver<LibraryContent> | null>(null);

  useEffect(() => {
    const made = createSaver<LibraryContent>({
      start: { revision: library.revision, value: contentOf(library) },
      send: async (basedOn, value) => {
        const body = { basedOn, content: value };
        const keepalive = JSON.stringify(body).length < 60_000;
        const { revision } = await call(
          'PUT',
          `/api/libraries/${library.id}`,
          savedLibrarySchema,
          body,
          { keepalive },
        );
        return revision;
      },
      newerIn,
      passing: (error) =>
        error instanceof RefusedError && (error.status === 0 || error.status >= 500),
      onMerged: (merged, _, conflicts) => {
        current.current = merged;
        setContent(merged);
        if (conflicts.length > 0) say('Changed here and in another window; yours stands.');
      },
      onState: setSaveState,
      onRefused: showFault,
    });
    saver.current = made;
    const flush = () => void made.flush();
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      void made.flush().finally(made.stop);
    };
  }, [library]);

  const change = (edit: (was: LibraryContent) => LibraryContent) => {
    const next = edit(current.current);
    current.current = next;
    setContent(next);
    if (libraryContentSchema.safeParse(next).success) saver.current?.offer(next);
  };
  return { content, change, saveState };
}

function contentOf({ name, note, tags, swatches }: Library): LibraryContent {
  return { name, note, tags, swatches };
}

function newerIn(error: unknown): Saved<LibraryContent> | null {
  if (!(error instanceof RefusedError) || error.code !== 'newer') return null;
  const parsed = librarySchema.safeParse(error.detail);
  return parsed.success ? { revision: parsed.data.revision, value: contentOf(parsed.data) } : null;
}
