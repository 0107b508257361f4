import type { Oklab } from '../colour/oklab';
import type { Wheel } from '../colour/wheel';
import type { Tube } from '../mixing/tube';
import type { PicturePlace } from './picture-places';
import type { ColourRegion } from './region';

/** What a question shows. Colours stand on the person's surround. */
export type Shown =
  | { as: 'patch'; colour: Oklab }
  /** A place in a picture, in a ring. */
  | { as: 'place'; colour: Oklab; place: PicturePlace }
  /** Beside each other, named by their place. */
  | { as: 'row'; colours: readonly Oklab[] }
  /** A small patch in the middle of a large one. */
  | { as: 'in a ground'; colour: Oklab; ground: Oklab }
  /** A mixture, what is in it, and the colour that it is to become. Tubes by their ids. */
  | {
      as: 'pile';
      colour: Oklab;
      parts: readonly { tube: string; parts: number }[];
      wanted: Oklab;
    }
  /** Areas of a made-up picture, with their shares of it (0–1, together 1). */
  | { as: 'field'; areas: readonly { colour: Oklab; share: number }[] };

/** How it is answered. */
export type Form =
  /** By one of some words; `right` are the places of all that are right. */
  | { by: 'word'; words: readonly string[]; right: readonly number[] }
  /** By one of some colours. */
  | { by: 'colour'; colours: readonly Oklab[]; right: readonly number[] }
  /** By one of the colours that are shown. */
  | { by: 'place'; right: readonly number[] }
  /** By a Munsell value, right within `within` steps. */
  | { by: 'value'; value: number; within: number }
  /** By putting those shown in order, from dark to light: the places in their right order. */
  | { by: 'order'; order: readonly number[] }
  /** By sliders that start at a colour; right within so many steps of value, of chroma (OKLCH) and families. */
  | {
      by: 'match';
      colour: Oklab;
      start: Oklab;
      within: { value: number; chroma: number; families: number };
    };

export interface Question {
  kind: string;
  shown: Shown;
  form: Form;
  /** The colour that it trains the eye on. */
  about: Oklab;
  /** What isn't known but estimated is shown, and not scored. */
  isEstimate: boolean;
}

/** A place among words, colours or those shown; a value; an order; a colour. */
export type Answer =
  | { by: 'choice'; choice: number }
  | { by: 'value'; value: number }
  | { by: 'order'; order: readonly number[] }
  | { by: 'match'; colour: Oklab };

/** What a screen can show: Munsell values outside are in no question. */
export interface ScreenLimits {
  darkest: number;
  lightest: number;
}

/** Whose eyes: those that part all hues, or those that don't part red and green. */
export const EYES = ['all hues', 'no red and green'] as const;
export type Eyes = (typeof EYES)[number];

/** What a question is made from. */
export interface Making {
  /** 0–1, each time the next. */
  random: () => number;
  /** 0 (easy) to 1. */
  difficulty: number;
  wheel: Wheel;
  screen: ScreenLimits;
  /** Colours of a study or a palette; those of a made-up field where there are none. */
  colours: readonly Oklab[];
  /** Places of one's own pictures; their colours are among those above. */
  places?: readonly PicturePlace[];
  /** One's own tubes; a usual set where they are none or too few. */
  tubes?: readonly Tube[];
  /** Whose eyes it is made for; those that part all hues where nothing is said. */
  eyes?: Eyes;
  /** Where the colour should lie that is asked about; elsewhere, where the kind can't ask about it there. */
  region?: ColourRegion;
}

/** A kind of question. */
export interface DrillKind {
  id: string;
  /** What is trained; kinds may share one. */
  skill: Skill;
  /** How often it is asked among the kinds of its skill, against 1 of another. */
  weight?: number;
  /** That its colours lie where they have to, whatever region is wanted. */
  ignoresRegion?: true;
  /** Makes one; null where what it was given has no colour to ask about. */
  make: (making: Making) => Omit<Question, 'kind'> | null;
}

export const SKILLS = [
  'family',
  'value',
  'intensity',
  'temperature',
  'lean',
  'match',
  'order',
  'contrast',
  'light',
  'whole',
  'hidden',
  'mixing',
] as const;
export type Skill = (typeof SKILLS)[number];
