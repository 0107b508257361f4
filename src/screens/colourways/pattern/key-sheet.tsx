'use client';

import { Dialog } from '@/ui/dialog';
import { LOOKS } from './pattern-view';
import { LOOK_KEYS, LOOK_TITLES } from './looks';

/** All keys of a pattern. */
export function KeySheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const looks = LOOKS.map((look) => [LOOK_KEYS[look].toUpperCase(), LOOK_TITLES[look]]);
  const keys = [
    ...looks,
    ['S', 'the next surround'],
    ['Ctrl Z', 'undo'],
    ['Ctrl Shift Z', 'redo'],
    ['+ and −', 'zoom, on the drawing'],
    ['arrows', 'move it, once it is zoomed'],
    ['0', 'fit it'],
  ];
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-4 text-soft">
        In the palette, Enter takes a colour in hand; on a colour of the drawing it puts it there.
      </p>
    </Dialog>
  );
}
