import type { Pigment } from '../pigment';

export const WHITES: readonly Pigment[] = [
  {
    id: 'PW1',
    names: ['lead white', 'flake white'],
    known:
      'Scatters less than half as much as titanium white; absorbs only in the near ultraviolet.',
    level: 0.000434,
    edges: [[395, 6.91, 0.325]],
    scattering: 0.394,
    opacity: 'semi-opaque',
    strength: 'weak',
    drying: 'fast',
    metals: ['lead'],
  },
  {
    id: 'PW4',
    names: ['zinc white'],
    known: 'Scatters a quarter as much as titanium white: its refractive index is 2.0 against 2.7.',
    level: 0.000168,
    edges: [[390, 5.19, 1.01]],
    scattering: 0.247,
    opacity: 'semi-transparent',
    strength: 'weak',
    drying: 'slow',
    metals: ['zinc'],
  },
  {
    id: 'PW6',
    names: ['titanium white'],
    known:
      'Rutile: the strongest scatterer, with an absorption edge just beyond the violet, which warms it by a hair.',
    level: 0.00028,
    edges: [[390, 7, 0.55]],
    scattering: 1,
    opacity: 'opaque',
    strength: 'medium',
    drying: 'slow',
  },
];
