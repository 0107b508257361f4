'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Library, LibraryContent, Swatch } from '@/contracts/library';
import { call, nothing } from '@/ui/api';
import { Button } from '@/ui/button';
import { NoteField, TextField } from '@/ui/field';
import { offerUndo, showFault } from '@/ui/notices';
import { TopLine } from '@/ui/shell';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { splitTags } from '@/ui/tags';
import { UndoRedo } from '@/ui/undo-redo';
import { capital, list } from '@/ui/words';
import { downloadLibrary, FORMAT_CHOICES } from './carry-out';
import { SwatchRow } from './swatch-row';
import { useLibrary } from './use-library';

/** One library: its name, note and tags, every swatch, and the ways out. */
export function LibraryPage({ library }: { library: Library }) {
  const router = useRouter();
  const { settings } = useSettings();
  const { history, change, saveState, undo, redo } = useLibrary(library);
  const content = history.present;
  const [tags, setTags] = useState<string | null>(null);

  const setSwatches = (edit: (swatches: Swatch[]) => Swatch[], key?: string) =>
    change((was) => ({ ...was, swatches: edit(was.swatches) }), key);

  const removeSwatch = (swatch: Swatch, at: number) => {
    setSwatches((all) => all.filter(({ id }) => id !== swatch.id));
    offerUndo(`“${swatch.name}” was deleted.`, () =>
      setSwatches((all) =>
        all.some(({ id }) => id === swatch.id) ? all : all.toSpliced(at, 0, swatch),
      ),
    );
  };
  const removeLibrary = async () => {
    try {
      await call('DELETE', `/api/libraries/${library.id}`, nothing);
      router.push('/drawers');
      offerUndo(`“${content.name}” was deleted.`, async () => {
        await call('POST', `/api/libraries/${library.id}/restore`, nothing);
        router.refresh();
      });
    } catch (error) {
      showFault(error);
    }
  };

  const text = (key: 'name' | 'note') => ({
    value: content[key],
    onChange: (event: { target: { value: string } }) => {
      const { value } = event.target;
      change((was): LibraryContent => ({ ...was, [key]: value }), key);
    },
  });

  return (
    <div className="min-h-screen bg-panel">
      <TopLine>
        <span role="status" className="ml-auto text-sm text-soft" data-testid="save-state">
          {saveState}
        </span>
        <UndoRedo
          canUndo={history.past.length > 0}
          canRedo={history.future.length > 0}
          undo={undo}
          redo={redo}
        />
      </TopLine>
      <main className="mx-auto grid max-w-6xl gap-x-10 gap-y-6 px-4 py-6 sm:px-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1 className="font-serif text-3xl leading-tight break-words">
            {content.name.trim() || 'Untitled library'}
          </h1>
          <TextField
            label="Name"
            maxLength={200}
            fault={
              content.name.trim()
                ? undefined
                : 'A library needs a name; the old one stays until there is one.'
            }
            {...text('name')}
          />
          <NoteField label="Note" rows={3} maxLength={4000} {...text('note')} />
          <TextField
            label="Tags, with commas between"
            value={tags ?? content.tags.join(', ')}
            onChange={(event) => {
              setTags(event.target.value);
              change((was) => ({ ...was, tags: splitTags(event.target.value) }), 'tags');
            }}
            onBlur={() => setTags(null)}
          />
          {library.studyId && (
            <Link
              href={`/desk/${library.studyId}?step=palette`}
              className="flex min-h-10 items-center underline"
            >
              The study it was made in
            </Link>
          )}
          <section className="mt-2">
            <h2 className="mb-2 border-b pb-1 text-sm font-semibold">Carry out</h2>
            <div className="flex flex-col gap-2">
              {FORMAT_CHOICES.map((format) => (
                <div key={format.id}>
                  <Button className="w-full" onClick={() => downloadLibrary(library.id, format.id)}>
                    {capital(format.title)} (.{format.extension})
                  </Button>
                  <p className="mt-0.5 text-sm text-soft">
                    {format.loses.length === 0
                      ? 'Holds everything.'
                      : `Does not hold: ${list(format.loses)}.`}
                  </p>
                </div>
              ))}
            </div>
          </section>
          <Button
            weight="quiet"
            className="self-start underline"
            onClick={() => void removeLibrary()}
          >
            Delete this library
          </Button>
        </div>
        <div className="min-w-0">
          <div className="mb-4 bg-sheet p-3">
            <Stave
              swatches={content.swatches}
              scale={settings.scale}
              height={150}
              label={staveWords(content.swatches)}
            />
          </div>
          <ol className="border-t border-ink">
            {content.swatches.map((swatch, i) => (
              <SwatchRow
                key={swatch.id}
                swatch={swatch}
                onChange={(part) =>
                  setSwatches(
                    (all) => all.map((one) => (one.id === swatch.id ? { ...one, ...part } : one)),
                    `${Object.keys(part).join()} ${swatch.id}`,
                  )
                }
                onDelete={() => removeSwatch(swatch, i)}
              />
            ))}
          </ol>
          {content.swatches.length === 0 && (
            <p className="font-serif text-xl italic">No swatch is left in this library.</p>
          )}
        </div>
      </main>
    </div>
  );
}
