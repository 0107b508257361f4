import type { LayeredMedium } from '../mixing/medium-recipe';

/** What is shown beside a stage: the one picture that it is about. */
export const STAGE_PICTURES = ['picture', 'squint', 'zones', 'plan', 'palette', 'none'] as const;
export type StagePicture = (typeof STAGE_PICTURES)[number];

export interface StageOutline {
  name: string;
  /** What the stage is about, in a few words that are read from afar. */
  about: string;
  /** Share of the time. */
  share: number;
  shows: StagePicture;
}

export type SessionMedium = 'paint' | LayeredMedium;

const sketch: StageOutline = {
  name: 'Sketch',
  about: 'the largest shapes, no detail',
  share: 0.1,
  shows: 'picture',
};
const lookAway: StageOutline = {
  name: 'Last touches',
  about: 'look away first; then accents and last darks',
  share: 0.1,
  shows: 'picture',
};

const PAINT: readonly StageOutline[] = [
  sketch,
  { name: 'Big shapes', about: 'dark and light, two values', share: 0.2, shows: 'plan' },
  { name: 'Values', about: 'every mass in its zone', share: 0.25, shows: 'zones' },
  { name: 'Relations', about: 'mass against mass, squinting', share: 0.2, shows: 'squint' },
  { name: 'Nuances', about: 'colour within the masses', share: 0.15, shows: 'palette' },
  lookAway,
];

const STAGES: Readonly<Record<SessionMedium, readonly StageOutline[]>> = {
  paint: PAINT,
  // Transparent layers go from light to dark: what is to stay white is settled first.
  washes: [
    sketch,
    { name: 'Lights', about: 'what stays white; the palest wash', share: 0.2, shows: 'plan' },
    { name: 'Middle', about: 'the second wash, once it is dry', share: 0.3, shows: 'zones' },
    { name: 'Darks', about: 'few and in one go', share: 0.2, shows: 'squint' },
    { name: 'Relations', about: 'what is too light against what', share: 0.1, shows: 'squint' },
    lookAway,
  ],
  pencils: [
    { ...sketch, share: 0.15 },
    { name: 'First layer', about: 'local colours, light pressure', share: 0.3, shows: 'palette' },
    { name: 'Values', about: 'every mass in its zone', share: 0.25, shows: 'zones' },
    { name: 'Relations', about: 'mass against mass, squinting', share: 0.2, shows: 'squint' },
    lookAway,
  ],
  sticks: [
    sketch,
    { name: 'Underpaint', about: 'middle values, broad strokes', share: 0.25, shows: 'plan' },
    { name: 'Body', about: 'every mass in its zone', share: 0.3, shows: 'zones' },
    {
      name: 'Lights',
      about: 'the lights, then what glows in greys',
      share: 0.15,
      shows: 'palette',
    },
    { name: 'Relations', about: 'mass against mass, squinting', share: 0.1, shows: 'squint' },
    lookAway,
  ],
  inks: [
    { ...sketch, share: 0.2 },
    { name: 'Big shapes', about: 'dark and light, two values', share: 0.35, shows: 'plan' },
    { name: 'Relations', about: 'the middle tone, squinting', share: 0.35, shows: 'squint' },
    lookAway,
  ],
  screen: PAINT,
};

/** The stages that a session in a medium begins with. */
export const stagesFor = (medium: SessionMedium): readonly StageOutline[] => STAGES[medium];

/** Stages with shares that make a whole; alike where none has a share. */
export function wholeShares<S extends { share: number }>(stages: readonly S[]): S[] {
  const sum = stages.reduce((total, { share }) => total + Math.max(0, share), 0);
  return stages.map((stage) => ({
    ...stage,
    share: sum > 0 ? Math.max(0, stage.share) / sum : 1 / stages.length,
  }));
}
