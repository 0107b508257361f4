'use client';

import { useMemo } from 'react';
import type { HiddenColour } from '@/core/amplify/hidden';
import { Dialog } from '@/ui/dialog';
import { fileName } from '@/ui/keep-file';
import { useSettings } from '@/ui/settings';
import { useDocument } from '../../desk-store';
import { usePushSettings } from '../../push-settings';
import { useAnswer, useDrawn } from '../../use-answer';
import { mapSheet } from './hidden-sheets';
import { SheetPreview } from './sheet-preview';

interface Props {
  colours: readonly HiddenColour[];
  onClose: () => void;
}

/** The map of hidden colours as a sheet to lay beside the easel. */
export function MapDialog({ colours, onClose }: Props) {
  const title = useDocument((document) => document.title);
  const settings = usePushSettings();
  const { wheel } = useSettings().settings;
  const { canvas: map } = useDrawn<'hiddenMap'>({ kind: 'hiddenMap', settings, wheel });
  const { value: outlines } = useAnswer<'hiddenOutlines'>({ kind: 'hiddenOutlines', wheel });
  const sheet = useMemo(
    () => (map && outlines ? mapSheet(title, map, outlines, colours) : null),
    [title, map, outlines, colours],
  );
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Map of hidden colours"
      about="Each region flat in its strengthened colour, numbered as in the list; the rest pale in its values."
    >
      <SheetPreview
        sheet={sheet}
        alt={`Map of ${colours.length} hidden colours with their list`}
        file={fileName(title, 'hidden colours', 'png')}
      />
    </Dialog>
  );
}
