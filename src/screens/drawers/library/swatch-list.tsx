'use client';

import { useState } from 'react';
import type { Swatch } from '@/contracts/library';
import { LongList } from '@/ui/long-list';
import type { SwatchPart } from './swatch-details';
import { SwatchRow } from './swatch-row';

const ROW = 77;
/** The stave lies over the top of the list. */
const STAVE = 208;

interface Props {
  libraryId: string;
  swatches: readonly Swatch[];
  /** The swatch that is open. */
  opened: string | null;
  chosen: ReadonlySet<string>;
  onOpen: (id: string | null) => void;
  onChoose: (id: string) => void;
  onChange: (id: string, part: SwatchPart) => void;
  onDelete: (id: string) => void;
}

/** The swatches of a library; one that is opened elsewhere is brought into sight. */
export function SwatchList({ libraryId, swatches, opened, chosen, ...on }: Props) {
  // A row that was opened here is in sight already.
  const [openedHere, setOpenedHere] = useState<string | null>(null);
  const start = opened === openedHere ? undefined : swatches.findIndex(({ id }) => id === opened);
  return (
    <LongList
      label="Swatches"
      count={swatches.length}
      tall={ROW}
      keyOf={(at) => swatches[at].id}
      start={start}
      align="auto"
      covered={STAVE}
    >
      {(at) => {
        const swatch = swatches[at];
        return (
          <SwatchRow
            libraryId={libraryId}
            swatch={swatch}
            open={opened === swatch.id}
            chosen={chosen.has(swatch.id)}
            onOpen={(open) => {
              setOpenedHere(open ? swatch.id : null);
              on.onOpen(open ? swatch.id : null);
            }}
            onChoose={() => on.onChoose(swatch.id)}
            onChange={(part) => on.onChange(swatch.id, part)}
            onDelete={() => on.onDelete(swatch.id)}
          />
        );
      }}
    </LongList>
  );
}
