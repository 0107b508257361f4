'use client';

import { useState } from 'react';
import type { Library } from '@/contracts/library';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { TopLine } from '@/ui/shell';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { UndoRedo } from '@/ui/undo-redo';
import { capital, count, several } from '@/ui/words';
import { ExportDialog } from '../transfer/export-dialog';
import { LibraryFields } from './library-fields';
import { LibraryHistory } from './library-history';
import { SwatchList } from './swatch-list';
import { SWATCH_ORDERS, sortedSwatches, type SwatchOrder } from './swatch-order';
import { useLibrary } from './use-library';
import { useLibraryActions } from './use-library-actions';

interface Props {
  library: Library;
  /** The swatch that the address names. */
  opened: string | null;
}

/** One library: its name, note and tags, every swatch, and the ways out. */
export function LibraryPage({ library, opened: first }: Props) {
  const { settings } = useSettings();
  const document = useLibrary(library);
  const { history, change, saveState, undo, redo } = document;
  const content = history.present;
  const [opened, setOpened] = useState(first);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [exporting, setExporting] = useState(false);
  const chooseNone = () => setChosen(new Set());
  const { setSwatches, removeSwatch, removeLibrary, duplicate, splitOff, removeChosen } =
    useLibraryActions(library, document, chosen, chooseNone);

  const open = (id: string | null) => {
    setOpened(id);
    const path = `/drawers/${library.id}`;
    window.history.replaceState(null, '', id ? `${path}?swatch=${encodeURIComponent(id)}` : path);
  };

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
          <LibraryFields library={library} content={content} change={change} />
          <Button weight="strong" onClick={() => setExporting(true)}>
            Export, print or share
          </Button>
          <div className="grid grid-cols-2 gap-2">
            <Button onClick={() => void duplicate()}>Duplicate</Button>
            <LibraryHistory
              libraryId={library.id}
              onRestore={(was) => {
                chooseNone();
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
          <Button weight="quiet" className="ml-auto" onClick={chooseNone}>
            Choose none
          </Button>
        </section>
      )}
      <ExportDialog
        libraries={exporting ? [{ id: library.id, name: content.name }] : []}
        onClose={() => setExporting(false)}
      />
    </div>
  );
}
