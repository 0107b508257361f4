import { format } from 'date-fns';
import type { ValueScale } from '@/core/colour/value-scale';
import type { Library } from '@/contracts/library';
import type { Paper } from '@/contracts/print';
import { wrapped } from '../fonts/runs';
import { drawChips } from './draw-chips';
import { drawStave } from './draw-stave';
import { drawFoot, footHeight } from './frame';
import { MM, SHEETS } from './paper';
import { drawPdf } from './pen';
import type { PrintedPicture } from './pictures';

/** A library as a card: its stave, its chips with their greys, notes, the picture it came from, room for recipes. */
export function libraryCard(
  { name, note, tags, swatches, updatedAt }: Library,
  picture: PrintedPicture | null,
  scale: ValueScale,
  paper: Paper,
): Promise<Uint8Array> {
  const sheet = SHEETS[paper];
  const { width, height, margin, type, staveHeight } = sheet;
  return drawPdf(sheet, name, async (pen) => {
    let page = 1;
    const inner = width - 2 * margin;
    const pictureHigh = picture ? staveHeight * 0.62 : 0;
    const pictureWide = picture ? Math.min(inner * 0.3, pictureHigh * picture.aspect) : 0;
    if (picture)
      pen.image(
        picture.jpeg,
        width - margin - pictureWide,
        margin,
        pictureWide,
        pictureWide / picture.aspect,
      );
    const room = inner - (picture ? pictureWide + 5 * MM : 0);
    let y = margin + type.title * 0.8;
    for (const line of wrapped(name, 'serif', type.title, room).slice(0, 2)) {
      pen.write(line, margin, y, { face: 'serif', size: type.title, room });
      y += type.title * 1.1;
    }
    y += type.text * 0.3 - type.title * 0.3;
    const facts = [
      `${swatches.length} ${swatches.length === 1 ? 'swatch' : 'swatches'}`,
      ...tags,
      format(new Date(updatedAt), 'd MMM yyyy'),
    ];
    pen.write(facts.join(' · '), margin, y, { size: type.small, room, soft: true });
    const lines = note ? wrapped(note, 'italic', type.text, room) : [];
    for (const line of lines.slice(0, paper === '6x4' ? 1 : 4)) {
      y += type.text * 1.35;
      pen.write(line, margin, y, { face: 'italic', size: type.text, room });
    }
    y = Math.max(y + 3 * MM, margin + (picture ? pictureWide / picture.aspect : 0) + 3 * MM);
    drawStave(
      pen,
      swatches,
      scale,
      { x: margin, y, width: inner, height: staveHeight },
      type.small,
    );
    drawFoot(pen, sheet, name, page);
    await drawChips(
      pen,
      swatches,
      scale,
      sheet,
      y + staveHeight + 5 * MM,
      height - margin - footHeight(sheet),
      () => {
        pen.newPage();
        page++;
        drawFoot(pen, sheet, name, page);
        return margin;
      },
    );
  });
}
