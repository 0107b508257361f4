import { OPACITIES, opticsOf, type Opacity, type Optics, type Pigment } from './pigment';
import { mixed } from './paint';
import { BAND_COUNT } from './spectrum';

/** A tube of paint: one pigment or a few, at the strength it was found to have. */
export interface Tube {
  id: string;
  pigments: readonly Pigment[];
  optics: Optics;
}

/** A tube of one pigment or of equal parts of a few, `strength` times as strong as usual. */
export function tubeOf(id: string, pigments: readonly Pigment[], strength = 1): Tube {
  const optics = mixed(pigments.map((pigment) => ({ optics: opticsOf(pigment), parts: 1 })));
  return { id, pigments, optics: times(optics, strength) };
}

/** A paint so many times as strong. */
export function times({ K, S }: Optics, strength: number): Optics {
  return { K: K.map((k) => k * strength), S: S.map((s) => s * strength) };
}

/** Scattering of a paint that its label calls one degree more opaque than its pigments are. */
const MORE_OPAQUE = 1.5;

/** How opaque a paint of some pigments is: as the most opaque of them. */
export function opacityOf(pigments: readonly Pigment[]): Opacity {
  return OPACITIES[Math.max(0, ...pigments.map(({ opacity }) => OPACITIES.indexOf(opacity)))];
}

/** A tube that is as opaque as its label says: it scatters half as much again for each degree beyond its pigments. */
export function labelled(tube: Tube, opacity: Opacity): Tube {
  const degrees = OPACITIES.indexOf(opacity) - OPACITIES.indexOf(opacityOf(tube.pigments));
  const { K, S } = tube.optics;
  return { ...tube, optics: { K, S: S.map((s) => s * MORE_OPAQUE ** degrees) } };
}

/** How much a part of a paint weighs in a mixture: its mean absorption and scattering. */
export function weightOf({ K, S }: Optics): number {
  let sum = 0;
  for (let band = 0; band < BAND_COUNT; band++) sum += K[band] + S[band];
  return sum / BAND_COUNT;
}

/** What kind of paint a tube is to a painter who mixes. */
export type TubeKind = 'white' | 'black' | 'earth' | 'colour';

/** A tube's kind by its pigments' Colour Index names: all of them black makes a black, any earth an earth. */
export function kindOf({ pigments }: Tube): TubeKind {
  const every = (is: (id: string) => boolean) => pigments.every(({ id }) => is(id));
  if (every((id) => id.startsWith('PW'))) return 'white';
  if (every((id) => id.startsWith('PBk'))) return 'black';
  return pigments.some(({ id }) => id.startsWith('PBr') || EARTHS.has(id)) ? 'earth' : 'colour';
}

/** Iron oxides and green earth: what lies in the ground, though its name says yellow, red or green. */
const EARTHS = new Set(['PY42', 'PY43', 'PR101', 'PG23']);
