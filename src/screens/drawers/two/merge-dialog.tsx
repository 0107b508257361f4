'use client';

import { cutText } from '@/core/text';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { mergedLibrary, type DuplicatePolicy } from '@/study/merged-library';
import type { Library } from '@/contracts/library';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';
import { showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Stave, staveWords } from '@/ui/stave';
import { capital, several } from '@/ui/words';
import { PairRow } from './pair-row';

interface Props {
  /** The two that become one; null closes it. */
  pair: readonly [Library, Library] | null;
  onDone: (made: { id: string; name: string; binned: string[] }) => void;
  onClose: () => void;
}

const KEEPING: readonly { value: DuplicatePolicy; title: string }[] = [
  { value: 'first', title: 'keep the first' },
  { value: 'mean', title: 'take their mean' },
  { value: 'both', title: 'keep both' },
];

/** Two libraries as one, with what to do about swatches that are nearly the same. */
export function MergeDialog({ pair, onDone, onClose }: Props) {
  return (
    <Dialog
      open={pair !== null}
      onClose={onClose}
      wide
      title="Merge two libraries"
      about="A new library takes all their swatches; near-duplicates are shown before."
    >
      {pair && <MergeForm key={pair.map(({ id }) => id).join()} pair={pair} onDone={onDone} />}
    </Dialog>
  );
}

function MergeForm({
  pair,
  onDone,
}: {
  pair: readonly [Library, Library];
  onDone: Props['onDone'];
}) {
  const [one, other] = pair;
  const { settings } = useSettings();
  const [name, setName] = useState(cutText(`${one.name} and ${other.name}`, 200));
  const [within, setWithin] = useState(5);
  const [keeping, setKeeping] = useState<DuplicatePolicy>('mean');
  const [bin, setBin] = useState(false);
  const [storing, setStoring] = useState(false);
  const { swatches, pairs } = mergedLibrary(one, other, within, keeping);
  const merge = async () => {
    setStoring(true);
    try {
      const ids = bin ? [one.id, other.id] : [];
      const made = await call(endpoints.createLibrary, {
        body: {
          name: name.trim(),
          note: cutText([one.note, other.note].filter(Boolean).join('\n'), 4000),
          tags: [...new Set([...one.tags, ...other.tags])].slice(0, 100),
          swatches,
          studyId: one.studyId === other.studyId ? one.studyId : null,
          insteadOf: ids,
        },
      });
      onDone({ id: made.id, name: name.trim(), binned: ids });
    } catch (error) {
      showError(error);
      setStoring(false);
    }
  };
  return (
    <div className="flex flex-col gap-3">
      <TextField
        label="Name of the new library"
        value={name}
        maxLength={200}
        error={name.trim() ? undefined : 'A library needs a name.'}
        onChange={(event) => setName(event.target.value)}
      />
      <p className="font-serif text-xl" data-testid="merge-finding">
        {pairs.length === 0
          ? 'No two of them are near-duplicates.'
          : `${capital(several(pairs.length, 'swatch', 'swatches'))} of the one ${pairs.length === 1 ? 'is' : 'are'} nearly in the other.`}{' '}
        Together they make {several(swatches.length, 'swatch', 'swatches')}.
      </p>
      <Slider
        label="alike"
        said="How near is a near-duplicate, in CIEDE2000"
        value={within}
        min={0.5}
        max={15}
        step={0.5}
        words={`ΔE ${within.toFixed(1)}`}
        onChange={setWithin}
      />
      <Choice label="Of near-duplicates" value={keeping} options={KEEPING} onChange={setKeeping} />
      {pairs.length > 0 && (
        <ul className="max-h-36 overflow-y-auto border-y" aria-label="Near-duplicates" tabIndex={0}>
          {pairs.map((near) => (
            <PairRow
              key={near.one}
              one={one.swatches[near.one]}
              other={other.swatches[near.other]}
              apart={near.apart}
            />
          ))}
        </ul>
      )}
      <div className="bg-panel p-2">
        <Stave
          swatches={swatches}
          scale={settings.scale}
          height={80}
          label={staveWords(swatches)}
        />
      </div>
      <label className="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          className="h-5 w-5 accent-ink"
          checked={bin}
          onChange={(event) => setBin(event.target.checked)}
        />
        Put the two into the bin
      </label>
      <Button
        weight="strong"
        className="self-start"
        disabled={!name.trim() || storing}
        onClick={() => void merge()}
      >
        Merge
      </Button>
    </div>
  );
}
