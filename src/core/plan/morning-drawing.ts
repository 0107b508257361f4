import { cautionLines } from '../mixing/cautions';
import type { MorningPlan, Pile } from '../mixing/morning-plan';
import type { Tube } from '../mixing/tube';
import type { Drawing, Mark } from './drawing';
import { boxMark, chipMark, textMark } from './marks';

/** What the sheet calls things, and shows them with. */
export interface MorningNames {
  title: string;
  tube: (tube: Tube) => { name: string; hex: string };
  pile: (id: string) => { name: string; hex: string };
}

const WIDTH = 210;
const HEIGHT = 297;
const MARGIN = 15;
const GREY = '#606060';
const CHIP = 6;
const BOX = 3.5;
/** A strip that is longer than the sheet is wide is drawn in as many as it takes. */
const MAX_STRIP = WIDTH - 2 * MARGIN - 70;
const LINE = 4;
const ROW = 9;
/** What fits between the margins. */
const BOTTOM = HEIGHT - MARGIN;

/**
 * The morning's plan on A4: the strips to squeeze out in their true length, then the piles in their order, each with
 * a box to tick. What does not fit on the sheet is said at its foot.
 */
export function morningDrawing(plan: MorningPlan, names: MorningNames): Drawing {
  const marks: Mark[] = [textMark(MARGIN, MARGIN + 6, names.title, 6)];
  let y = MARGIN + 16;
  let left = 0;
  const room = (needed: number) => {
    if (y + needed <= BOTTOM) return true;
    left++;
    return false;
  };
  marks.push(textMark(MARGIN, y, 'Squeeze out, in true length', 4.2));
  y += 5;
  for (const { tube, millilitres, strip } of plan.squeezes) {
    const lines = Math.max(1, Math.ceil(strip / MAX_STRIP));
    if (!room(ROW + (lines - 1) * LINE)) continue;
    const { name, hex } = names.tube(tube);
    marks.push(
      boxMark(MARGIN, y, BOX),
      textMark(MARGIN + 6, y + 3.4, `${name}, ${ml(millilitres)}`, 3.6),
    );
    for (let line = 0; line < lines; line++) {
      const length = Math.min(MAX_STRIP, strip - line * MAX_STRIP);
      const at = y + 2 + line * LINE;
      marks.push(chipMark(MARGIN + 70, at - 1.2, length, 2.4, hex, GREY));
    }
    y += ROW + (lines - 1) * LINE;
  }
  y += 6;
  if (room(ROW)) marks.push(textMark(MARGIN, y, 'Piles, in this order', 4.2));
  y += 5;
  plan.piles.forEach((pile, i) => {
    if (!room(ROW + 2)) return;
    const { name, hex } = names.pile(pile.id);
    const from = pile.from
      ? [`${ml(pile.from.millilitres)} of “${names.pile(pile.from.id).name}”`]
      : [];
    const added = pile.added.map(
      ({ tube, millilitres }) => `${ml(millilitres)} ${names.tube(tube).name}`,
    );
    marks.push(
      boxMark(MARGIN, y + 1, BOX),
      chipMark(MARGIN + 6, y, CHIP * 2, CHIP, hex),
      textMark(MARGIN + 22, y + 2.4, `${i + 1}. ${name}, ${pileAmount(pile)}`, 3.6),
      textMark(MARGIN + 22, y + 6.4, [...from, ...added].join(' + '), 3.2, GREY),
    );
    y += ROW + 2;
  });
  const pigments = plan.squeezes.flatMap(({ tube }) => tube.pigments);
  y += 4;
  for (const line of cautionLines(pigments)) {
    if (!room(LINE)) continue;
    marks.push(textMark(MARGIN, y, line, 2.8, GREY));
    y += LINE;
  }
  if (left > 0)
    marks.push(
      textMark(
        WIDTH - MARGIN,
        HEIGHT - 8,
        `${left} lines more did not fit on this sheet`,
        3,
        GREY,
        'end',
      ),
    );
  return { width: WIDTH, height: HEIGHT, title: names.title, parts: [{ name: 'plan', marks }] };
}

/** How much of a pile is mixed: for the picture, and for what is made from it. */
export function pileAmount({ millilitres, forOthers }: Pile): string {
  return forOthers > 0.05 ? `${ml(millilitres)} and ${ml(forOthers)} for others` : ml(millilitres);
}

/** Millilitres as they can be measured: to a tenth under ten. */
export function ml(millilitres: number): string {
  if (millilitres < 0.05) return 'a speck';
  return `${millilitres < 10 ? millilitres.toFixed(1) : Math.round(millilitres)} ml`;
}
