import PDFDocument from 'pdfkit';
import { buffer } from 'node:stream/consumers';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { FaceName } from '../fonts/faces';
import { fitted, runsOf, widthOf, type Run } from '../fonts/runs';
import type { Paint } from '@/core/plan/drawing';
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
  colour?: string;
  /** To which side of its room it stands, which begins at its place. */
  align?: 'left' | 'centre' | 'right';
}

/** What a page is drawn with. Places are in points from the upper left; writing stands on a base line. */
export interface Pen {
  write: (line: string, x: number, y: number, writing: Writing) => void;
  block: (colour: Oklab, x: number, y: number, width: number, height: number) => void;
  /** An SVG path of M, L and Z in units of `unit` points, even parts left out where it crosses itself. */
  path: (d: string, unit: number, paint: Paint) => void;
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
  { width, height }: Pick<Sheet, 'width' | 'height'>,
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
    write: (line, x, y, { face = 'sans', size, room, soft, colour, align = 'left' }) => {
      const cut = fitted(line, face, size, room);
      const spare = room - widthOf(cut, face) * size;
      let across = x + { left: 0, centre: spare / 2, right: spare }[align];
      doc.fillColor(colour ?? (soft ? SOFT : INK));
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
    path: (d, unit, { fill, stroke, strokeWidth }) => {
      if (d === '') return;
      doc.save().scale(unit).path(d).lineWidth(strokeWidth);
      if (fill && stroke) doc.fillAndStroke(fill, stroke, 'even-odd');
      else if (fill) doc.fill(fill, 'even-odd');
      else if (stroke) doc.stroke(stroke);
      doc.restore();
    },
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
