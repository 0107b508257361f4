'use client';

import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { wheelOf } from '@/core/colour/wheel';
import type { StudyCard as Card } from '@/contracts/study';
import { ALL_STUDIES, type FoundStudies, type StudySearch } from '@/contracts/study-search';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { DropNotice } from '@/ui/drop-notice';
import { offerUndo, showError } from '@/ui/notices';
import { useChanged } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { TopLine } from '@/ui/shell';
import { useFileDrop } from '@/ui/use-file-drop';
import { Arrivals } from './arrivals';
import { OnAnotherPicture, type ColoursFrom } from '@/ui/on-another-picture';
import { CompareDialog } from './compare-dialog';
import { DemoAgain, DemoProgress } from './demo-again';
import { FirstStep } from './first-step';
import { HungStudies } from './hung-studies';
import { KnownDialog } from './known-dialog';
import { PrintDialog } from './print-dialog';
import { SearchLine } from './search-line';
import { StudyCard } from './study-card';
import { useImport } from './use-import';
import { useDemo } from './use-demo';
import { useStudies } from './use-studies';

const SAMPLE = { path: hrefOf(endpoints.getSample, {}), name: 'Lower station, rain at dusk.webp' };

/** All studies. A picture dropped or pasted anywhere begins one. */
export function Wall({ opened, first }: { opened: StudySearch; first: FoundStudies }) {
  const changed = useChanged(endpoints.searchStudies);
  const wheel = wheelOf(useSettings().settings.wheel);
  const room = useStudies(opened, first, wheel);
  const { search, setSearch, total, overview } = room;
  const [compared, setCompared] = useState<Card | null>(null);
  const [used, setUsed] = useState<ColoursFrom | null>(null);
  const [printed, setPrinted] = useState<Card | null>(null);
  const { arrivals, known, importFiles, beginAgain, dropKnown } = useImport();
  const demo = useDemo();
  const { getRootProps, getInputProps, isDragActive, open } = useFileDrop(importFiles);

  const act = (action: () => Promise<unknown>) => action().then(changed, showError);

  const remove = (card: Card) =>
    act(async () => {
      await call(endpoints.deleteStudy, { id: card.id });
      offerUndo(`“${card.title}” was deleted.`, () =>
        act(() => call(endpoints.restoreStudy, { id: card.id })),
      );
    });

  return (
    <div {...getRootProps({ className: 'flex min-h-screen flex-col bg-surround' })}>
      <TopLine>
        <input
          type="search"
          aria-label="Search the studies"
          placeholder="Title, maker, aim, colour"
          value={search.text}
          maxLength={200}
          onChange={(event) => setSearch({ ...search, text: event.target.value })}
          className="ml-auto h-9 w-full max-w-60 min-w-16 border border-line bg-sheet px-2.5 placeholder:text-soft max-sm:h-10 max-sm:max-w-none"
        />
        <Button
          weight="strong"
          onClick={open}
          className="h-9 min-h-9 shrink-0 whitespace-nowrap max-sm:h-10"
        >
          Import a picture
        </Button>
      </TopLine>
      <main className="wall grow px-4 py-6 sm:px-6">
        <input {...getInputProps({ 'aria-label': 'Choose a picture' })} />
        <h1 className="sr-only">Wall</h1>
        <Arrivals arrivals={arrivals} />
        <DemoProgress demo={demo} />
        {overview.all > 0 && <SearchLine room={room} wheel={wheel} />}
        {overview.all === 0 ? (
          <FirstStep
            onChoose={open}
            onSample={() => void fetchSample().then((file) => importFiles([file]), showError)}
          />
        ) : total === 0 ? (
          <div>
            <p className="mb-3 font-serif text-2xl">No study answers to that.</p>
            <Button onClick={() => setSearch({ ...ALL_STUDIES, sort: search.sort })}>
              Show all
            </Button>
          </div>
        ) : (
          <HungStudies studies={room.studies} aspects={overview.aspects} onSee={room.see}>
            {(card, size) => (
              <StudyCard
                key={card.id}
                card={card}
                size={size}
                onRename={(title) =>
                  void act(() => call(endpoints.renameStudy, { id: card.id, body: { title } }))
                }
                onDelete={() => void remove(card)}
                onCompare={() => setCompared(card)}
                onPrint={() => setPrinted(card)}
                onUse={() => setUsed({ kind: 'study', id: card.id, name: card.title })}
              />
            )}
          </HungStudies>
        )}
        <DemoAgain demo={demo} />
      </main>
      {isDragActive && <DropNotice>Let go, and the study begins.</DropNotice>}
      <CompareDialog one={compared} onClose={() => setCompared(null)} />
      <OnAnotherPicture from={used} onClose={() => setUsed(null)} />
      <PrintDialog study={printed} onClose={() => setPrinted(null)} />
      <KnownDialog known={known} onClose={dropKnown} onBeginAgain={(id) => void beginAgain(id)} />
    </div>
  );
}

async function fetchSample(): Promise<File> {
  const response = await fetch(SAMPLE.path);
  if (!response.ok) throw new Error('The sample is missing from this installation.');
  return new File([await response.blob()], SAMPLE.name);
}
