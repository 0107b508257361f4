'use client';

import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { paletteNames } from '@/core/colour/name';
import type { PaintedDrawing } from '@/core/pattern/colourway';
import { mapOfAll, mergedDrawing } from '@/core/pattern/merges';
import type { DrawingPaint } from '@/core/pattern/paints';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { DrawingFacts, Pattern } from '@/contracts/pattern-drawing';
import { startDrawings, type StartedDrawings } from '@/workers/browser/start-drawings';
import { targetsOf } from '@/study/pattern-edits';
import { call } from '@/ui/api';
import { showError } from '@/ui/notices';
import { imageOf } from './image-of';
import { asCanvas, weighed } from './thumbnails';
import { useContent } from './use-pattern';

/** What a drawing is given: what each paint becomes, and what is laid below. */
export interface Given {
  map: ReadonlyMap<string, string>;
  laid: string | null;
}

export const AS_DRAWN: Given = { map: new Map(), laid: null };

/** The drawing of a pattern, read by a worker. */
export interface DrawingRoom {
  patternId: string;
  title: string;
  facts: DrawingFacts;
  /** Null while it is read. */
  worker: StartedDrawings | null;
  failed: string | null;
  /** All its colours, and those that are left once near-duplicates are merged. */
  paints: readonly DrawingPaint[];
  painted: PaintedDrawing;
  /** For each paint that was merged the one it ended in. */
  targets: ReadonlyMap<string, string>;
  /** What a painter would call each paint. */
  nameOf: (paint: string) => string;
  /** The drawing as an image of its own in some colours; merged paints are one in all of them. */
  write: (given: Given) => Promise<Blob>;
  /** The same small, to be drawn at once: mixed of its paints' weights where it is a sum of them. */
  thumbnail: (given: Given) => Promise<CanvasImageSource>;
  /** Drawings made by filling regions are known here as soon as they are stored. */
  addDrawing: (hash: string, facts: DrawingFacts) => void;
}

const RoomContext = createContext<DrawingRoom | null>(null);

export function useDrawing(): DrawingRoom {
  const room = useContext(RoomContext);
  if (!room) throw new Error('useDrawing outside a pattern');
  return room;
}

const NO_PAINTS: readonly DrawingPaint[] = [];

interface Loaded {
  worker: StartedDrawings;
  paints: readonly DrawingPaint[];
  hash: string;
}

export function DrawingProvider({ pattern, children }: { pattern: Pattern; children: ReactNode }) {
  const hash = useContent(({ drawing }) => drawing);
  const title = useContent((content) => content.title);
  const merges = useContent((content) => content.merges);
  const [added, setAdded] = useState<readonly { hash: string; facts: DrawingFacts }[]>([]);
  const isKnown = [...pattern.drawings, ...added].some((one) => one.hash === hash);
  // Another window may have filled its panes.
  useEffect(() => {
    if (isKnown) return;
    let stopped = false;
    call(endpoints.getPattern, { id: pattern.id }).then(({ drawings }) => {
      if (!stopped) setAdded(drawings);
    }, showError);
    return () => {
      stopped = true;
    };
  }, [isKnown, pattern.id]);
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const found = [...pattern.drawings, ...added].find((one) => one.hash === hash);
  const facts = (found ?? pattern.drawings[0]).facts;
  const areas = useRef(facts.areas);
  useEffect(() => {
    areas.current = facts.areas;
  }, [facts]);

  useEffect(() => {
    if (!isKnown) return;
    const worker = startDrawings();
    let stopped = false;
    const url = hrefOf(endpoints.getDrawing, { id: pattern.id, hash });
    worker.drawings.load(new URL(url, location.href).href, areas.current).then(
      (paints) => {
        if (stopped) return;
        setLoaded({ worker, paints, hash });
        setFailed(null);
      },
      (error: Error) => {
        if (!stopped) setFailed(error.message);
      },
    );
    return () => {
      stopped = true;
      worker.stop();
    };
  }, [pattern.id, hash, isKnown]);

  const ready = loaded?.hash === hash ? loaded : null;
  const paints = ready?.paints ?? NO_PAINTS;
  const room = useMemo<DrawingRoom>(() => {
    const targets = targetsOf({ merges });
    const { touching, ground } = facts;
    const painted = mergedDrawing({ paints, touching, ground }, targets);
    const names = new Map(
      paletteNames(painted.paints.map(({ colour }) => colour)).map((name, i) => [
        painted.paints[i].hex,
        name,
      ]),
    );
    return {
      patternId: pattern.id,
      title,
      facts,
      worker: ready?.worker ?? null,
      failed,
      paints,
      painted,
      targets,
      nameOf: (paint) => names.get(paint) ?? paint,
      async write({ map, laid }) {
        if (!ready) throw new Error('the drawing is not read yet');
        return ready.worker.drawings.write([...mapOfAll(paints, targets, map)], laid);
      },
      async thumbnail({ map, laid }) {
        if (!ready) throw new Error('the drawing is not read yet');
        const all = [...mapOfAll(paints, targets, map)];
        const isWeighed = await weighed(ready.worker, facts);
        return isWeighed
          ? asCanvas(await ready.worker.drawings.mix(all, laid))
          : imageOf(await ready.worker.drawings.write(all, laid));
      },
      addDrawing: (fresh, freshFacts) =>
        setAdded((was) => [...was, { hash: fresh, facts: freshFacts }]),
    };
  }, [pattern.id, title, merges, facts, ready, paints, failed]);
  return <RoomContext value={room}>{children}</RoomContext>;
}
