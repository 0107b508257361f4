import type { Medium } from '../src/contracts/study';

/** A sitting of the illustrator's, as the demo's story has it. */
export interface Sitting {
  id: string;
  picture: string;
  /** Days after the first one, and the hour. */
  day: number;
  hour: number;
  aim: string;
  second: string;
  minutes: number;
  medium: Medium;
  ground: string;
  allowed: readonly (readonly [text: string, kept: boolean])[];
  /** What the study has otherwise than its model; `darks` is how much too light its darks are. */
  off: { value: number; valueGain: number; chromaGain: number; hueTurn: number; darks: number };
  /** Whether paper shows around it in the photograph. */
  paper: boolean;
  /** How far it was painted at each snapshot, in layers from broad to fine. */
  layers: readonly number[];
  notes: readonly (readonly [stage: number, words: string])[];
  goal: 'met' | 'partly' | 'not yet';
  next: string;
}

/** Monday, 14 September 2026. */
export const FIRST_DAY = Date.UTC(2026, 8, 14);

const PICTURES = [
  'slate-terrace.webp',
  'ticket-hall.webp',
  'lower-station.webp',
  'conductor.webp',
  'winch-room.webp',
  'summit.jpg',
] as const;
const AIMS = ['colour', 'values', 'colour', 'colour', 'values', 'values'];
const GROUNDS = ['grey card, 20 × 25 cm', 'primed paper', 'panel, toned warm'];
const NOTES = ['too strong', 'edges', 'good', 'too light', 'drawing', 'squint sooner'];
const NEXT = [
  'Grey every pile once before it touches the canvas.',
  'Squint until the darks join, and paint them as one.',
  'Mix the two ends first.',
];

/**
 * Eighteen sittings in two months: colours that come out too strong fade, a range that is too short fades, and darks that
 * come out too light don't.
 */
export const SITTINGS: readonly Sitting[] = Array.from({ length: 18 }, (_, i): Sitting => {
  const at = i % PICTURES.length;
  const fades = 1 - i / 17;
  const wobble = Math.sin(i * 2.4);
  return {
    id: `sitting-${String(i + 1).padStart(2, '0')}`,
    picture: PICTURES[at],
    day: Math.round(i * 3.5),
    hour: i % 3 === 0 ? 18 : 9,
    aim: AIMS[at],
    second: i % 2 === 0 ? 'edges' : '',
    minutes: [40, 60, 90][i % 3],
    medium: i % 5 === 4 ? 'washes' : 'paint',
    ground: GROUNDS[i % GROUNDS.length],
    allowed: i % 2 === 0 ? [['three tubes and white', i % 4 === 0]] : [],
    off: {
      value: 0.25 * wobble,
      valueGain: 1 - 0.22 * fades + 0.03 * wobble,
      chromaGain: 1 + 0.5 * fades + 0.03 * wobble,
      hueTurn: 3 * wobble,
      darks: 1.3 + 0.2 * wobble,
    },
    paper: i % 6 !== 3,
    layers: i === 17 || i === 12 ? [1, 2, 3, 5] : [5],
    notes: [
      [0, NOTES[(i + 4) % NOTES.length]],
      [2, NOTES[i % NOTES.length]],
      [3, NOTES[(i + 2) % NOTES.length]],
    ],
    goal: i < 7 ? 'not yet' : i < 14 ? 'partly' : 'met',
    next: NEXT[i % NEXT.length],
  };
});
