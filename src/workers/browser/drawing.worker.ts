import { expose } from 'comlink';
import { colouredText } from '@/core/pattern/coloured';
import { keyedDrawing, type KeyedUnit } from '@/core/pattern/keyed-rendering';
import {
  paintsOf,
  shapesOf,
  strayPaints,
  type DrawingPaint,
  type StrayGroup,
} from '@/core/pattern/paints';
import { readDrawing, type Drawing } from '@/core/pattern/read-drawing';

/** The worker of a pattern: it holds the drawing, and writes it in whatever colours. */
let open: Drawing | null = null;
let paints: DrawingPaint[] = [];

function drawing(): Drawing {
  if (!open) throw new Error('no drawing was read');
  return open;
}

const drawings = {
  /** Fetches and reads a drawing; answers its colours. */
  async load(url: string, areas: [string, number][] | null): Promise<DrawingPaint[]> {
    const response = await fetch(url);
    if (!response.ok) throw new Error(`the drawing could not be fetched (${response.status})`);
    open = readDrawing(await response.text());
    paints = paintsOf(open, areas ? new Map(areas) : undefined);
    return paints;
  },

  /** Near-duplicates within a CIEDE2000 threshold, each with the shapes that would change. */
  groups: (threshold: number): StrayGroup[] => strayPaints(drawing(), paints, threshold),

  shapes: (hex: string): string[] => shapesOf(drawing(), hex),

  /** The drawing in other colours, by pairs of `#rrggbb`, its ground laid below where there is none. */
  write: (map: [string, string][], laid: string | null): Blob =>
    new Blob([colouredText(drawing(), new Map(map), laid)], { type: 'image/svg+xml' }),

  /** The drawing in key colours, and which colours have which key. */
  keyed(): { blob: Blob; units: KeyedUnit[] } {
    const { text, units } = keyedDrawing(drawing());
    return { blob: new Blob([text], { type: 'image/svg+xml' }), units };
  },
};

export type DrawingWorker = typeof drawings;

expose(drawings);
