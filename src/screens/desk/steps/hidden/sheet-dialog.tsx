'use client';

import { useMemo } from 'react';
import { Dialog } from '@/ui/dialog';
import { fileName } from '@/ui/keep-file';
import { useDocument } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { usePushSettings } from '../../push-settings';
import { useDrawn } from '../../use-answer';
import { beforeAfterSheet } from './hidden-sheets';
import { pushWords } from '../../push-words';
import { SheetPreview } from './sheet-preview';
import { useHidden } from './use-hidden';

/** What the camera saw and what was made of it, on one sheet. */
export function SheetDialog({ onClose }: { onClose: () => void }) {
  const title = useDocument((document) => document.title);
  const { canvas } = usePicture();
  const settings = usePushSettings();
  const list = useHidden();
  const drawn = useDrawn<'pushed'>({ kind: 'pushed', settings, quick: false });
  const words = pushWords(settings.push);
  const pushed = drawn.stale ? null : drawn.canvas;
  const colours = list.stale ? null : list.value?.colours;
  const sheet = useMemo(
    () =>
      canvas && pushed && colours
        ? beforeAfterSheet(title, `Quiet colours strengthened: ${words}.`, canvas, pushed, colours)
        : null,
    [title, words, canvas, pushed, colours],
  );
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Before and after"
      about="The picture as it came and strengthened, with its hidden colours."
    >
      <SheetPreview
        sheet={sheet}
        alt="The picture before and after, with the hidden colours listed"
        file={fileName(title, 'before and after', 'png')}
      />
    </Dialog>
  );
}
