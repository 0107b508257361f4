'use client';

import { useMemo, useState } from 'react';
import type { HiddenColour } from '@/core/amplify/hidden';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { fileName } from '@/ui/keep-file';
import { useSettings } from '@/ui/settings';
import { useDocument } from '../../desk-store';
import { usePushSettings } from '../../push-settings';
import { useAnswer, useDrawn } from '../../use-answer';
import { mapSheet } from './hidden-sheets';
import { listSheet } from './list-sheet';
import { SheetPreview } from './sheet-preview';

interface Props {
  colours: readonly HiddenColour[];
  onClose: () => void;
}

/** The map of hidden colours as a sheet to lay beside the easel. */
export function MapDialog({ colours, onClose }: Props) {
  const title = useDocument((document) => document.title);
  const settings = usePushSettings();
  const { wheel, scale } = useSettings().settings;
  const [what, setWhat] = useState<'map' | 'list'>('map');
  const { canvas: map } = useDrawn<'hiddenMap'>({ kind: 'hiddenMap', settings, wheel });
  const { value: outlines } = useAnswer<'hiddenOutlines'>({ kind: 'hiddenOutlines', wheel });
  const sheet = useMemo(() => {
    if (what === 'list') return listSheet(title, colours, scale);
    return map && outlines ? mapSheet(title, map, outlines, colours) : null;
  }, [what, title, map, outlines, colours, scale]);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Hidden colours on paper"
      about="A map with each region flat in its strengthened colour, or the list with value and temperature, from dark to light."
    >
      <div className="mb-3">
        <Choice
          label="What is printed"
          showLabel={false}
          value={what}
          options={[
            { value: 'map', title: 'the map' },
            { value: 'list', title: 'the list' },
          ]}
          onChange={setWhat}
        />
      </div>
      <SheetPreview
        sheet={sheet}
        alt={
          what === 'map'
            ? `Map of ${colours.length} hidden colours with their list`
            : `List of ${colours.length} hidden colours`
        }
        file={fileName(title, what === 'map' ? 'hidden colours' : 'hidden colours, list', 'png')}
      />
    </Dialog>
  );
}
