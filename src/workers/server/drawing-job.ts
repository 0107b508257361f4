import type { Picture } from '@/core/picture/picture';
import { closedRegions } from '@/core/pattern/closed-regions';
import { DrawingError } from '@/core/pattern/drawing-error';
import { fillRegions } from '@/core/pattern/fill-regions';
import { keyedDrawing, MAX_KEYED, type KeyedDrawing } from '@/core/pattern/keyed-rendering';
import { readDrawing } from '@/core/pattern/read-drawing';
import type { Drawing } from '@/core/pattern/drawing';
import { recoloured } from '@/core/pattern/recolour';
import { traceFlat } from '@/core/pattern/trace-flat';
import type { DrawingSize } from '@/core/pattern/view-box';
import type { PatternContent } from '@/contracts/pattern';
import type { DrawingFacts } from '@/contracts/pattern-drawing';
import { outgoingColourways, type OutgoingColourway } from './outgoing-colourways';

/** What a worker does with drawings: they come from strangers, so they are read in a thread that can be ended. */
export type DrawingJob =
  | { kind: 'read'; text: string }
  | { kind: 'trace'; picture: Picture }
  /** The regions between lines: `ink` is a rendering of the lines alone. */
  | { kind: 'fill'; text: string; ink: Picture; gap: number; repeats: boolean }
  /** The drawing in the colourways that go out. */
  | ({
      kind: 'colour';
      text: string;
      facts: DrawingFacts;
      ids: readonly string[];
    } & Pick<PatternContent, 'merges' | 'colourways'>);

/** A drawing that was read, and its text in colours that a rendering can be read by. */
export interface ReadKeyedDrawing {
  size: DrawingSize;
  shapes: number;
  hexes: string[];
  leftOut: string[];
  /** Without what could run or be fetched. */
  safe: string;
  /** Null where there are too many colours to be told apart. */
  keyed: KeyedDrawing | null;
}

export interface FilledDrawing {
  text: string;
  count: number;
  bridged: { x: number; y: number; between: [number, number] }[];
}

/** Why a drawing can't be read, in a sentence: an error's kind is lost between threads. */
export interface RefusedDrawing {
  refused: string;
}

export type DrawingJobResult =
  ReadKeyedDrawing | string | FilledDrawing | OutgoingColourway[] | RefusedDrawing;

/** Shapes are what is painted, not what only holds others. */
const SHAPES = new Set([
  'path',
  'rect',
  'circle',
  'ellipse',
  'line',
  'polyline',
  'polygon',
  'text',
  'use',
  'image',
]);
const MAX_LEFT_OUT = 100;
/** Regions smaller than this share of a drawing are left to their neighbours. */
const SMALLEST = 2e-5;
/** From this share of black on a pixel is a line's. */
const INK = 90;

export function drawingJob(job: DrawingJob): DrawingJobResult {
  try {
    return done(job);
  } catch (error) {
    if (error instanceof DrawingError) return { refused: error.message };
    throw error;
  }
}

function done(job: DrawingJob): Exclude<DrawingJobResult, RefusedDrawing> {
  if (job.kind === 'trace') return traceFlat(job.picture);
  if (job.kind === 'colour') return outgoingColourways(job, job.text, job.facts, job.ids);
  const drawing = readDrawing(job.text);
  if (job.kind === 'fill') return filled(job, drawing.size);
  const hexes = [...new Set(drawing.paints.map(({ hex }) => hex))];
  return {
    size: drawing.size,
    shapes: drawing.elements.filter(({ name }) => SHAPES.has(name)).length,
    hexes,
    leftOut: [...new Set(drawing.removals.map(({ what }) => what))].slice(0, MAX_LEFT_OUT),
    safe: recoloured(drawing, new Map()),
    keyed:
      drawing.paints.length > 0 && unitsAtMost(drawing) <= MAX_KEYED ? keyedDrawing(drawing) : null,
  };
}

/** Colours and gradients: no fewer than there are units. */
const unitsAtMost = ({ paints }: Drawing) =>
  new Set(paints.map(({ hex, property, element }) => (property === 'stop-color' ? element : hex)))
    .size;

function filled(
  { text, ink: { width, height, data }, gap, repeats }: Extract<DrawingJob, { kind: 'fill' }>,
  { box }: DrawingSize,
): FilledDrawing {
  const ink = new Uint8Array(width * height);
  for (let c = 0, at = 0; c < ink.length; c++, at += 4) {
    const light = (data[at] + data[at + 1] + data[at + 2]) / 3;
    // On white paper.
    if ((data[at + 3] / 255) * (255 - light) >= INK) ink[c] = 1;
  }
  const regions = closedRegions(ink, width, height, {
    gap: gap * Math.max(width, height),
    smallest: SMALLEST * width * height,
    repeats,
  });
  return {
    text: fillRegions(text, regions, { width, height }, box),
    count: regions.sizes.length,
    bridged: regions.bridged.map(({ x, y, between }) => ({ x: x / width, y: y / height, between })),
  };
}
