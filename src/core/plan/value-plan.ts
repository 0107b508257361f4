import { onScale, type ValueScale } from '../colour/value-scale';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { zoneEdges, zonesOf, type Zone, type ZoneCut } from '../measure/zones';
import { sampledBlocks } from '../picture/blocks';
import { colourGrid, placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Box, Place } from '../picture/framing';
import { connectedComponents } from '../raster/connected-components';
import { greyOfValue, VALUE_BINS, type ValueImage } from '../picture/value-map';
import { gridLines, type TransferGrid } from './transfer-grid';
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
  /** What the key counts values on. */
  scale: ValueScale;
}

export interface Plan {
  svg: string;
  /** Of the sheet, in millimetres. */
  width: number;
  height: number;
  zones: Zone[];
}

const MARGIN = 12;
const TITLE = 9;
const KEY = 16;
/** Cells along the longer side that shapes are traced on. */
const CELLS = 480;
/** A mass has to take this share of the picture to carry a number. */
const NUMBERED = 0.006;

/**
 * A sheet to print and paint from: the zones of a squinted picture as flat shapes, a key of their
 * values and shares, and a grid for carrying it over to the canvas. An SVG document in millimetres.
 * Throws a RangeError as `zoneEdges` and `gridLines` do.
 */
export function valuePlan(squinted: ValueImage, settings: PlanSettings): Plan {
  const { picture, counts } = squinted;
  const edges = zoneEdges(counts, settings);
  const zones = zonesOf(counts, edges);
  const thresholds = edges.map((edge) => (edge / VALUE_BINS) * 10);
  const cells = colourGrid(picture, sampledBlocks(picture), CELLS);
  const sheet = sheetFor(picture.width / picture.height, settings.paper);
  const { box } = sheet;
  const filled = settings.fill === 'greys';
  const shapes = zoneShapes(cells, thresholds, box).map(
    (path, zone) =>
      `<path d="${path}" fill-rule="evenodd" fill="${filled ? greyOf(zones[zone]) : '#ffffff'}"` +
      `${filled ? '' : ' stroke="#555555" stroke-width="0.25"'}/>`,
  );
  const marks = settings.numbers
    ? numbersOf(cells, thresholds).map(({ zone, x, y }) =>
        text(box.x + x * box.width, box.y + y * box.height + 1.2, String(zone + 1), {
          size: 3.4,
          anchor: 'middle',
          fill: filled && zones[zone].mean < 5 ? '#ffffff' : '#000000',
        }),
      )
    : [];
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.width}mm" height="${sheet.height}mm" viewBox="0 0 ${sheet.width} ${sheet.height}" font-family="'Source Sans 3', 'Helvetica', sans-serif">`,
    `<rect width="${sheet.width}" height="${sheet.height}" fill="#ffffff"/>`,
    text(box.x, MARGIN + 4, settings.title, { size: 5, fill: '#000000' }),
    `<g data-part="zones">${shapes.join('')}</g>`,
    `<g data-part="numbers">${marks.join('')}</g>`,
    `<g data-part="grid">${gridSvg(settings.grid, box)}</g>`,
    `<rect x="${n(box.x)}" y="${n(box.y)}" width="${n(box.width)}" height="${n(box.height)}" fill="none" stroke="#000000" stroke-width="0.3"/>`,
    `<g data-part="key">${keyOf(zones, settings.scale, box, sheet.height)}</g>`,
    '</svg>',
  ].join('\n');
  return { svg, width: sheet.width, height: sheet.height, zones };
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
function keyOf(zones: readonly Zone[], scale: ValueScale, box: Box, height: number): string {
  const top = height - MARGIN - KEY + 5;
  const across = Math.min(34, box.width / zones.length);
  return zones
    .map((zone, i) => {
      const x = box.x + i * across;
      const share = `${Math.round(zone.share * 100)} %`;
      return (
        `<rect x="${n(x)}" y="${n(top)}" width="${n(Math.min(9, across - 2))}" height="9" fill="${greyOf(zone)}" stroke="#000000" stroke-width="0.2"/>` +
        text(x, top + 12.5, `${i + 1}: ${onScale(zone.mean, scale).toFixed(1)}, ${share}`, {
          size: Math.min(3.2, across / 6.5),
          fill: '#000000',
        })
      );
    })
    .join('');
}

function gridSvg(grid: TransferGrid, box: Box): string {
  const { vertical, horizontal, labels } = gridLines(grid, box.width / box.height);
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    [
      ['#ffffff', 0.5],
      ['#000000', 0.2],
    ]
      .map(
        ([stroke, width]) =>
          `<line x1="${n(x1)}" y1="${n(y1)}" x2="${n(x2)}" y2="${n(y2)}" stroke="${stroke}" stroke-width="${width}"/>`,
      )
      .join('');
  return [
    ...vertical.map((x) =>
      line(box.x + x * box.width, box.y, box.x + x * box.width, box.y + box.height),
    ),
    ...horizontal.map((y) =>
      line(box.x, box.y + y * box.height, box.x + box.width, box.y + y * box.height),
    ),
    ...labels.map(({ text: words, x, y }) =>
      text(
        x === null ? box.x - 1.5 : box.x + x * box.width,
        y === null ? box.y - 1.5 : box.y + y * box.height + 1,
        words,
        { size: 3, anchor: x === null ? 'end' : 'middle', fill: '#000000' },
      ),
    ),
  ].join('');
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

interface TextStyle {
  size: number;
  fill: string;
  anchor?: 'middle' | 'end';
}

function text(x: number, y: number, words: string, { size, fill, anchor }: TextStyle): string {
  const at = anchor ? ` text-anchor="${anchor}"` : '';
  return `<text x="${n(x)}" y="${n(y)}" font-size="${n(size)}" fill="${fill}"${at}>${escaped(words)}</text>`;
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(words: string): string {
  // Control characters have no place in XML.
  return words.replace(/[\u0000-\u001f\u007f]/g, ' ').replace(/[&<>"]/g, (c) => ESCAPES[c]);
}

function n(number: number): string {
  return String(Math.round(number * 100) / 100);
}
