'use client';

import { useMemo, useRef, useState } from 'react';
import { readFit } from '@/core/palette/missing';
import type { Picture } from '@/core/picture/picture';
import type { UsedColour } from '@/contracts/use';
import { FileButton } from '@/ui/file-button';
import { showError } from '@/ui/notices';
import { Fold } from '@/ui/panel-parts';
import { drawPictureFile } from '@/ui/picture-file';
import { BelongsLists } from './belongs-lists';
import { belongsSentence } from './use-sentences';

/** Large enough to read colours by, small enough to be read at once. */
const SIDE = 600;

/** Holds any picture against a palette of at least one colour without keeping it: a photograph of what was painted. */
export function BelongsFile({ colours }: { colours: readonly UsedColour[] }) {
  const frame = useRef<HTMLCanvasElement>(null);
  const [held, setHeld] = useState<{ name: string; picture: Picture } | null>(null);
  // Another palette is held against the same picture.
  const found = useMemo(
    () =>
      held &&
      readFit(
        held.picture,
        colours.map(({ colour }) => colour),
      ),
    [held, colours],
  );
  const open = async (file: File) => {
    try {
      if (!frame.current) return;
      setHeld({ name: file.name, picture: await drawPictureFile(file, frame.current, SIDE) });
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Fold title="Another picture" aside={held?.name ?? 'what you painted'}>
      <canvas ref={frame} className={held ? 'mb-2 max-h-48 max-w-full' : 'hidden'} aria-hidden />
      {found && (
        <div className="mb-2" role="group" aria-label="Another picture">
          <p role="status" className="mb-2 text-[15px] leading-snug">
            {belongsSentence(found)}
          </p>
          <BelongsLists found={found} colours={colours} />
        </div>
      )}
      <FileButton label="A photograph …" accept="image/*" onFile={(file) => void open(file)} />
      <p className="mt-2 text-sm leading-snug text-soft">
        It is only looked at. Import it on the Wall to see where colours crept in.
      </p>
    </Fold>
  );
}
