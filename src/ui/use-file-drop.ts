'use client';

import { useEffect } from 'react';
import { useDropzone } from 'react-dropzone';
import { typing } from './typing';

/**
 * Takes files that are dropped on a page, chosen, or pasted; `fromText` makes a file of a text that is
 * pasted outside a field, or null where it is none.
 */
export function useFileDrop(
  take: (files: File[]) => void,
  fromText: (text: string) => File | null = () => null,
) {
  const zone = useDropzone({ noClick: true, noKeyboard: true, onDrop: take });
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const files = Array.from(event.clipboardData?.files ?? []);
      if (files.length > 0) return take(files);
      if (typing(event)) return;
      const file = fromText(event.clipboardData?.getData('text/plain') ?? '');
      if (file) take([file]);
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, [take, fromText]);
  return zone;
}
