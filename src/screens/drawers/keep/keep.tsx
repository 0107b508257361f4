'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { LocalCopy, StoreCheck } from '@/contracts/keep';
import { COPY_TIMES, type CopyTime } from '@/contracts/settings';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { download } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { useChanged, useFetched, useStored } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { several } from '@/ui/words';
import { RestoreForm } from './restore-form';
import { BackRoom } from '../back-room';

const TIME_TITLES: Record<CopyTime, string> = {
  never: 'never',
  day: 'every day',
  week: 'every week',
};

/** How everything is kept: a backup to take away, restoring from one, copies by themselves, and a check. */
export function KeepPage({ copies }: { copies: LocalCopy[] }) {
  const changed = useChanged(...Object.values(endpoints));
  return (
    <BackRoom>
      <h1 className="mb-4 font-serif text-3xl">Back up and restore</h1>
      <div className="grid gap-x-10 gap-y-8 md:grid-cols-2">
        <section aria-label="Back up" className="border-t border-ink pt-3">
          <h2 className="font-serif text-xl">Take everything along</h2>
          <p className="mt-1 mb-3">
            Studies, sessions, pictures, libraries, their histories and your settings, as one zip
            with a checksum for each part. It restores on any Bold Prism.
          </p>
          <Button weight="strong" onClick={() => download(hrefOf(endpoints.getBackup, {}))}>
            Make a backup
          </Button>
        </section>
        <CheckSection />
        <CopiesSection copies={copies} />
        <section aria-label="Restore" className="border-t border-ink pt-3">
          <h2 className="font-serif text-xl">Restore from a backup</h2>
          <RestoreForm onRestored={() => void changed()} />
        </section>
      </div>
    </BackRoom>
  );
}

/** "3.4 MB". */
function megabytes(bytes: number): string {
  return `${(bytes / 1024 / 1024).toFixed(1)} MB`;
}

/** "1.2 GB". */
function gigabytes(bytes: number): string {
  return `${(bytes / 1024 ** 3).toFixed(1)} GB`;
}

function CopiesSection({ copies: brought }: { copies: LocalCopy[] }) {
  const copies = useStored(endpoints.listCopies, {}, brought);
  const changed = useChanged(endpoints.listCopies, endpoints.getStoreState);
  const { settings, change } = useSettings();
  const { every, keep } = settings.copies;
  const [making, setMaking] = useState(false);
  const make = async () => {
    setMaking(true);
    try {
      const { size } = await call(endpoints.makeCopy, {});
      say(`A copy of ${megabytes(size)} was made, and read back whole.`);
      await changed();
    } catch (error) {
      showError(error);
      await changed();
    } finally {
      setMaking(false);
    }
  };
  return (
    <section aria-label="Copies" className="border-t border-ink pt-3">
      <h2 className="font-serif text-xl">Copies by themselves</h2>
      <p className="mt-1 mb-2">
        While Bold Prism runs it lays a copy beside its data, reads it back, and lets the oldest go.
      </p>
      <StoreStateSentence />
      <Choice
        label="A copy"
        value={every}
        options={COPY_TIMES.map((value) => ({ value, title: TIME_TITLES[value] }))}
        onChange={(next) => change({ copies: { keep, every: next } })}
      />
      <Slider
        label="keep"
        said="How many copies are kept"
        value={keep}
        min={1}
        max={10}
        words={String(keep)}
        onChange={(next) => change({ copies: { every, keep: next } })}
      />
      <Button className="mt-1" disabled={making} onClick={() => void make()}>
        {making ? 'Making a copy …' : 'Make a copy now'}
      </Button>
      {copies.length === 0 && <p className="mt-3 text-soft">There is no copy yet.</p>}
      <ul className="mt-3">
        {copies.map(({ name, madeAt, size }) => (
          <li key={name} className="flex items-center gap-3 border-t py-1">
            <span className="grow">{format(new Date(madeAt), 'd MMM yyyy, HH:mm')}</span>
            <span className="text-soft tabular-nums">{megabytes(size)}</span>
            <Button
              weight="quiet"
              className="underline"
              aria-label={`Take along the copy of ${format(new Date(madeAt), 'd MMM yyyy, HH:mm:ss')}`}
              onClick={() => download(hrefOf(endpoints.getCopy, { name }))}
            >
              Take along
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What everything takes on the disk, and whether copies fail. */
function StoreStateSentence() {
  const { data } = useFetched(endpoints.getStoreState, {});
  const { settings } = useSettings();
  if (!data) return null;
  const { store, copies, free, failed } = data;
  return (
    <>
      <p className="mb-2">
        What is kept takes {megabytes(store)}, its copies {megabytes(copies)}
        {free === null ? '' : `; ${gigabytes(free)} are free on this disk`}.
      </p>
      {failed && (
        <p role="alert" className="mb-3 border-l-4 border-ink pl-3 font-semibold">
          No copy could be made on {format(new Date(failed.at), 'd MMM yyyy, HH:mm')}: {failed.why}
          {settings.copies.every !== 'never' && ' It is tried again every hour.'}
        </p>
      )}
    </>
  );
}

function CheckSection() {
  const [found, setFound] = useState<StoreCheck | 'checking' | null>(null);
  const check = async () => {
    setFound('checking');
    try {
      setFound(await call(endpoints.checkStore, {}));
    } catch (error) {
      setFound(null);
      showError(error);
    }
  };
  return (
    <section aria-label="Check" className="border-t border-ink pt-3">
      <h2 className="font-serif text-xl">Check what is kept</h2>
      <p className="mt-1 mb-3">
        Reads every picture, study and library, and says what is not as it was stored. It changes
        nothing but what libraries are found by, where that is out of step.
      </p>
      <Button disabled={found === 'checking'} onClick={() => void check()}>
        {found === 'checking' ? 'Reading everything …' : 'Check now'}
      </Button>
      {found && found !== 'checking' && (
        <div role="status" className="mt-3">
          <p className="font-serif text-lg">
            {found.problems.length === 0
              ? `All is well: ${several(found.pictures, 'picture')}, ${several(found.studies, 'study', 'studies')} and ${several(found.libraries, 'library', 'libraries')} were read.`
              : `${several(found.problems.length, 'thing')} ${found.problems.length === 1 ? 'is' : 'are'} not as stored.`}
          </p>
          <ul className="list-disc pl-5">
            {[...found.problems, ...found.mended].map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
