import { expose, transfer } from 'comlink';
import type { Picture } from '@/core/picture/picture';
import { colouredText } from '@/core/pattern/coloured';
import { keyedDrawing, type KeyedUnit } from '@/core/pattern/keyed-rendering';
import {
  paintsOf,
  shapesOf,
  strayPaints,
  type DrawingPaint,
  type StrayGroup,
} from '@/core/pattern/paints';
import {
  isSumOfPaints,
  mixedPaints,
  readWeights,
  weightLayers,
  type PaintWeights,
} from '@/core/pattern/paint-weights';
import { readDrawing } from '@/core/pattern/read-drawing';
import type { Drawing } from '@/core/pattern/drawing';

/** The worker of a pattern: it holds the drawing, and writes it in whatever colours. */
let open: Drawing | null = null;
let paints: DrawingPaint[] = [];
let weights: PaintWeights | null = null;

/** With more renderings than these a drawing is sooner drawn anew each time. */
const MAX_LAYERS = 24;

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

  /** What has to be rendered for the weights of its paints; nothing for a drawing that is no sum of them. */
  layers(): Blob[] {
    if (!isSumOfPaints(drawing().text) || paints.length > 3 * MAX_LAYERS) return [];
    return weightLayers(paints.map(({ hex }) => hex)).map(
      (map) => new Blob([colouredText(drawing(), map, null)], { type: 'image/svg+xml' }),
    );
  },

  /** Takes in the renderings of `layers`. */
  weigh(renderings: Picture[]): void {
    weights = readWeights(
      renderings,
      paints.map(({ hex }) => hex),
    );
  },

  /** The drawing in other colours at the size that was weighed. */
  mix(map: [string, string][], laid: string | null): Picture {
    if (!weights) throw new Error('the drawing was not weighed');
    const picture = mixedPaints(weights, new Map(map), laid);
    return transfer(picture, [picture.data.buffer as ArrayBuffer]);
  },

  /** The drawing in key colours, and which colours have which key. */
  keyed(): { blob: Blob; units: KeyedUnit[] } {
    const { text, units } = keyedDrawing(drawing());
    return { blob: new Blob([text], { type: 'image/svg+xml' }), units };
  },
};

export type DrawingWorker = typeof drawings;

expose(drawings);
