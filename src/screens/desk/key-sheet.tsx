'use client';

import { Dialog } from '@/ui/dialog';
import { shortcutsOf } from './shortcuts';
import { useSteps } from './step';

/** All keys of the Desk; made from what is listened for. */
export function KeySheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const shortcuts = shortcutsOf(useSteps());
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr_auto_1fr] gap-x-4 gap-y-1.5">
        <Key keys="O, held" does="The original" />
        {shortcuts.map(
          ({ keys, does }) => keys && does && <Key key={keys} keys={keys} does={does} />,
        )}
        <Key keys="S" does="The next surround" />
        <Key keys="Ctrl Z" does="Undo" />
        <Key keys="Ctrl Shift Z" does="Redo" />
      </dl>
      <p className="mt-4 text-soft">
        On the picture, arrows move the place that is read and Enter takes it. In the tray, Space
        takes a swatch up and puts it down, Alt with an arrow moves it, Delete removes it.
      </p>
    </Dialog>
  );
}

function Key({ keys, does }: { keys: string; does: string }) {
  return (
    <>
      <dt className="font-semibold">{keys}</dt>
      <dd>{does}</dd>
    </>
  );
}
