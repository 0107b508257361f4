'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { HiddenColour } from '@/core/amplify/hidden';
import { Button } from '@/ui/button';
import { capital, percent } from '@/ui/words';
import { Finding } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { hiddenSentence, shiftWord, sureWord } from './hidden-sentences';
import { MapDialog } from './map-dialog';
import { EyeTest } from './eye-test';
import { useAddHidden, type Halves } from './use-add-hidden';
import { useHidden } from './use-hidden';

/** The quiet colours one by one: where, how much, as they are and as they are pushed. */
export function ListTab() {
  const { value: list, stale } = useHidden();
  const add = useAddHidden();
  const [sheet, setSheet] = useState(false);
  const [testedAt, setRiddle] = useState<number | null>(null);
  if (!list) return <Finding>Looking for what is barely there …</Finding>;
  const { colours } = list;
  // Another list, another test.
  const tested = testedAt === null ? undefined : (colours[testedAt] as HiddenColour | undefined);
  if (tested && testedAt !== null)
    return (
      <EyeTest
        key={testedAt}
        colour={tested}
        index={testedAt}
        onNext={() => setRiddle((testedAt + 1) % colours.length)}
        onClose={() => setRiddle(null)}
      />
    );
  return (
    <>
      <Finding stale={stale} focus={colours.length > 0 ? { kind: 'hidden', index: 0 } : null}>
        {hiddenSentence(colours)}
      </Finding>
      {colours.length > 0 && (
        <>
          <p className="border-b pb-1 text-sm text-soft">
            As it is and strengthened; click a colour, or + for both, to add it.
          </p>
          <ol className="mb-3">
            {colours.map((colour, i) => (
              <Row key={i} colour={colour} index={i} onAdd={(halves) => add([colour], halves)} />
            ))}
          </ol>
          <div className="flex flex-wrap gap-2">
            <Button weight="strong" className="grow" onClick={() => add(colours, 'both')}>
              Add all as pairs
            </Button>
            <Button className="grow" onClick={() => setSheet(true)}>
              Map to print …
            </Button>
            <Button className="grow" onClick={() => setRiddle(0)}>
              Test my eye
            </Button>
          </div>
        </>
      )}
      {sheet && <MapDialog colours={colours} onClose={() => setSheet(false)} />}
    </>
  );
}

/** The two halves of a pair as they are said. */
const HALF_WORDS: Record<Exclude<Halves, 'both'>, string> = {
  'as it is': 'as it is',
  pushed: 'strengthened',
};

interface RowProps {
  colour: HiddenColour;
  index: number;
  onAdd: (halves: Halves) => void;
}

function Row({ colour, index, onAdd }: RowProps) {
  const { readsAs, is, place, share, departure, moved, sureness } = colour;
  const words = `${readsAs} ${place}`;
  return (
    <li className="flex items-center gap-2 border-b py-0.5">
      <span className="w-4 shrink-0 text-right font-serif italic">{index + 1}</span>
      <span className="flex shrink-0">
        {(['as it is', 'pushed'] as const).map((half) => (
          <button
            key={half}
            type="button"
            aria-label={`Add ${words}, ${HALF_WORDS[half]}`}
            title={`Add it ${HALF_WORDS[half]}`}
            className="h-11 w-10"
            style={{ background: hexFromOklab(half === 'pushed' ? colour.pushed : colour.colour) }}
            onClick={() => onAdd(half)}
          />
        ))}
      </span>
      <Pointing focus={{ kind: 'hidden', index }} className="min-w-0 grow py-1 leading-tight">
        <span className="block text-[15px]">
          {capital(readsAs)} {place}
        </span>
        <span
          className="block text-[13px] text-soft"
          title={`Off the overall tint by ${departure.toFixed(3)} in a and b, shifted by ΔE00 ${moved.toFixed(1)}, sureness ${sureness.toFixed(2)}`}
        >
          {percent(share)}, {is !== readsAs && `itself ${is}, `}
          {shiftWord(moved)}, {sureWord(sureness)}
        </span>
      </Pointing>
      <Button
        weight="quiet"
        aria-label={`Add both of ${words}`}
        className="shrink-0"
        onClick={() => onAdd('both')}
      >
        <Plus size={18} aria-hidden />
      </Button>
    </li>
  );
}
