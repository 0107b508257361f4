'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { BackupLook, KeptThing, Restored } from '@/contracts/keep';
import { call, sendFile } from '@/ui/api';
import { FileButton } from '@/ui/file-button';
import { Tick } from '@/ui/tick';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { capital, list, several } from '@/ui/words';

const STANDING_WORDS: Record<KeptThing['standing'], string> = {
  new: 'not here',
  same: 'here, the same',
  binned: 'in the bin here',
  differs: 'here, but changed',
};

/** A backup is looked into first; what of it comes back is the person's to say. */
export function RestoreForm({ onRestored }: { onRestored: () => void }) {
  const [look, setLook] = useState<BackupLook | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [busy, setBusy] = useState<'reading' | 'restoring' | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [differing, setDiffering] = useState<'keep' | 'both'>('keep');
  const [rest, setRest] = useState(true);
  const [settings, setSettings] = useState(false);
  const [done, setDone] = useState<Restored | null>(null);

  const failed = (error: unknown) =>
    setRefused(error instanceof Error ? error.message : 'It could not be read.');
  const read = async (file: File) => {
    setLook(null);
    setRefused(null);
    setDone(null);
    setLeft(new Set());
    setBusy('reading');
    await sendFile(endpoints.receiveBackup, {}, file).then(setLook, failed);
    setBusy(null);
  };
  const restore = async (from: BackupLook) => {
    const wanted = (things: readonly KeptThing[]) =>
      things.map(({ id }) => id).filter((id) => !left.has(id));
    setBusy('restoring');
    setRefused(null);
    await call(endpoints.restoreBackup, {
      body: {
        token: from.token,
        studies: wanted(from.studies),
        libraries: wanted(from.libraries),
        rest,
        settings,
        differing,
      },
    }).then((answer) => {
      setDone(answer);
      setLook(null);
      onRestored();
    }, failed);
    setBusy(null);
  };
  const things = look ? [...look.studies, ...look.libraries] : [];
  const differ = things.some(({ id, standing }) => standing === 'differs' && !left.has(id));
  return (
    <div className="mt-1 flex flex-col gap-3">
      <p>It is checked and shown first. Nothing that is here is ever overwritten.</p>
      <FileButton
        label="Choose a backup"
        accept=".zip,application/zip"
        onFile={(file) => void read(file)}
      />
      {busy === 'reading' && <p role="status">Reading all of it against its checksums …</p>}
      {refused && (
        <p role="alert" className="border border-ink bg-sheet p-3">
          {refused}
        </p>
      )}
      {done && (
        <p role="status" className="font-serif text-lg">
          {doneWords(done)}
        </p>
      )}
      {look && (
        <>
          <p className="font-serif text-lg">
            Made on {format(new Date(look.madeAt), 'd MMM yyyy, HH:mm')};{' '}
            {look.missing.length === 0
              ? 'it is whole.'
              : `${list(look.missing)} could not be read when it was made, and is not in it.`}
          </p>
          {(['studies', 'libraries'] as const).map((kind) => (
            <fieldset key={kind} className="min-w-0">
              <legend className="w-full border-b pb-1 text-sm font-semibold">
                {capital(kind)} ({look[kind].length})
              </legend>
              <ul className="max-h-72 overflow-y-auto" tabIndex={0} aria-label={capital(kind)}>
                {look[kind].map(({ id, name, standing, binned }) => (
                  <li key={id} className="border-b">
                    <label className="flex min-h-10 items-center gap-2.5">
                      <input
                        type="checkbox"
                        className="h-5 w-5 shrink-0 accent-ink"
                        checked={!left.has(id)}
                        onChange={() =>
                          setLeft((was) => {
                            const next = new Set(was);
                            if (!next.delete(id)) next.add(id);
                            return next;
                          })
                        }
                      />
                      <span className="min-w-0 grow truncate">{name}</span>
                      <span className="shrink-0 text-sm text-soft">
                        {binned ? 'from its bin, ' : ''}
                        {STANDING_WORDS[standing]}
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </fieldset>
          ))}
          {differ && (
            <Choice
              label="What was changed here"
              value={differing}
              options={[
                { value: 'keep', title: 'stays as it is' },
                { value: 'both', title: 'gets the other beside it' },
              ]}
              onChange={setDiffering}
            />
          )}
          <Tick checked={rest} onChange={setRest}>
            Folders, kept searches, scored guesses and patterns that are not here
          </Tick>
          <Tick checked={settings} onChange={setSettings}>
            The backup’s settings in place of mine
          </Tick>
          <Button
            weight="strong"
            className="self-start"
            disabled={busy !== null}
            onClick={() => void restore(look)}
          >
            {busy === 'restoring' ? 'Restoring …' : 'Restore what is ticked'}
          </Button>
        </>
      )}
    </div>
  );
}

function doneWords({ studies, libraries, pictures, left }: Restored): string {
  const parts = [
    ...(studies > 0 ? [several(studies, 'study', 'studies')] : []),
    ...(libraries > 0 ? [several(libraries, 'library', 'libraries')] : []),
    ...(pictures > 0 ? [several(pictures, 'picture')] : []),
  ];
  const came =
    parts.length > 0 ? `${capital(list(parts))} came back.` : 'All of it was here already.';
  return left > 0 ? `${came} What was changed here was left alone (${left}).` : came;
}
