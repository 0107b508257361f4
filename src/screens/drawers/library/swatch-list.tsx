'use client';

import { useState } from 'react';
import type { Swatch } from '@/contracts/library';
import { LongList } from '@/ui/long-list';
import type { SwatchPart } from './swatch-details';
import { SwatchRow } from './swatch-row';

const ROW = 77;

interface Props {
  libraryId: string;
  swatches: readonly Swatch[];
  /** The swatch that is open, and brought into sight at first. */
  opened: string | null;
  chosen: ReadonlySet<string>;
  onOpen: (id: string | null) => void;
  onChoose: (id: string) => void;
  onChange: (id: string, part: SwatchPart) => void;
  onDelete: (swatch: Swatch, at: number) => void;
}

/** The swatches of a library. */
export function SwatchList({ libraryId, swatches, opened, chosen, ...on }: Props) {
  const [start] = useState(() => swatches.findIndex(({ id }) => id === opened));
  return (
    <LongList
      label="Swatches"
      count={swatches.length}
      tall={ROW}
      keyOf={(at) => swatches[at].id}
      start={start}
    >
      {(at) => {
        const swatch = swatches[at];
        return (
          <SwatchRow
            libraryId={libraryId}
            swatch={swatch}
            open={opened === swatch.id}
            chosen={chosen.has(swatch.id)}
            onOpen={(open) => on.onOpen(open ? swatch.id : null)}
            onChoose={() => on.onChoose(swatch.id)}
            onChange={(part) => on.onChange(swatch.id, part)}
            onDelete={() => on.onDelete(swatch, at)}
          />
        );
      }}
    </LongList>
  );
}
