'use client';

import { useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import type { Lean } from '@/core/palette/lean';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';
import { useDesk, useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { sourceOf } from '../../use-palette';
import { LEAN_TITLES } from './lean-titles';

interface Props {
  count: number;
  keep: readonly Oklab[];
  chosen: Lean;
  onChoose: (lean: Lean) => void;
}

/** What each lean would extract, as small staves, and how far the picture is from it. */
export function LeanStaves(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        weight="quiet"
        className="text-sm underline"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Leans one by one' : 'Leans side by side'}
      </Button>
      {open && <Staves {...props} />}
    </>
  );
}

function Staves({ count, keep, chosen, onChoose }: Props) {
  const { scale } = useSettings().settings;
  const view = useDesk((state) => state.view);
  const document = useDocument((all) => all);
  const { value: leans, stale } = useAnswer<'leans'>({
    kind: 'leans',
    count,
    keep: [...keep],
    region: document.palette.region,
    from: sourceOf(view, document),
  });
  if (!leans) return <p className="text-soft">Extracting by each lean …</p>;
  const nearest = Math.min(...leans.map(({ meanDifference }) => meanDifference));
  return (
    <ul aria-label="Leans" aria-busy={stale} className="grid grid-cols-2 gap-1.5">
      {leans.map(({ lean, swatches, meanDifference }) => (
        <li key={lean}>
          <button
            type="button"
            aria-pressed={lean === chosen}
            onClick={() => onChoose(lean)}
            className="w-full border border-line bg-sheet p-1.5 text-left text-sm hover:border-ink aria-pressed:border-2 aria-pressed:border-ink"
          >
            <Stave
              swatches={swatches
                .map(({ colour, share }, i) => ({ id: String(i), name: '', colour, share }))
                .sort((one, other) => one.colour.L - other.colour.L)}
              scale={scale}
              height={56}
              label={`${swatches.length} colours`}
            />
            <span className="flex justify-between gap-2">
              <span className={lean === chosen ? 'font-semibold' : ''}>
                {LEAN_TITLES[lean].replace(/ only$/, '')}
              </span>
              <span title="Mean CIEDE2000 between the picture and these colours">
                {meanDifference.toFixed(1)}
                {meanDifference > nearest && ` (+${(meanDifference - nearest).toFixed(1)})`}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
