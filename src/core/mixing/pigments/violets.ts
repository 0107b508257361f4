import type { Pigment } from '../pigment';

export const VIOLETS: readonly Pigment[] = [
  {
    id: 'PV19-rose',
    names: ['quinacridone rose'],
    known: 'The gamma form: bands at 504 and 575 nm.',
    level: 0.00458,
    bands: [
      [504, 29.9, 8.2],
      [575, 10.6, 11.6],
    ],
    edges: [[418, 21, 1.59]],
    scattering: 0.0737,
    opacity: 'transparent',
    strength: 'medium',
    drying: 'slow',
  },
  {
    id: 'PV19',
    names: ['quinacridone violet', 'quinacridone red violet'],
    known: 'The beta form: as the rose, its bands 10 nm further and stronger.',
    level: 0.00509,
    bands: [
      [504, 36.4, 12.3],
      [586, 14.4, 16.8],
    ],
    edges: [[406, 21.1, 1.4]],
    scattering: 0.0555,
    opacity: 'transparent',
    strength: 'medium',
    drying: 'slow',
  },
  {
    id: 'PV23',
    names: ['dioxazine violet'],
    known:
      'Absorbs from the green to the orange, many times as strongly as most; nearly black from the tube.',
    level: 0.032,
    bands: [
      [538, 39.3, 18.2],
      [613, 16.8, 39],
    ],
    edges: [[374, 12.8, 2.15]],
    scattering: 0.0832,
    opacity: 'transparent',
    strength: 'very strong',
    drying: 'medium',
  },
];
