import { linearFromOklab, oklabFromLinear, oklchFromOklab, type Oklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { cardPatches, type CardPatch } from '../formats/card';
import type { Picture } from '../picture/picture';

/** The role of the paper that paint is photographed beside. */
export const PAPER = 'paper';
export type CardRole = 'massTone' | 'tint';

/** A patch for each role that one was found for. */
export type PatchGuess<R extends string> = Partial<Record<R | typeof PAPER, CardPatch>>;

/** How light the paper of a card is: its luminance. */
const PAPER_LIGHT = 0.86;
/** Paper is lighter than all else, and has less chroma than this. */
const PAPER_CHROMA = 0.06;
const PAPER_MIN = 0.6;

/** The patches of a photograph from dark to light, without the lightest where that is the paper. */
function paintAndPaper(picture: Picture): { paper: CardPatch | undefined; painted: CardPatch[] } {
  const byLight = cardPatches(picture).sort((one, other) => one.colour.L - other.colour.L);
  const lightest = byLight[byLight.length - 1];
  const isPaper =
    byLight.length > 1 &&
    oklchFromOklab(lightest.colour).C < PAPER_CHROMA &&
    lightest.colour.L > PAPER_MIN;
  return isPaper
    ? { paper: lightest, painted: byLight.slice(0, -1) }
    : { paper: undefined, painted: byLight };
}

/** What the patches of a photographed card most likely are: the darkest the mass tone, the lightest beside paper the tint. */
export function guessCard(picture: Picture): PatchGuess<CardRole> {
  const { paper, painted } = paintAndPaper(picture);
  const [massTone, tint] = [painted[0], painted[painted.length - 1]];
  return {
    ...(paper && { paper }),
    ...(massTone && { massTone }),
    ...(tint && tint !== massTone && { tint }),
  };
}

/** Which patch of a photograph most likely is the dab: the largest that is not the paper. */
export function guessDab(picture: Picture): PatchGuess<'dab'> {
  const { paper, painted } = paintAndPaper(picture);
  const area = ({ width, height }: CardPatch) => width * height;
  const [dab] = painted.toSorted((one, other) => area(other) - area(one));
  return { ...(paper && { paper }), ...(dab && { dab }) };
}

/** A colour as it would be if the paper beside it were white paper in an even white light. */
export function byPaper(colour: Oklab, paper: Oklab): Oklab {
  const [of, white] = [linearFromOklab(colour), linearFromOklab(paper)];
  const part = (channel: number, full: number) => (PAPER_LIGHT * channel) / Math.max(full, 1e-3);
  const { r, g, b } = white;
  if (luminance(r, g, b) <= 0) return colour;
  return oklabFromLinear({ r: part(of.r, r), g: part(of.g, g), b: part(of.b, b) });
}
