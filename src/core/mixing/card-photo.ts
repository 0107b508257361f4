import { linearFromOklab, oklabFromLinear, oklchFromOklab, type Oklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { cardPatches, type CardPatch } from '../formats/card';
import type { Picture } from '../picture/picture';

/** What a patch of a photographed card is. */
export const CARD_ROLES = ['paper', 'massTone', 'tint'] as const;
export type CardRole = (typeof CARD_ROLES)[number];

/** A patch with what it is taken for. */
export type CardGuess = Partial<Record<CardRole, CardPatch>>;

/** How light the paper of a card is: its luminance. */
const PAPER_LIGHT = 0.86;
/** Paper is lighter than all else, and has less chroma than this. */
const PAPER_CHROMA = 0.06;

/**
 * The patches of a photographed card and what each most likely is: the lightest that is nearly white is the paper, and
 * of the rest the darkest the mass tone, the one that is lightest the tint.
 */
export function guessCard(picture: Picture): { patches: CardPatch[]; guess: CardGuess } {
  const patches = cardPatches(picture);
  const byLight = patches.toSorted((one, other) => one.colour.L - other.colour.L);
  const lightest = byLight[byLight.length - 1];
  const paper =
    lightest && oklchFromOklab(lightest.colour).C < PAPER_CHROMA && byLight.length > 2
      ? lightest
      : undefined;
  const painted = byLight.filter((patch) => patch !== paper);
  const [massTone, tint] = [painted[0], painted[painted.length - 1]];
  return {
    patches,
    guess: {
      ...(paper && { paper }),
      ...(massTone && { massTone }),
      ...(tint && tint !== massTone && { tint }),
    },
  };
}

/** A colour as it would be if the paper beside it were white paper in an even white light. */
export function byPaper(colour: Oklab, paper: Oklab): Oklab {
  const [of, white] = [linearFromOklab(colour), linearFromOklab(paper)];
  const part = (channel: number, full: number) => (PAPER_LIGHT * channel) / Math.max(full, 1e-3);
  const { r, g, b } = white;
  if (luminance(r, g, b) <= 0) return colour;
  return oklabFromLinear({ r: part(of.r, r), g: part(of.g, g), b: part(of.b, b) });
}
