'use client';

import dynamic from 'next/dynamic';
import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Study } from '@/contracts/study';
import { Dialog } from '@/ui/dialog';
import { useSettings } from '@/ui/settings';
import { createDeskStore, DeskContext, useDesk, useDeskStore } from './desk-store';
import { FactsContext, StudyIdContext } from './facts';
import { OrderOfWork } from './order-of-work';
import { PictureProvider } from './picture-room';
import { ReadingLine } from './reading-line';
import { listen, SHORTCUTS } from './shortcuts';
import { ColoursPanel } from './steps/colours/colours-panel';
import { HiddenPanel } from './steps/hidden/hidden-panel';
import { LookPanel } from './steps/look/look-panel';
import { PalettePanel } from './steps/palette/palette-panel';
import { ValuesPanel } from './steps/values/values-panel';
import { DeskTopLine } from './top-line';
import { Tray } from './tray/tray';
import { usePalette } from './use-palette';
import { useSaving } from './use-saving';
import { queryOf, viewFrom } from './view';

// Konva draws on a canvas and has no business on the server.
const Centre = dynamic(() => import('./centre').then((module) => module.Centre), { ssr: false });

/** One study. */
export function Desk({ study }: { study: Study }) {
  const query = useSearchParams();
  const [store] = useState(() =>
    createDeskStore(study.document, viewFrom(new URLSearchParams(query))),
  );
  return (
    <DeskContext.Provider value={store}>
      <FactsContext.Provider value={study.picture}>
        <StudyIdContext.Provider value={study.id}>
          <PictureProvider study={study}>
            <Room study={study} />
          </PictureProvider>
        </StudyIdContext.Provider>
      </FactsContext.Provider>
    </DeskContext.Provider>
  );
}

function Room({ study }: { study: Study }) {
  const store = useDeskStore();
  const step = useDesk((state) => state.view.step);
  const palette = usePalette();
  const { settings, change } = useSettings();
  const [help, setHelp] = useState(false);
  const [folded, setFolded] = useState(false);
  useSaving(study, store);
  useAddress();

  useEffect(
    () =>
      listen(store, {
        extract: () => void palette.extract(store.getState().history.present.palette.count),
        radius: (factor) =>
          change({ pickRadius: Math.min(0.1, Math.max(0.002, settings.pickRadius * factor)) }),
        help: () => setHelp(true),
      }),
    [store, palette, settings.pickRadius, change],
  );

  return (
    <div className="desk grid h-dvh overflow-hidden bg-panel" data-folded={folded || undefined}>
      <div style={{ gridArea: 'top' }}>
        <DeskTopLine onHelp={() => setHelp(true)} />
      </div>
      <div
        style={{ gridArea: 'steps' }}
        className="border-r max-[1000px]:border-r-0 max-[1000px]:border-b"
      >
        <OrderOfWork />
      </div>
      <main style={{ gridArea: 'stage' }} className="min-h-0 min-w-0">
        <Centre onPick={palette.pick} />
      </main>
      <section
        style={{ gridArea: 'line' }}
        aria-label="Reading"
        className="overflow-hidden border-t bg-sheet"
      >
        <ReadingLine />
      </section>
      <aside
        style={{ gridArea: 'panel' }}
        aria-label="Findings"
        className="min-h-0 overflow-y-auto border-l bg-panel"
      >
        <button
          type="button"
          className="hidden min-h-10 w-full border-b px-5 text-left text-sm max-[1000px]:block"
          aria-expanded={!folded}
          onClick={() => setFolded(!folded)}
        >
          {folded ? 'Unfold' : 'Fold away'}
        </button>
        <div className={`px-5 py-4 ${folded ? 'max-[1000px]:hidden' : ''}`}>
          {step === 'look' && <LookPanel study={study} />}
          {step === 'values' && <ValuesPanel />}
          {step === 'colours' && <ColoursPanel studyId={study.id} />}
          {step === 'hidden' && <HiddenPanel studyId={study.id} palette={palette} />}
          {step === 'palette' && <PalettePanel palette={palette} />}
        </div>
      </aside>
      <div style={{ gridArea: 'tray' }} className="min-w-0 border-t">
        <Tray studyId={study.id} palette={palette} />
      </div>
      <Dialog open={help} onClose={() => setHelp(false)} title="Keys">
        <dl className="grid grid-cols-[auto_1fr_auto_1fr] gap-x-4 gap-y-1.5">
          <Key keys="O, held" does="The original" />
          {SHORTCUTS.map(({ keys, does }) => (
            <Key key={keys} keys={keys} does={does} />
          ))}
          <Key keys="S" does="The next surround" />
          <Key keys="Ctrl Z" does="Undo" />
          <Key keys="Ctrl Shift Z" does="Redo" />
        </dl>
        <p className="mt-4 text-soft">
          On the picture, arrows move the place that is read and Enter takes it. In the tray, Space
          takes a swatch up and puts it down, Alt with an arrow moves it, Delete removes it.
        </p>
      </Dialog>
    </div>
  );
}

function Key({ keys, does }: { keys: string; does: string }) {
  return (
    <>
      <dt className="font-semibold">{keys}</dt>
      <dd>{does}</dd>
    </>
  );
}

/** Keeps the address in step with the view, without a new page. */
function useAddress(): void {
  const view = useDesk((state) => state.view);
  const path = usePathname();
  useEffect(() => {
    const waiting = setTimeout(() => {
      const query = queryOf(view);
      window.history.replaceState(null, '', query ? `${path}?${query}` : path);
    }, 200);
    return () => clearTimeout(waiting);
  }, [view, path]);
}
