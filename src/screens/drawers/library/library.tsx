'use client';

import { useState } from 'react';
import { useStore } from 'zustand';
import type { Library } from '@/contracts/library';
import { PaletteHostContext } from '@/palette/host';
import { PaletteStave } from '@/palette/palette-stave';
import { Button } from '@/ui/button';
import { FootBar } from '@/ui/foot-bar';
import { Finding, Section } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { SavedAndUndo } from '@/ui/saved-and-undo';
import { TopLine } from '@/ui/shell';
import { useMedia } from '@/ui/use-media';
import { capital, several } from '@/ui/words';
import { ExportDialog } from '../transfer/export-dialog';
import { AddTab } from './add-tab';
import { LibraryFields } from './library-fields';
import { LibraryHead } from './library-head';
import { LibraryPanel, NARROW, tabForSwatch, type LibraryTab } from './library-panel';
import { paletteHostOf } from './palette-host';
import { SwatchDetails, type SwatchPart } from './swatch-details';
import { SwatchList } from './swatch-list';
import { SWATCH_ORDERS, sortedSwatches, type SwatchOrder } from './swatch-order';
import { useLibrary } from './use-library';
import { useLibraryActions } from './use-library-actions';

interface Props {
  library: Library;
  /** The swatch that the address names. */
  opened: string | null;
}

/** One library: its stave, which is worked on as a study's is, every swatch, and the ways out. */
export function LibraryPage({ library, opened }: Props) {
  const store = useLibrary(library, opened);
  const [host] = useState(() => paletteHostOf(store));
  const { history, change, saveState, undo, redo, selected, chosen, set } = useStore(store);
  const content = history.present;
  const [exporting, setExporting] = useState(false);
  const [tab, setTab] = useState<LibraryTab>(
    content.swatches.length === 0 ? 'add' : opened ? 'swatch' : 'about',
  );
  const actions = useLibraryActions(library, store);
  const chosenIds = new Set(chosen);

  const isNarrow = useMedia(NARROW);
  const openSwatch = content.swatches.find(({ id }) => id === selected);
  const changeSwatch = (id: string, part: SwatchPart) =>
    actions.setSwatches(
      (all) => all.map((one) => (one.id === id ? { ...one, ...part } : one)),
      `${Object.keys(part).join()} ${id}`,
    );

  const taken = () => {
    const { selected: id } = store.getState();
    if (id) setTab(tabForSwatch);
    showInAddress(library.id, id);
  };
  const open = (id: string | null) => {
    set({ selected: id });
    taken();
  };

  return (
    <PaletteHostContext.Provider value={host}>
      <div className="min-h-screen bg-panel">
        <TopLine>
          <SavedAndUndo {...{ history, saveState, undo, redo }} />
        </TopLine>
        <main className={chosen.length > 0 ? 'pb-16' : ''}>
          <LibraryHead
            library={library}
            name={content.name}
            actions={actions}
            onExport={() => setExporting(true)}
            onRestore={(was) => {
              set({ chosen: [], selected: null });
              change(() => was);
            }}
          />
          <div className="sticky top-0 z-20 h-52 border-y [@media(height<=700px)]:h-40 bg-sheet">
            <PaletteStave
              empty="Add a colour below: typed, pasted, or from another library."
              onSelect={taken}
            />
          </div>
          <div
            className={`mx-auto grid max-w-[100rem] gap-x-8 gap-y-4 px-4 sm:px-6 ${content.swatches.length > 0 ? 'md:grid-cols-[minmax(0,1fr)_23rem]' : 'max-w-2xl!'}`}
          >
            {content.swatches.length > 0 && (
              <div className="min-w-0 py-4 max-md:order-2">
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
                      order &&
                      actions.setSwatches((all) => sortedSwatches(all, order as SwatchOrder))
                    }
                  />
                </div>
                <SwatchList
                  libraryId={library.id}
                  swatches={content.swatches}
                  opened={chosen.length > 1 ? null : selected}
                  chosen={chosenIds}
                  onOpen={open}
                  onChoose={(id) =>
                    set({
                      chosen: chosenIds.has(id)
                        ? chosen.filter((one) => one !== id)
                        : [...chosen, id],
                    })
                  }
                  onChange={(id, part) =>
                    actions.setSwatches(
                      (all) => all.map((one) => (one.id === id ? { ...one, ...part } : one)),
                      `${Object.keys(part).join()} ${id}`,
                    )
                  }
                  onDelete={(id) => host.remove([id])}
                />
              </div>
            )}
            <LibraryPanel
              tab={isNarrow && tab === 'swatch' ? 'about' : tab}
              onTab={setTab}
              swatch={
                isNarrow ? null : openSwatch ? (
                  <Section
                    title={openSwatch.name}
                    aside={
                      <Button weight="quiet" onClick={() => open(null)}>
                        Done
                      </Button>
                    }
                  >
                    <SwatchDetails
                      key={openSwatch.id}
                      libraryId={library.id}
                      swatch={openSwatch}
                      onChange={(part) => changeSwatch(openSwatch.id, part)}
                    />
                  </Section>
                ) : (
                  <Finding>Take one up on the stave or in the list: it is changed here.</Finding>
                )
              }
              about={<LibraryFields library={library} content={content} change={change} />}
              add={
                <AddTab
                  libraryId={library.id}
                  isEmpty={content.swatches.length === 0}
                  onAddColours={actions.addColours}
                  onAddSwatches={actions.addSwatches}
                />
              }
            />
          </div>
        </main>
        {chosen.length > 0 && (
          <FootBar
            label="Chosen swatches"
            chosen={chosen.length}
            onNone={() => set({ chosen: [], selected: null })}
          >
            <Button onClick={() => void actions.splitOff(chosenIds)}>
              Split off into a library
            </Button>
            <Button onClick={() => host.remove(chosen)}>Delete</Button>
          </FootBar>
        )}
        <ExportDialog
          libraries={exporting ? [{ id: library.id, name: content.name }] : []}
          onClose={() => setExporting(false)}
        />
      </div>
    </PaletteHostContext.Provider>
  );
}

/** The address names the swatch that is open, so that it can be come back to. */
function showInAddress(libraryId: string, swatchId: string | null): void {
  const path = `/drawers/${libraryId}`;
  const address = swatchId ? `${path}?swatch=${encodeURIComponent(swatchId)}` : path;
  window.history.replaceState(null, '', address);
}
