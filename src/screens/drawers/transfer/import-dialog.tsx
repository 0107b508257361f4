'use client';

import { useState } from 'react';
import { FORMATS } from '@/core/formats/formats';
import type { LibraryContent } from '@/contracts/library';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NoteField, TextField } from '@/ui/field';
import { showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, list, several } from '@/ui/words';
import { ColumnsForm } from './columns-form';
import { storeImported, PASTED, type ImportFiles, type Waiting } from './import-files';

interface Props {
  open: boolean;
  files: ImportFiles;
  /** Where what is brought in will lie. */
  folderId: string | null;
  onChooseFiles: () => void;
  onDone: (names: string[]) => void;
  /** Some may be stored, though not all that were to be. */
  onStored: () => void;
  onClose: () => void;
}

const ENDINGS = FORMATS.map(({ extension }) => `.${extension}`);

/** What files would become, before anything is stored. */
export function ImportDialog({
  open,
  files,
  folderId,
  onChooseFiles,
  onDone,
  onStored,
  onClose,
}: Props) {
  const [pasted, setPasted] = useState('');
  const [storing, setStoring] = useState(false);
  const { waiting, reading } = files;
  const wanted = waiting.filter((one) => one.wanted && one.read.content);
  const unnamed = wanted.some(({ read }) => read.content?.name.trim() === '');
  const store = async () => {
    setStoring(true);
    try {
      const names = await storeImported(waiting, folderId, files.drop);
      files.drop();
      onDone(names);
    } catch (error) {
      // What was stored before the error has left the list.
      onStored();
      showError(error);
    } finally {
      setStoring(false);
    }
  };
  return (
    <Dialog
      open={open}
      onClose={() => {
        files.drop();
        onClose();
      }}
      wide
      title={waiting.length === 0 ? 'Import swatches' : 'Before they are imported'}
      about={
        waiting.length === 0
          ? 'Nothing is stored before you have seen it.'
          : 'Look them over; nothing is stored yet.'
      }
    >
      {waiting.length === 0 && (
        <div className="flex flex-col gap-4">
          <div>
            <p className="mb-2">
              Drop files here, or choose them: {list(ENDINGS)}, a zip of these, any SVG for the
              colours it is painted with, or a picture of a swatch card.
            </p>
            <Button weight="strong" onClick={onChooseFiles}>
              Choose files
            </Button>
          </div>
          <NoteField
            label="Or paste any text that has colours in it"
            rows={4}
            value={pasted}
            placeholder={'wall #e8d9c2, lamp rgb(240 169 76)'}
            onChange={(event) => setPasted(event.target.value)}
          />
          <Button
            className="self-start"
            disabled={pasted.trim() === ''}
            onClick={() => {
              void files.read([new File([pasted], PASTED, { type: 'text/plain' })]);
              setPasted('');
            }}
          >
            Read the text
          </Button>
        </div>
      )}
      {reading && (
        <p role="status" className="py-2">
          Reading {reading} …
        </p>
      )}
      <ul>
        {waiting.map((one) => (
          <li key={one.key} className="border-t border-ink py-3">
            <WaitingLibrary
              waiting={one}
              onChange={(part) => files.change(one.key, part)}
              onTell={(columns) => void files.tell(one.key, columns)}
            />
          </li>
        ))}
      </ul>
      {waiting.length > 0 && (
        <div className="sticky -bottom-6 -mx-6 -mb-6 flex flex-wrap gap-3 border-t border-ink bg-sheet px-6 py-3">
          <Button
            weight="strong"
            disabled={wanted.length === 0 || unnamed || storing}
            onClick={() => void store()}
          >
            {storing ? 'Importing …' : `Import ${several(wanted.length, 'library', 'libraries')}`}
          </Button>
          <Button weight="quiet" onClick={() => files.drop()}>
            Leave them
          </Button>
        </div>
      )}
    </Dialog>
  );
}

interface WaitingProps {
  waiting: Waiting;
  onChange: (part: { wanted?: boolean; content?: LibraryContent }) => void;
  onTell: Parameters<typeof ColumnsForm>[0]['onTell'];
}

const MAX_NAMED = 12;

function WaitingLibrary({ waiting: { read, wanted, file }, onChange, onTell }: WaitingProps) {
  const { settings } = useSettings();
  const { content, format, table, error, fileName } = read;
  const sorted = content && [...content.swatches].sort((a, b) => a.colour.L - b.colour.L);
  return (
    <div className="grid gap-x-6 gap-y-2 sm:grid-cols-[15rem_minmax(0,1fr)]">
      <div className="min-w-0">
        <p className="break-words">
          <strong>{fileName}</strong>
          {format && <span className="text-soft"> · {format.title}</span>}
        </p>
        {error && (
          <p role="alert" className="mt-1">
            {content ? '' : 'Not to be imported. '}
            {error}
          </p>
        )}
        {content && (
          <>
            <TextField
              label="Name"
              value={content.name}
              maxLength={200}
              error={content.name.trim() ? undefined : 'A library needs a name.'}
              onChange={(event) => onChange({ content: { ...content, name: event.target.value } })}
            />
            <label className="mt-1 flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="h-5 w-5 accent-ink"
                checked={wanted}
                onChange={(event) => onChange({ wanted: event.target.checked })}
              />
              Import this
            </label>
          </>
        )}
      </div>
      <div className="min-w-0">
        {sorted && (
          <>
            <div className="bg-panel">
              <Stave
                swatches={sorted}
                scale={settings.scale}
                height={90}
                label={staveWords(sorted)}
              />
            </div>
            <p className="mt-1 text-[15px]">
              {capital(several(sorted.length, 'swatch', 'swatches'))}:{' '}
              {sorted
                .slice(0, MAX_NAMED)
                .map(({ name }) => name)
                .join(', ')}
              {sorted.length > MAX_NAMED ? ' …' : '.'}
            </p>
            {format && format.loses.length > 0 && (
              <p className="text-sm text-soft">Its format holds no {list(format.loses)}.</p>
            )}
          </>
        )}
        {table && file && <ColumnsForm table={table} onTell={onTell} />}
      </div>
    </div>
  );
}
