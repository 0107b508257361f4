import { newSession, type SessionContent } from '@/contracts/session';

/** A session with everything in it that one can have. */
export const fullSession = (): SessionContent => ({
  ...newSession('Roofs in the rain', 'values', 'paint'),
  second: 'edges',
  ground: 'grey card',
  course: { id: 'course', study: 'first' },
  limits: [{ id: 'limit', text: 'three tubes', kept: true }],
  clock: [
    { id: 'a', at: 1_780_000_000_000, is: 'start' },
    { id: 'b', at: 1_780_000_600_000, is: 'more', minutes: 5 },
    { id: 'c', at: 1_780_001_200_000, is: 'end' },
  ],
  notes: [{ id: 'note', at: 1_780_000_300_000, stage: 'stage-1', words: 'too light' }],
  snapshots: [{ id: 'shot', at: 1_780_000_500_000, stage: 'stage-1', from: 'camera' }],
  checks: [
    {
      id: 'check',
      at: 1_780_002_000_000,
      snapshot: 'shot',
      against: { kind: 'model', id: null },
      corners: [
        [0.1, 0.1],
        [0.9, 0.12],
        [0.88, 0.9],
        [0.1, 0.92],
      ],
      white: { x: 0.02, y: 0.5 },
      isDigital: false,
      finding: {
        registration: { error: 0.001, confidence: 0.95 },
        knownBy: 'place',
        shift: { value: 0.3, valueGain: 0.9, chromaGain: 1.2, hueTurn: 2 },
        relations: [
          {
            id: 'relation-1',
            x: 0.3,
            y: 0.6,
            value: 1.5,
            chroma: 0,
            hue: 0,
            share: 0.06,
            weight: 0.15,
            at: 4,
            words:
              'the dull middle blue, lower left: a value and a half too light against the rest',
          },
        ],
        edges: [{ id: 'edge-1', x: 0.5, y: 0.5, is: 'lost', length: 0.2 }],
        flattened: [{ id: 'gradient-1', x: 0.7, y: 0.2, share: 0.03, turn: 1.2 }],
        proportions: {
          model: { dark: 0.3, middle: 0.5, light: 0.2 },
          study: { dark: 0.2, middle: 0.5, light: 0.3 },
          areOff: true,
        },
        model: null,
        study: {
          key: 'middle',
          range: 'medium',
          median: 5,
          darkest: 2,
          lightest: 8,
          zones: { dark: 0.3, middle: 0.5, light: 0.2 },
          chroma: 0.05,
          neutral: 0.4,
          warm: 0.6,
          families: [{ hue: 60, share: 0.5 }],
          edges: { found: 0.5, soft: 0.3, lost: 0.2 },
        },
      },
      excused: [{ id: 'edge-1', why: 'on purpose' }],
      goal: 'partly',
      next: 'Squint until the darks join.',
    },
  ],
});
