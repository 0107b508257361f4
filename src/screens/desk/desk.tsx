'use client';

import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import { PaletteHostContext } from '@/palette/host';
import type { StoredAnswers } from '@/contracts/desk-query/opening-queries';
import type { Study } from '@/contracts/study';
import { useSettings } from '@/ui/settings';
import { useAddress } from '@/ui/use-address';
import { createDeskStore, DeskContext, useDesk, useDeskStore, useDocument } from './desk-store';
import { StudyContext } from './facts';
import { KeySheet } from './key-sheet';
import { OrderOfWork } from './order-of-work';
import { PictureProvider } from './picture-room';
import { ReadingLine } from './reading-line';
import { listen } from './shortcuts';
import { StepsContext, useSteps } from './step';
import { STEPS } from './steps';
import { DeskTopLine } from './top-line';
import { Tray } from './tray/tray';
import { usePaletteHostOfDesk } from './palette-host';
import { PaletteContext, usePaletteOfDesk } from './use-palette';
import { useSaving } from './use-saving';
import { readAddress, writeAddress } from './view';

// Konva draws on a canvas and has no business on the server.
const Centre = dynamic(() => import('./centre').then((module) => module.Centre), { ssr: false });

/** With no more swatches than these the tray gives its room to the picture. */
const MAX_BARE = 2;

/** One study. */
export function Desk({ study, stored }: { study: Study; stored: StoredAnswers | null }) {
  const query = useSearchParams();
  const [store] = useState(() =>
    createDeskStore(study.document, readAddress(STEPS, new URLSearchParams(query))),
  );
  return (
    <StepsContext.Provider value={STEPS}>
      <DeskContext.Provider value={store}>
        <StudyContext.Provider value={study}>
          <PictureProvider study={study} stored={stored}>
            <StepRooms>
              <Room study={study} />
            </StepRooms>
          </PictureProvider>
        </StudyContext.Provider>
      </DeskContext.Provider>
    </StepsContext.Provider>
  );
}

/** The rooms of all steps, one within the other. */
function StepRooms({ children }: { children: ReactNode }) {
  return useSteps().reduceRight(
    (inner, { Room: Own }) => (Own ? <Own>{inner}</Own> : inner),
    children,
  );
}

function Room({ study }: { study: Study }) {
  const store = useDeskStore();
  const steps = useSteps();
  const open = useDesk((state) => state.view.step);
  const view = useDesk((state) => state.view);
  const views = useDesk((state) => state.views);
  const palette = usePaletteOfDesk();
  const host = usePaletteHostOfDesk(palette);
  const isBare = useDocument((document) => document.palette.swatches.length <= MAX_BARE);
  const { settings, change } = useSettings();
  const [help, setHelp] = useState(false);
  const [folded, setFolded] = useState(false);
  const { Panel } = steps.find(({ id }) => id === open) ?? steps[0];
  useSaving(study, store);
  useAddress(writeAddress(steps, view, views));

  useEffect(
    () =>
      listen(store, steps, {
        extract: () => void palette.extract(store.getState().history.present.palette.count),
        radius: (factor) =>
          change({ pickRadius: Math.min(0.1, Math.max(0.002, settings.pickRadius * factor)) }),
        help: () => setHelp(true),
      }),
    [store, steps, palette, settings.pickRadius, change],
  );

  return (
    <PaletteContext.Provider value={palette}>
      <PaletteHostContext.Provider value={host}>
        <div
          className="desk grid h-dvh overflow-hidden bg-panel"
          data-folded={folded || undefined}
          data-bare={isBare || undefined}
        >
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
            <Centre />
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
            className="min-h-0 overflow-y-auto border-l bg-panel max-[1000px]:portrait:border-t max-[1000px]:portrait:border-l-0"
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
              <Panel />
            </div>
          </aside>
          <div style={{ gridArea: 'tray' }} className="min-w-0 border-t">
            <Tray />
          </div>
          <KeySheet open={help} onClose={() => setHelp(false)} />
        </div>
      </PaletteHostContext.Provider>
    </PaletteContext.Provider>
  );
}
