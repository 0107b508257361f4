'use client';

import { CircleHelp } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Pattern } from '@/contracts/pattern-drawing';
import { addressOf } from '@/ui/address';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { SavedAndUndo } from '@/ui/saved-and-undo';
import { TopLine } from '@/ui/shell';
import { typing } from '@/ui/typing';
import { useAddress } from '@/ui/use-address';
import { Cloth } from './cloth';
import { ColoursTab } from './colours-tab';
import { dimmed } from './dimmed';
import { DrawingProvider, useDrawing } from './drawing-room';
import { DrawingStage } from './drawing-stage';
import { DuplicatesTab } from './duplicates-tab';
import { ExportTab } from './export-tab';
import { HandProvider, useHand } from './hand';
import { KeptRow } from './kept-row';
import { KeptTools } from './kept-tools';
import { KeySheet } from './key-sheet';
import { LOOK_KEYS, LOOK_TITLES } from './looks';
import { LinesTab } from './lines-tab';
import { PatternHead } from './pattern-head';
import {
  LOOKS,
  ORIGINAL,
  patternCodec,
  TABS,
  TRIED,
  type PatternTab,
  type PatternView,
} from './pattern-view';
import { Two } from './two';
import { useShown, useTried } from './use-colourways';
import { FITTED } from './use-pan-zoom';
import { PatternStoreContext, usePatternState, usePatternStore } from './use-pattern';
import { Wall } from './wall';

const TAB_TITLES: Record<PatternTab, string> = {
  duplicates: 'near-duplicates',
  colours: 'colours',
  lines: 'lines',
  export: 'export',
};

interface Props {
  opened: Pattern;
  view: PatternView;
}

/** One pattern and its colourways. */
export function PatternPage({ opened, view }: Props) {
  const store = usePatternStore(opened);
  return (
    <PatternStoreContext value={store}>
      <DrawingProvider pattern={opened}>
        <HandProvider>
          <Room pattern={opened} view={view} />
        </HandProvider>
      </DrawingProvider>
    </PatternStoreContext>
  );
}

function Room({ pattern, view: opened }: { pattern: Pattern; view: PatternView }) {
  const store = usePatternState();
  const { history, saveState, undo, redo } = useStore(store);
  const room = useDrawing();
  const hand = useHand();
  const [view, setView] = useState(opened);
  const [isKeys, setKeys] = useState(false);
  const [stage, setStage] = useState(FITTED);
  const [pointed, point] = useState<readonly string[] | null>(null);
  const look = (part: Partial<PatternView>) => setView((was) => ({ ...was, ...part }));
  useAddress(addressOf(patternCodec, view));
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || typing(event)) return;
      if (event.key === '?') setKeys(true);
      const next = LOOKS.find((look) => LOOK_KEYS[look] === event.key.toLowerCase());
      if (next) setView((was) => ({ ...was, look: next }));
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);

  // What is tried comes into view as it is changed: a change of something that isn't seen is lost on a person.
  useEffect(
    () =>
      store.subscribe(({ history: { present } }, before) => {
        const { choice, sources } = before.history.present;
        if (present.choice !== choice || present.sources !== sources)
          setView((was) => ({ ...was, shown: '' }));
      }),
    [store],
  );

  const tried = useTried();
  const shown = useShown(tried);
  const original = shown.get(ORIGINAL)!;
  // What is said of the drawing is looked at in the drawing; so is what was deleted, and what is not tried yet.
  const first = view.tab === 'duplicates' || view.tab === 'lines' ? ORIGINAL : TRIED;
  const one = shown.get(view.shown || first) ?? original;
  const other = shown.get(view.beside || ORIGINAL) ?? original;
  const given = useMemo(
    () => (pointed ? dimmed(one.given, room.painted.paints, pointed) : one.given),
    [one.given, room.painted, pointed],
  );
  const marks = (view.tab === 'lines' ? (room.facts.regions?.bridged ?? []) : []).map(
    ({ x, y }) => ({ x, y, title: 'bridged' }),
  );
  const show = (id: string) => look({ shown: id, look: view.look === 'wall' ? 'one' : view.look });
  return (
    <div className="flex h-dvh flex-col bg-panel max-md:h-auto max-md:min-h-dvh">
      <TopLine>
        <SavedAndUndo {...{ history, saveState, undo, redo }} />
        <Button weight="quiet" aria-label="Keys (?)" title="Keys (?)" onClick={() => setKeys(true)}>
          <CircleHelp size={20} aria-hidden />
        </Button>
        <KeySheet open={isKeys} onClose={() => setKeys(false)} />
      </TopLine>
      <main className="flex min-h-0 grow max-md:flex-col">
        <div className="flex min-w-0 grow flex-col max-md:h-[80vh]">
          <div className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b px-3 py-1">
            <PatternHead />
            <Choice
              label="How it is looked at"
              showLabel={false}
              value={view.look}
              options={LOOKS.map((value) => ({ value, title: LOOK_TITLES[value] }))}
              onChange={(next) => look({ look: next })}
            />
          </div>
          <div className="min-h-0 grow">
            {view.look === 'wall' ? (
              <Wall shown={shown} view={view} look={look} />
            ) : view.look === 'two' ? (
              <Two
                shown={shown}
                one={one}
                other={other}
                onChoose={(side, id) => look({ [side]: id })}
              />
            ) : view.look === 'cloth' ? (
              <Cloth given={one.given} label={one.name} />
            ) : (
              <DrawingStage
                given={given}
                label={`${room.title}, ${one.name}`}
                view={stage}
                setView={setStage}
                marks={marks}
                onPlace={(x, y) => hand.putOnPlace(x, y)}
              />
            )}
          </div>
          {view.look !== 'wall' && (
            <>
              <div className="flex shrink-0 flex-wrap items-center gap-2 border-t px-3 py-1">
                <KeptTools key={one.id} shown={one} onShow={show} />
              </div>
              <KeptRow shown={shown} at={one.id} onShow={show} />
            </>
          )}
        </div>
        <aside
          aria-label="Colourway"
          className="flex w-[372px] shrink-0 flex-col border-l max-md:w-full max-md:border-t max-md:border-l-0"
        >
          <div className="shrink-0 border-b px-3 py-1">
            <Choice
              label="Part of the work"
              showLabel={false}
              fill
              value={view.tab}
              options={TABS.map((value) => ({ value, title: TAB_TITLES[value] }))}
              onChange={(tab) => look({ tab })}
            />
          </div>
          <div className="min-h-0 grow overflow-y-auto p-3">
            {view.tab === 'duplicates' && <DuplicatesTab onPoint={point} />}
            {view.tab === 'colours' && (
              <ColoursTab
                tried={tried}
                onPoint={point}
                onDuplicates={() => look({ tab: 'duplicates' })}
              />
            )}
            {view.tab === 'lines' && <LinesTab imported={pattern.drawings[0]} />}
            {view.tab === 'export' && <ExportTab shown={one} all={shown} />}
          </div>
        </aside>
      </main>
    </div>
  );
}
