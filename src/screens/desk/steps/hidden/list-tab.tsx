'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { HiddenColour } from '@/core/amplify/hidden';
import { Button } from '@/ui/button';
import { capital, count, percent } from '@/ui/words';
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
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
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
  // Another list may be shorter.
  const picked = colours.filter((_, i) => chosen.has(i));
  const added = picked.length > 0 ? picked : colours;
  const which = picked.length > 0 ? count(picked.length) : 'all';
  return (
    <>
      <Finding stale={stale} focus={colours.length > 0 ? { kind: 'hidden', index: 0 } : null}>
        {hiddenSentence(colours)}
      </Finding>
      {colours.length > 0 && (
        <>
          <p className="border-b pb-1 text-sm text-soft">
            As it is and strengthened. A click on a colour adds it; tick some to add them together.
          </p>
          <ol className="mb-3">
            {colours.map((colour, i) => (
              <Row
                key={i}
                colour={colour}
                index={i}
                chosen={chosen.has(i)}
                onChoose={() => {
                  const next = new Set(chosen);
                  if (!next.delete(i)) next.add(i);
                  setChosen(next);
                }}
                onAdd={(halves) => add([colour], halves)}
              />
            ))}
          </ol>
          <p className="mb-1 text-sm font-semibold">Add {which} to the palette</p>
          <div className="mb-3 flex gap-2">
            {WAYS.map(({ halves, title }) => (
              <Button
                key={halves}
                weight={halves === 'both' ? 'strong' : 'plain'}
                className="grow px-2"
                aria-label={`Add ${which} ${title}`}
                onClick={() => {
                  add(added, halves);
                  setChosen(new Set());
                }}
              >
                {title}
              </Button>
            ))}
          </div>
          <div className="flex flex-wrap gap-2">
            <Button className="grow" onClick={() => setSheet(true)}>
              Map or list to print …
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

/** What of several goes into the palette. */
const WAYS: readonly { halves: Halves; title: string }[] = [
  { halves: 'as it is', title: 'as they are' },
  { halves: 'pushed', title: 'strengthened' },
  { halves: 'both', title: 'as pairs' },
];

/** The two halves of a pair as they are said. */
const HALF_WORDS: Record<Exclude<Halves, 'both'>, string> = {
  'as it is': 'as it is',
  pushed: 'strengthened',
};

interface RowProps {
  colour: HiddenColour;
  index: number;
  chosen: boolean;
  onChoose: () => void;
  onAdd: (halves: Halves) => void;
}

function Row({ colour, index, chosen, onChoose, onAdd }: RowProps) {
  const { readsAs, is, place, share, departure, moved, sureness } = colour;
  const words = `${readsAs} ${place}`;
  return (
    <li className="flex items-center gap-2 border-b py-0.5">
      <label className="flex min-h-11 w-9 shrink-0 items-center justify-between font-serif italic">
        <input
          type="checkbox"
          aria-label={`Choose ${words}`}
          checked={chosen}
          onChange={onChoose}
          className="h-4.5 w-4.5 accent-ink"
        />
        {index + 1}
      </label>
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
