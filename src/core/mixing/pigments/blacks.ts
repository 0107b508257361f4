import type { Pigment } from '../pigment';

export const BLACKS: readonly Pigment[] = [
  {
    id: 'PBk7',
    names: ['lamp black', 'carbon black'],
    known: 'Carbon: flat, a little more toward the red, so that its greys look blue.',
    level: 23,
    bands: [[720, 180, 3.9]],
    scattering: 0.051,
    opacity: 'opaque',
    strength: 'very strong',
    drying: 'slow',
  },
  {
    id: 'PBk9',
    names: ['bone black', 'ivory black'],
    known: 'A tenth carbon in bone ash: as lamp black, four times weaker.',
    level: 5.88,
    bands: [[720, 183, 0.526]],
    scattering: 0.0647,
    opacity: 'semi-opaque',
    strength: 'medium',
    drying: 'slow',
  },
  {
    id: 'PBk11',
    names: ['Mars black', 'black iron oxide'],
    known:
      'Magnetite: flat, a little more in the blue, so that its greys are less blue than those of carbon.',
    level: 10.4,
    edges: [[482, 57.7, 0.782]],
    scattering: 0.353,
    opacity: 'opaque',
    strength: 'strong',
    drying: 'fast',
  },
];
