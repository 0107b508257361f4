import PDFDocument from 'pdfkit';
import { buffer } from 'node:stream/consumers';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { FaceName } from '../fonts/faces';
import { fitted, runsOf, widthOf, type Run } from '../fonts/runs';
import type { Sheet } from './paper';

const INK = '#1a1a1a';
const SOFT = '#565656';
const HAIR = '#bdbdbd';

interface Writing {
  face?: FaceName;
  size: number;
  /** Cut short beyond this width. */
  room: number;
  soft?: boolean;
  align?: 'left' | 'right';
}

/** What a page is drawn with. Places are in points from the upper left; writing stands on a base line. */
export interface Pen {
  write: (line: string, x: number, y: number, writing: Writing) => void;
  block: (colour: Oklab, x: number, y: number, width: number, height: number) => void;
  rule: (x: number, y: number, width: number, strong?: boolean) => void;
  image: (bytes: Uint8Array, x: number, y: number, width: number, height: number) => void;
  newPage: () => void;
}

/**
 * The text of a run so that it comes out in the run's own direction: what draws the page takes the direction from the
 * script alone, and so would turn the digits of a script that runs to the left.
 */
export function laidOutText({ text, face, level }: Pick<Run, 'text' | 'face' | 'level'>): string {
  const wanted = level % 2 === 1 ? 'rtl' : 'ltr';
  const { direction } = face.font.layout(text);
  return direction === wanted ? text : Array.from(text).reverse().join('');
}

/** A PDF of pages of one paper, drawn by `draw`; vector but for pictures, its fonts within. */
export async function drawPdf(
  { width, height }: Sheet,
  title: string,
  draw: (pen: Pen) => Promise<void>,
): Promise<Uint8Array> {
  const doc = new PDFDocument({
    size: [width, height],
    margin: 0,
    bufferPages: true,
    displayTitle: true,
    lang: 'en',
    info: { Title: title, Creator: 'Bold Prism', Producer: 'Bold Prism' },
  });
  const whole = buffer(doc as unknown as AsyncIterable<Uint8Array>);
  await draw({
    write: (line, x, y, { face = 'sans', size, room, soft = false, align = 'left' }) => {
      const cut = fitted(line, face, size, room);
      let across = align === 'right' ? x + room - widthOf(cut, face) * size : x;
      doc.fillColor(soft ? SOFT : INK);
      for (const run of runsOf(cut, face)) {
        // With features given a run is laid out whole, and so in the order its script is read.
        doc.font(run.face.file).fontSize(size).text(laidOutText(run), across, y, {
          lineBreak: false,
          baseline: 'alphabetic',
          features: [],
        });
        across += run.width * size;
      }
    },
    block: (colour, x, y, w, h) => void doc.rect(x, y, w, h).fill(hexFromOklab(colour)),
    rule: (x, y, w, strong = false) =>
      void doc
        .moveTo(x, y)
        .lineTo(x + w, y)
        .lineWidth(strong ? 0.8 : 0.4)
        .stroke(strong ? INK : HAIR),
    image: (bytes, x, y, w, h) => void doc.image(Buffer.from(bytes), x, y, { width: w, height: h }),
    newPage: () => void doc.addPage(),
  });
  doc.end();
  return whole;
}
