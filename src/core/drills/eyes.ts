import type { Oklab } from '../colour/oklab';
import type { Eyes, Question, Shown, Skill } from './question';

/** Nearer to grey than this a hue changes nothing that hangs on value or intensity. */
const GREY = 0.012;
/** How much more blue or yellow than red or green a colour has to be. */
const TIMES = 2;

/**
 * Whether eyes of a kind see a colour as others do. Without red and green they do where it is grey or lies along blue and
 * yellow: by far the most of its chroma is OKLab's b. Reds and greens look otherwise to them in lightness, too.
 * Source of what is confused: F. Viénot, H. Brettel, J. Mollon, "Digital video colourmaps for checking the legibility of
 * displays by dichromats", Color Research & Application 24(4), 1999.
 */
export const isSeen = ({ a, b }: Oklab, eyes: Eyes): boolean =>
  eyes === 'all hues' || Math.hypot(a, b) < GREY || Math.abs(b) >= TIMES * Math.abs(a);

/** What can be asked without red and green: value and intensity, and what hangs on value alone. */
const WITHOUT_RED_AND_GREEN: readonly Skill[] = ['value', 'intensity', 'order'];

export const skillsFor = (skills: readonly Skill[], eyes: Eyes): Skill[] =>
  skills.filter((skill) => eyes === 'all hues' || WITHOUT_RED_AND_GREEN.includes(skill));

/** All colours that a question shows before it is answered, but for those to choose from. */
export function shownColours(shown: Shown): Oklab[] {
  switch (shown.as) {
    case 'patch':
    case 'place':
      return [shown.colour];
    case 'row':
      return [...shown.colours];
    case 'in a ground':
      return [shown.colour, shown.ground];
    case 'pile':
      return [shown.colour, shown.wanted];
    case 'field':
      return shown.areas.map(({ colour }) => colour);
  }
}

/** All colours that a question shows or lets choose. */
export const coloursOf = ({ shown, form }: Question): Oklab[] => [
  ...shownColours(shown),
  ...(form.by === 'colour' ? form.colours : []),
];

export const isQuestionSeen = (question: Question, eyes: Eyes): boolean =>
  coloursOf(question).every((colour) => isSeen(colour, eyes));
