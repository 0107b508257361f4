import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { ValueScale } from '@/core/colour/value-scale';
import type { Paper } from '@/contracts/print';
import type { OutgoingColourway } from '@/workers/server/outgoing-colourways';
import { drawStave } from '../print/draw-stave';
import { drawFoot, footHeight } from '../print/frame';
import { MM, SHEETS, type Sheet } from '../print/paper';
import { drawPdf, type Pen } from '../print/pen';

/** More colours than these of one colourway are not listed by name. */
const MAX_LISTED = 24;
/** Of a library card's stave how high one is here. */
const STAVE = 0.75;

export interface PrintedColourway extends OutgoingColourway {
  png: Uint8Array;
  /** Width by height. */
  aspect: number;
}

/** A sheet of colourways: each with its picture, its stave, its colours by number, name and figures, and its inks. */
export function colourwaySheet(
  title: string,
  note: string,
  colourways: readonly PrintedColourway[],
  scale: ValueScale,
  paper: Paper,
): Promise<Uint8Array> {
  const sheet = SHEETS[paper];
  const { width, height, margin, type } = sheet;
  return drawPdf(sheet, title, async (pen) => {
    let page = 1;
    let y = margin + type.title * 0.8;
    const inner = width - 2 * margin;
    pen.write(title, margin, y, { face: 'serif', size: type.title, room: inner });
    if (note) {
      y += type.text * 1.5;
      pen.write(note, margin, y, { face: 'italic', size: type.text, room: inner });
    }
    y += type.text;
    drawFoot(pen, sheet, title, page);
    for (const way of colourways) {
      const high = blockHeight(way, sheet);
      if (y + high > height - margin - footHeight(sheet) && y > margin + high) {
        pen.newPage();
        page++;
        drawFoot(pen, sheet, title, page);
        y = margin;
      }
      drawColourway(pen, way, sheet, scale, y);
      y += high + 5 * MM;
    }
  });
}

const listRows = ({ colours }: OutgoingColourway) =>
  Math.ceil(Math.min(MAX_LISTED, colours.length) / 2);

/** The picture's side; the stave stands beside it. */
const pictureSide = ({ width, margin }: Sheet) => (width - 2 * margin) * 0.3;

function blockHeight(way: OutgoingColourway, sheet: Sheet): number {
  const { text, small } = sheet.type;
  const words = text * 1.6 + (way.inks ? small * 1.5 : 0) + listRows(way) * small * 1.45 + small;
  return Math.max(pictureSide(sheet), sheet.staveHeight * STAVE + words);
}

function drawColourway(
  pen: Pen,
  way: PrintedColourway,
  sheet: Sheet,
  scale: ValueScale,
  top: number,
): void {
  const { margin, width, type, staveHeight } = sheet;
  const side = pictureSide(sheet);
  const [wide, high] = way.aspect >= 1 ? [side, side / way.aspect] : [side * way.aspect, side];
  pen.image(way.png, margin, top, wide, high);
  const left = margin + side + 5 * MM;
  const room = width - margin - left;
  let y = top + type.text;
  pen.write(way.name, left, y, { face: 'serif', size: type.text * 1.2, room });
  y += type.text * 0.6;
  const stave = staveHeight * STAVE;
  drawStave(pen, way.colours, scale, { x: left, y, width: room, height: stave }, type.small);
  y += stave + type.small * 1.4;
  if (way.inks) {
    pen.write(way.inks, left, y, { size: type.small, room, soft: true });
    y += type.small * 1.5;
  }
  const rows = listRows(way);
  way.colours.slice(0, MAX_LISTED).forEach((one, i) => {
    const x = left + (i < rows ? 0 : room / 2);
    const line = y + (i % rows) * type.small * 1.45;
    const swatch = type.small;
    pen.block(one.colour, x, line - swatch * 0.8, swatch * 1.6, swatch);
    const share = `${Math.round(100 * (one.share ?? 0))} %`;
    const hex = hexFromOklab(one.colour);
    // A long name is cut, and no figure.
    const words = [
      `${i + 1}  ${hex}`,
      `value ${valueOfOklab(one.colour).toFixed(1)}`,
      share,
      ...(one.name === hex ? [] : [one.name]),
    ];
    pen.write(words.join(' · '), x + swatch * 2.2, line, {
      size: type.small,
      room: room / 2 - swatch * 2.6,
    });
  });
}
