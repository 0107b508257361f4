import { format } from 'date-fns';
import { onScale } from '@/core/colour/value-scale';
import { carriedBy } from '@/core/measure/carried';
import type { Settings } from '@/contracts/settings';
import type { Paper } from '@/contracts/print';
import type { Study } from '@/contracts/study';
import type { ValueReading } from '@/core/measure/values';
import { wrapped } from '../fonts/runs';
import { drawChips } from './draw-chips';
import { drawStave } from './draw-stave';
import { drawFoot, footHeight } from './frame';
import { MM, SHEETS } from './paper';
import { drawPdf } from './pen';
import type { PrintedPicture } from './pictures';

type ValueWords = Pick<Settings, 'scale' | 'tolerance'>;

/** A study as a sheet for the easel: the picture and its greys, what it is for, its values, its palette with room for recipes. */
export function studySheet(
  { document, updatedAt }: Study,
  picture: PrintedPicture,
  greys: PrintedPicture,
  values: ValueReading | null,
  words: ValueWords,
  paper: Paper,
): Promise<Uint8Array> {
  const sheet = SHEETS[paper];
  const { width, height, margin, type, staveHeight } = sheet;
  const { title, maker, source, rights, aims, palette } = document;
  return drawPdf(sheet, title, async (pen) => {
    let page = 1;
    const inner = width - 2 * margin;
    let y = margin + type.title * 0.8;
    for (const line of wrapped(title, 'serif', type.title, inner).slice(0, 2)) {
      pen.write(line, margin, y, { face: 'serif', size: type.title, room: inner });
      y += type.title * 1.1;
    }
    y -= type.title * 0.3;
    const facts = [maker, source, rights, format(new Date(updatedAt), 'd MMM yyyy')];
    pen.write(facts.filter(Boolean).join(' · '), margin, y + type.text * 0.3, {
      size: type.small,
      room: inner,
      soft: true,
    });
    for (const line of [
      ...(aims.length > 0 ? [`For: ${aims.join(' and ')}.`] : []),
      ...(values ? [valueSentence(values, words)] : []),
    ]) {
      y += type.text * 1.5;
      pen.write(line, margin, y + type.text * 0.3, {
        face: 'italic',
        size: type.text,
        room: inner,
      });
    }
    y += 4 * MM;
    const gap = 4 * MM;
    const most = paper === '6x4' ? staveHeight * 1.7 : staveHeight * 1.5;
    const wide = Math.min((inner - gap) / 2, most * picture.aspect);
    pen.image(picture.jpeg, margin, y, wide, wide / picture.aspect);
    pen.image(greys.jpeg, margin + wide + gap, y, wide, wide / picture.aspect);
    y += wide / picture.aspect + 4 * MM;
    if (y + staveHeight > height - margin - footHeight(sheet)) {
      drawFoot(pen, sheet, title, page++);
      pen.newPage();
      y = margin;
    }
    drawStave(
      pen,
      palette.swatches,
      words.scale,
      { x: margin, y, width: inner, height: staveHeight },
      type.small,
    );
    drawFoot(pen, sheet, title, page);
    await drawChips(
      pen,
      palette.swatches,
      words.scale,
      sheet,
      y + staveHeight + 5 * MM,
      height - margin - footHeight(sheet),
      () => {
        pen.newPage();
        drawFoot(pen, sheet, title, ++page);
        return margin;
      },
    );
  });
}

function valueSentence(reading: ValueReading, { scale, tolerance }: ValueWords): string {
  const { key, range, p5, p95 } = reading;
  const { values } = carriedBy(reading, tolerance);
  const on = (value: number) => onScale(value, scale).toFixed(1);
  const carried = values === 1 ? 'one value carries it' : `${values} values carry it`;
  return `A ${key} key and a ${range} range, ${on(p5)} to ${on(p95)}; ${carried}.`;
}
