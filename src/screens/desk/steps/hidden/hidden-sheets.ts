import { hexFromOklab } from '@/core/colour/hex';
import type { HiddenColour } from '@/core/amplify/hidden';
import type { Place } from '@/core/picture/framing';
import { capital, percent } from '@/ui/words';
import {
  family,
  fitInto,
  fitted,
  framed,
  MARGIN,
  newPaper,
  paperSize,
  type Box,
  type SheetCanvas,
} from './sheet-paper';

const HEAD = 100;
const ROW = 66;
const ABOUT = 'As it is on the left, strengthened on the right; the number is its place.';

/** Columns of the list on a paper so wide: as many as leave room for the words. */
const columnsOf = (width: number) => Math.max(1, Math.floor((width - 2 * MARGIN) / 520));
const listHeight = (width: number, colours: number) =>
  Math.ceil(colours / columnsOf(width)) * ROW + 24;

/** The map of hidden colours with their numbers, and the list of them under it. */
export function mapSheet(
  title: string,
  map: HTMLCanvasElement,
  outlines: readonly (readonly (readonly Place[])[])[],
  colours: readonly HiddenColour[],
): HTMLCanvasElement {
  const aspect = map.width / map.height;
  const roomOf = ({ width, height }: { width: number; height: number }) =>
    fitInto(aspect, {
      x: MARGIN,
      y: MARGIN + HEAD,
      width: width - 2 * MARGIN,
      height: height - 2 * MARGIN - HEAD - listHeight(width, colours.length),
    });
  const lies = roomOf(paperSize(true)).width > roomOf(paperSize(false)).width;
  const paper = newPaper(title, `Hidden colours. ${ABOUT}`, lies);
  const box = roomOf(paper);
  const { pen } = paper;
  pen.drawImage(map, box.x, box.y, box.width, box.height);
  framed(pen, box);
  for (const ring of outlines.flat()) outline(pen, ring, box);
  colours.forEach(({ point }, i) => number(pen, String(i + 1), point, box));
  listed(paper, colours, box.y + box.height + 24);
  return paper.canvas;
}

/** The picture before and after, the list of what was found under them. */
export function beforeAfterSheet(
  title: string,
  about: string,
  before: HTMLCanvasElement,
  after: HTMLCanvasElement,
  colours: readonly HiddenColour[],
): HTMLCanvasElement {
  const aspect = before.width / before.height;
  const lies = aspect < 1;
  const paper = newPaper(title, about, lies);
  const list = listHeight(paper.width, colours.length);
  const top = MARGIN + HEAD;
  const room = paper.height - top - MARGIN - list;
  const gap = 40;
  const wide = paper.width - 2 * MARGIN;
  const boxes = lies
    ? [0, 1].map((i) => ({
        x: MARGIN + i * ((wide + gap) / 2),
        y: top + 26,
        width: (wide - gap) / 2,
        height: room - 26,
      }))
    : [0, 1].map((i) => ({
        x: MARGIN,
        y: top + 26 + i * (room / 2),
        width: wide,
        height: room / 2 - 40,
      }));
  let bottom = 0;
  [before, after].forEach((picture, i) => {
    const box = fitInto(aspect, boxes[i]);
    paper.pen.drawImage(picture, box.x, box.y, box.width, box.height);
    framed(paper.pen, box);
    paper.pen.fillStyle = '#000000';
    paper.pen.font = `400 20px ${family('--font-sans')}`;
    paper.pen.fillText(['As it is', 'Strengthened'][i], box.x, box.y - 8);
    bottom = Math.max(bottom, box.y + box.height);
  });
  listed(paper, colours, bottom + 24);
  return paper.canvas;
}

function outline(pen: CanvasRenderingContext2D, ring: readonly Place[], box: Box): void {
  pen.beginPath();
  ring.forEach(({ x, y }, i) => {
    const at = [box.x + x * box.width, box.y + y * box.height] as const;
    if (i === 0) pen.moveTo(...at);
    else pen.lineTo(...at);
  });
  pen.strokeStyle = '#000000';
  pen.lineWidth = 1.25;
  pen.stroke();
}

function number(pen: CanvasRenderingContext2D, words: string, { x, y }: Place, box: Box): void {
  pen.font = `600 24px ${family('--font-sans')}`;
  const wide = Math.max(34, pen.measureText(words).width + 16);
  const left = box.x + x * box.width - wide / 2;
  const top = box.y + y * box.height - 17;
  pen.fillStyle = '#ffffff';
  pen.fillRect(left, top, wide, 34);
  pen.strokeStyle = '#000000';
  pen.lineWidth = 1.25;
  pen.strokeRect(left, top, wide, 34);
  pen.fillStyle = '#000000';
  pen.textAlign = 'center';
  pen.fillText(words, left + wide / 2, top + 25);
  pen.textAlign = 'left';
}

function listed({ pen, width }: SheetCanvas, colours: readonly HiddenColour[], top: number): void {
  const column = (width - 2 * MARGIN) / columnsOf(width);
  const rows = Math.ceil(colours.length / columnsOf(width));
  colours.forEach((one, i) => {
    const x = MARGIN + Math.floor(i / rows) * column;
    const y = top + (i % rows) * ROW;
    pen.fillStyle = '#000000';
    pen.font = `600 22px ${family('--font-sans')}`;
    pen.fillText(String(i + 1), x, y + 34);
    [one.colour, one.pushed].forEach((colour, k) => {
      pen.fillStyle = hexFromOklab(colour);
      pen.fillRect(x + 36 + k * 52, y, 52, 52);
    });
    pen.fillStyle = '#000000';
    const words = column - 160;
    pen.font = `400 21px ${family('--font-sans')}`;
    pen.fillText(fitted(pen, `${capital(one.readsAs)} ${one.place}`, words), x + 152, y + 22);
    pen.font = `400 18px ${family('--font-sans')}`;
    pen.fillText(
      fitted(
        pen,
        `${percent(one.share)}, ${hexFromOklab(one.colour)} to ${hexFromOklab(one.pushed)}`,
        words,
      ),
      x + 152,
      y + 46,
    );
  });
}
