'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Library, LibraryContent, Swatch } from '@/contracts/library';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { NoteField, TextField } from '@/ui/field';
import { offerUndo, say, showError } from '@/ui/notices';
import { Select } from '@/ui/select';
import { TopLine } from '@/ui/shell';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { splitTags } from '@/ui/tags';
import { UndoRedo } from '@/ui/undo-redo';
import { capital, count, several } from '@/ui/words';
import { ExportDialog } from '../transfer/export-dialog';
import { LibraryHistory } from './library-history';
import { SwatchList } from './swatch-list';
import { SWATCH_ORDERS, sortedSwatches, type SwatchOrder } from './swatch-order';
import { useLibrary } from './use-library';

interface Props {
  library: Library;
  /** The swatch that the address asks for. */
  opened: string | null;
}

/** One library: its name, note and tags, every swatch, and the ways out. */
export function LibraryPage({ library, opened: first }: Props) {
  const router = useRouter();
  const { settings } = useSettings();
  const { history, change, saveState, undo, redo } = useLibrary(library);
  const content = history.present;
  const [tags, setTags] = useState<string | null>(null);
  const [opened, setOpened] = useState(first);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [carrying, setCarrying] = useState(false);

  const setSwatches = (edit: (swatches: Swatch[]) => Swatch[], key?: string) =>
    change((was) => ({ ...was, swatches: edit(was.swatches) }), key);
  const open = (id: string | null) => {
    setOpened(id);
    const path = `/drawers/${library.id}`;
    window.history.replaceState(null, '', id ? `${path}?swatch=${encodeURIComponent(id)}` : path);
  };

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
      await call(endpoints.deleteLibrary, { id: library.id });
      router.push('/drawers');
      offerUndo(`“${content.name}” was put into the bin.`, async () => {
        await call(endpoints.restoreLibrary, { id: library.id });
        router.refresh();
      });
    } catch (error) {
      showError(error);
    }
  };
  const duplicate = async () => {
    try {
      const made = await call(endpoints.duplicateLibrary, { id: library.id });
      router.push(`/drawers/${made.id}`);
      say('This is the copy.');
    } catch (error) {
      showError(error);
    }
  };
  /** What is chosen becomes a library of its own, and leaves this one. */
  const splitOff = async () => {
    const parted = content.swatches.filter(({ id }) => chosen.has(id));
    const name = `${content.name.slice(0, 180)}, part`;
    try {
      const made = await call(endpoints.createLibrary, {
        body: {
          name,
          note: '',
          tags: content.tags,
          swatches: parted,
          studyId: library.studyId,
        },
      });
      setSwatches((all) => all.filter(({ id }) => !chosen.has(id)));
      setChosen(new Set());
      offerUndo(
        `${capital(several(parted.length, 'swatch', 'swatches'))} went to “${name}”.`,
        async () => {
          setSwatches((all) => [
            ...all,
            ...parted.filter(({ id }) => all.every((one) => one.id !== id)),
          ]);
          await call(endpoints.deleteLibrary, { id: made.id });
        },
      );
    } catch (error) {
      showError(error);
    }
  };
  const removeChosen = () => {
    const before = content.swatches;
    setSwatches((all) => all.filter(({ id }) => !chosen.has(id)));
    offerUndo(`${capital(several(chosen.size, 'swatch was', 'swatches were'))} deleted.`, () =>
      setSwatches(() => before),
    );
    setChosen(new Set());
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
            error={
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
          <Button weight="strong" onClick={() => setCarrying(true)}>
            Export, print or share
          </Button>
          <div className="grid grid-cols-2 gap-2">
            <Button onClick={() => void duplicate()}>Duplicate</Button>
            <LibraryHistory
              libraryId={library.id}
              onRestore={(was) => {
                setChosen(new Set());
                change(() => was);
              }}
            />
          </div>
          <Button
            weight="quiet"
            className="self-start underline"
            onClick={() => void removeLibrary()}
          >
            Into the bin
          </Button>
        </div>
        <div className={`min-w-0 ${chosen.size > 0 ? 'pb-16' : ''}`}>
          <div className="mb-3 bg-sheet p-3">
            <Stave
              swatches={content.swatches}
              scale={settings.scale}
              height={150}
              label={staveWords(content.swatches)}
              marked={chosen.size > 0 ? chosen : undefined}
            />
          </div>
          <div className="mb-2 flex items-center justify-between gap-3">
            <p>{capital(several(content.swatches.length, 'swatch', 'swatches'))}</p>
            <Select
              label="Put the swatches in order"
              value=""
              options={[
                { value: '', title: 'put in order …' },
                ...SWATCH_ORDERS.map((order) => ({ value: order, title: order })),
              ]}
              onChange={(order) =>
                order && setSwatches((all) => sortedSwatches(all, order as SwatchOrder))
              }
            />
          </div>
          <SwatchList
            libraryId={library.id}
            swatches={content.swatches}
            opened={opened}
            chosen={chosen}
            onOpen={open}
            onChoose={(id) =>
              setChosen((was) => {
                const next = new Set(was);
                if (!next.delete(id)) next.add(id);
                return next;
              })
            }
            onChange={(id, part) =>
              setSwatches(
                (all) => all.map((one) => (one.id === id ? { ...one, ...part } : one)),
                `${Object.keys(part).join()} ${id}`,
              )
            }
            onDelete={removeSwatch}
          />
          {content.swatches.length === 0 && (
            <p className="font-serif text-xl italic">No swatch is left in this library.</p>
          )}
        </div>
      </main>
      {chosen.size > 0 && (
        <section
          aria-label="Chosen swatches"
          className="fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-4 py-2 sm:px-6"
        >
          <p role="status" className="mr-2 font-serif text-lg">
            {capital(count(chosen.size))} chosen
          </p>
          <Button onClick={() => void splitOff()}>Split off into a library</Button>
          <Button onClick={removeChosen}>Delete</Button>
          <Button weight="quiet" className="ml-auto" onClick={() => setChosen(new Set())}>
            Choose none
          </Button>
        </section>
      )}
      <ExportDialog
        libraries={carrying ? [{ id: library.id, name: content.name }] : []}
        onClose={() => setCarrying(false)}
      />
    </div>
  );
}
