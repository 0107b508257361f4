'use client';

import { Button } from '@/ui/button';
import { FootBar } from '@/ui/foot-bar';

interface Props {
  chosen: number;
  onCompare: () => void;
  onMerge: () => void;
  onExport: () => void;
  onMove: () => void;
  onRemove: () => void;
  onNone: () => void;
}

/** What can be done with the libraries that are chosen. */
export function ChosenBar({ chosen, ...on }: Props) {
  return (
    <FootBar label="Chosen libraries" chosen={chosen} onNone={on.onNone}>
      {chosen === 2 && (
        <>
          <Button onClick={on.onCompare}>Compare</Button>
          <Button onClick={on.onMerge}>Merge</Button>
        </>
      )}
      <Button onClick={on.onExport}>Export</Button>
      <Button onClick={on.onMove}>Put in a folder</Button>
      <Button onClick={on.onRemove}>Into the bin</Button>
    </FootBar>
  );
}
