'use client';

import type { Folder } from '@/contracts/library-search';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { several } from '@/ui/words';

interface Props {
  /** How many libraries look for a place; 0 closes it. */
  count: number;
  folders: readonly Folder[];
  onPut: (folderId: string | null) => void;
  onClose: () => void;
}

/** Puts libraries in a folder without dragging. */
export function FolderDialog({ count, folders, onPut, onClose }: Props) {
  return (
    <Dialog
      open={count > 0}
      onClose={onClose}
      title={
        count === 1 ? 'Where does it go?' : `Where do ${several(count, 'library', 'libraries')} go?`
      }
      about={
        folders.length === 0 ? 'There is no folder yet; make one on the left first.' : undefined
      }
    >
      <ul className="flex flex-col gap-2">
        {folders.map(({ id, name }) => (
          <li key={id}>
            <Button className="w-full justify-start" onClick={() => onPut(id)}>
              {name}
            </Button>
          </li>
        ))}
        <li>
          <Button weight="quiet" className="w-full justify-start" onClick={() => onPut(null)}>
            In no folder
          </Button>
        </li>
      </ul>
    </Dialog>
  );
}
