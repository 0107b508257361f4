'use client';

import Link from 'next/link';
import { oklabFromHex } from '@/core/colour/hex';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { PatternCard } from '@/contracts/pattern-drawing';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, several } from '@/ui/words';

/** More blocks than these are lines. */
const MAX_BLOCKS = 24;
/** How high a drawing may stand, in rem. */
const ROOM = 11.5;

/** A pattern among others: the drawing repeated, its own colours as a stave. */
export function PatternTile({
  pattern: { id, title, drawing, width, height, colours, colourways },
  onDelete,
}: {
  pattern: PatternCard;
  onDelete: () => void;
}) {
  const { settings } = useSettings();
  const swatches = colours
    .toSorted((one, other) => other.share - one.share)
    .slice(0, MAX_BLOCKS)
    .map(({ hex, share }) => ({ id: hex, name: hex, colour: oklabFromHex(hex)!, share }));
  const source = hrefOf(endpoints.getDrawing, { id, hash: drawing });
  return (
    <li className="flex flex-col border border-line bg-sheet">
      <Link href={`/colourways/${id}`} aria-label={title} className="block hover:opacity-90">
        <span className="flex h-52 items-center justify-center overflow-hidden bg-surround p-3">
          <img
            src={source}
            alt=""
            className="bg-white"
            style={{
              aspectRatio: `${width} / ${height}`,
              width: `min(100%, ${(ROOM * width) / height}rem)`,
            }}
          />
        </span>
        <span className="block px-3 pt-2">
          <Stave
            swatches={swatches}
            scale={settings.scale}
            height={44}
            label={staveWords(swatches)}
          />
          <span className="line-clamp-2 pt-2 font-serif text-xl leading-tight">{title}</span>
        </span>
      </Link>
      <div className="flex items-center justify-between gap-2 py-1 pr-1 pl-3 text-[15px] text-soft">
        {capital(several(colourways, 'colourway'))}
        <Button weight="quiet" aria-label={`Delete ${title}`} onClick={onDelete}>
          Delete
        </Button>
      </div>
    </li>
  );
}
