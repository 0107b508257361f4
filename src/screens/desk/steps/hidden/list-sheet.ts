import type { HiddenColour } from '@/core/amplify/hidden';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { temperature } from '@/core/colour/temperature';
import { valueOfOklab } from '@/core/colour/value';
import type { ValueScale } from '@/core/colour/value-scale';
import { capital, percent, valueWords } from '@/ui/words';
import { family, fitted, MARGIN, newPaper } from './sheet-paper';

const HEAD = 110;
const MAX_ROW = 104;

export interface ListedColour {
  /** Its number in the Desk's list and on the map. */
  number: number;
  colour: HiddenColour;
  words: string;
  figures: string;
}

/** Hidden colours in the order that they are laid down in, from dark to light, with value and temperature in words. */
export function listedFromDark(
  colours: readonly HiddenColour[],
  scale: ValueScale,
): ListedColour[] {
  return colours
    .map((colour, i) => ({
      number: i + 1,
      colour,
      words: `${capital(colour.readsAs)} ${colour.place}`,
      figures: `value ${valueWords(valueOfOklab(colour.pushed), scale)}, ${warmthWords(colour.pushed)} put down, ${warmthWords(colour.colour)} as it is; ${percent(colour.share)}`,
    }))
    .sort((one, other) => valueOfOklab(one.colour.pushed) - valueOfOklab(other.colour.pushed));
}

function warmthWords(colour: Oklab): string {
  const warm = temperature(colour);
  if (Math.abs(warm) < 0.05) return 'neither warm nor cool';
  return `${warm < 0 ? 'cool' : 'warm'} ${Math.abs(warm).toFixed(1)}`;
}

/** The list alone, large enough to mix from. */
export function listSheet(
  title: string,
  colours: readonly HiddenColour[],
  scale: ValueScale,
): HTMLCanvasElement {
  const paper = newPaper(
    title,
    'Hidden colours from dark to light: as it is, strengthened. Numbers are those of the map.',
    false,
  );
  const { pen, width, height } = paper;
  const row = Math.min(MAX_ROW, (height - 2 * MARGIN - HEAD) / Math.max(1, colours.length));
  listedFromDark(colours, scale).forEach(({ number, colour, words, figures }, i) => {
    const y = MARGIN + HEAD + i * row;
    const side = row - 12;
    pen.fillStyle = '#000000';
    pen.font = `600 26px ${family('--font-sans')}`;
    pen.fillText(String(number), MARGIN, y + side / 2 + 9);
    [colour.colour, colour.pushed].forEach((one, k) => {
      pen.fillStyle = hexFromOklab(one);
      pen.fillRect(MARGIN + 50 + k * 130, y, 130, side);
    });
    const left = MARGIN + 50 + 260 + 28;
    pen.fillStyle = '#000000';
    pen.font = `400 27px ${family('--font-sans')}`;
    pen.fillText(fitted(pen, words, width - MARGIN - left), left, y + side / 2 - 5);
    pen.font = `400 21px ${family('--font-sans')}`;
    pen.fillText(fitted(pen, figures, width - MARGIN - left), left, y + side / 2 + 26);
  });
  return paper.canvas;
}
