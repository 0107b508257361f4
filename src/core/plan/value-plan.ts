import { onScale, type ValueScale } from '../colour/value-scale';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { zoneEdges, zonesOf, type Zone, type ZoneCut } from '../measure/zones';
import { sampledBlocks } from '../picture/blocks';
import { colourGrid, placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Box, Place } from '../picture/framing';
import { connectedComponents } from '../raster/connected-components';
import { greyOfValue, VALUE_BINS, type ValueImage } from '../picture/value-map';
import type { Drawing, Mark } from './drawing';
import { withoutSmallMasses } from './large-masses';
import { gridMarks } from './grid-marks';
import type { TransferGrid } from './transfer-grid';
import { zoneShapes } from './zone-shapes';

/** Sheets in millimetres, upright. */
export const PLAN_PAPERS = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type PlanPaper = keyof typeof PLAN_PAPERS;

export interface PlanSettings extends ZoneCut {
  squint: number;
  title: string;
  paper: PlanPaper;
  grid: TransferGrid;
  /** Whether each mass carries the number of its zone. */
  numbers: boolean;
  /** Flat greys, or their outlines alone to paint in. */
  fill: 'greys' | 'outlines';
  /** The share of the picture under which a mass is left out, 0 for none. */
  leastMass: number;
  /** What the key counts values on. */
  scale: ValueScale;
}

/** A mass smaller than this share of the picture is never asked for by itself. */
export const MAX_LEAST_MASS = 0.05;

export interface Plan {
  drawing: Drawing;
  zones: Zone[];
}

const MARGIN = 12;
const TITLE = 9;
/** Room for the key: its words are read at arm's length. */
const KEY = 24;
const KEY_CHIP = 12;
const KEY_WORDS = 4.6;
const NUMBER_SIZE = 4.2;
/** Cells along the longer side that shapes are traced on. */
const CELLS = 480;
/** A mass has to take this share of the picture to carry a number. */
const NUMBERED = 0.006;

/**
 * A sheet to print and paint from: the zones of a squinted picture as flat shapes, a key of their
 * values and shares, and a grid for carrying it over to the canvas.
 * Throws a RangeError as `zoneEdges` and `gridLines` do.
 */
export function valuePlan(squinted: ValueImage, settings: PlanSettings): Plan {
  const { picture, counts } = squinted;
  const edges = zoneEdges(counts, settings);
  const zones = zonesOf(counts, edges);
  const thresholds = edges.map((edge) => (edge / VALUE_BINS) * 10);
  const traced = colourGrid(picture, sampledBlocks(picture), CELLS);
  const means = zones.map(({ mean }) => mean);
  const cells =
    settings.leastMass > 0
      ? { ...traced, value: withoutSmallMasses(traced, thresholds, means, settings.leastMass) }
      : traced;
  const sheet = sheetFor(picture.width / picture.height, settings.paper);
  const { box, width, height } = sheet;
  const filled = settings.fill === 'greys';
  const shapes = zoneShapes(cells, thresholds, box).map((d, zone): Mark => ({
    kind: 'path',
    d,
    fill: filled ? greyOf(zones[zone]) : '#ffffff',
    stroke: filled ? null : '#555555',
    strokeWidth: 0.25,
  }));
  const numbers = settings.numbers
    ? numbersOf(cells, thresholds).map(({ zone, x, y }): Mark => ({
        kind: 'text',
        x: box.x + x * box.width,
        y: box.y + y * box.height + NUMBER_SIZE / 3,
        words: String(zone + 1),
        size: NUMBER_SIZE,
        fill: filled && zones[zone].mean < 5 ? '#ffffff' : '#000000',
        anchor: 'middle',
      }))
    : [];
  const frame: Mark = { kind: 'rect', ...box, fill: null, stroke: '#000000', strokeWidth: 0.3 };
  const title: Mark = {
    kind: 'text',
    x: box.x,
    y: MARGIN + 4,
    words: settings.title,
    size: 5,
    fill: '#000000',
    anchor: 'start',
  };
  return {
    zones,
    drawing: {
      width,
      height,
      title: settings.title,
      parts: [
        { name: 'title', marks: [title] },
        { name: 'zones', marks: shapes },
        { name: 'numbers', marks: numbers },
        { name: 'grid', marks: gridMarks(settings.grid, box) },
        { name: 'frame', marks: [frame] },
        { name: 'key', marks: keyOf(zones, settings.scale, box, height) },
      ],
    },
  };
}

/** The paper turned as the picture is, and the box in it that the picture fills. */
function sheetFor(aspect: number, paper: PlanPaper): { width: number; height: number; box: Box } {
  const upright = PLAN_PAPERS[paper];
  const [width, height] =
    aspect > 1 ? [upright.height, upright.width] : [upright.width, upright.height];
  const room = {
    width: width - 2 * MARGIN,
    height: height - 2 * MARGIN - TITLE - KEY,
  };
  const scale = Math.min(room.width / aspect, room.height);
  const box = { width: scale * aspect, height: scale };
  return {
    width,
    height,
    box: { ...box, x: (width - box.width) / 2, y: MARGIN + TITLE + (room.height - box.height) / 2 },
  };
}

function greyOf({ mean }: Zone): string {
  return `#${greyOfValue(mean).toString(16).padStart(2, '0').repeat(3)}`;
}

/** A chip for each zone with its number, value and share. */
function keyOf(zones: readonly Zone[], scale: ValueScale, box: Box, height: number): Mark[] {
  const top = height - MARGIN - KEY + 5;
  const across = Math.min(44, box.width / zones.length);
  const size = Math.min(KEY_WORDS, across / 6.2);
  return zones.flatMap((zone, i): Mark[] => {
    const x = box.x + i * across;
    const words = `${i + 1}: ${onScale(zone.mean, scale).toFixed(1)}, ${Math.round(zone.share * 100)} %`;
    return [
      {
        kind: 'rect',
        x,
        y: top,
        width: Math.min(KEY_CHIP * 1.4, across - 2),
        height: KEY_CHIP,
        fill: greyOf(zone),
        stroke: '#000000',
        strokeWidth: 0.2,
      },
      {
        kind: 'text',
        x,
        y: top + KEY_CHIP + 1.25 * size,
        words,
        size,
        fill: '#000000',
        anchor: 'start',
      },
    ];
  });
}

/** Where each mass of a zone carries its number. */
function numbersOf(cells: ColourGrid, thresholds: readonly number[]): (Place & { zone: number })[] {
  const zones = Uint8Array.from(cells.value, (value, c) =>
    cells.mask[c] ? thresholds.filter((threshold) => value >= threshold).length : 255,
  );
  const found = connectedComponents(zones, cells.width, cells.height, 255);
  const least = NUMBERED * zones.length;
  const large = found.size.flatMap((size, component) => (size >= least ? [component] : []));
  const numberOf = new Map(large.map((component, i) => [component, i]));
  const of = Int16Array.from(found.labels, (component) => numberOf.get(component) ?? -1);
  const deepest = polesOfInaccessibility(of, cells.width, large.length);
  return large.map((component, i) => ({
    zone: found.entry[component],
    ...placeOfCell(cells, deepest[i]),
  }));
}
