import { labFromOklab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { fitWeights } from './fit-weights';
import { opticsOf, type Optics, type Pigment } from './pigment';
import { PIGMENTS } from './pigments/pigments';
import { weightOf, type Tube } from './tube';

/** How near (about CIEDE2000) a colour is missed by some tubes, and by them with the one pigment more that helps most. */
export interface MissingTube {
  own: number;
  /** Null where every pigment is there already. */
  more: { pigment: Pigment; miss: number } | null;
}

/** Pairs that a third tube is added to. */
const MAX_EXTENDED = 4;

/** The one pigment more that brings a colour nearest, in mixtures of three; of two that do it equally the one listed before. */
export function missingTube(colour: Oklab, tubes: readonly Tube[]): MissingTube {
  const target = labFromOklab(colour);
  const has = new Set(
    tubes.flatMap(({ pigments }) => (pigments.length === 1 ? [pigments[0].id] : [])),
  );
  const owned = tubes.map(({ optics }) => optics);
  let more: MissingTube['more'] = null;
  for (const pigment of PIGMENTS) {
    if (has.has(pigment.id)) continue;
    const miss = missWith(opticsOf(pigment), owned, target);
    if (!more || miss < more.miss - 0.05) more = { pigment, miss };
  }
  return {
    own: Math.min(...owned.map((paint, i) => missWith(paint, owned.toSpliced(i, 1), target))),
    more,
  };
}

/** The least miss of any mixture of a paint with up to two of some others. */
function missWith(paint: Optics, others: readonly Optics[], target: Lab): number {
  const missOf = (...more: Optics[]) => {
    const paints = [paint, ...more];
    return fitWeights(
      paints,
      target,
      paints.map((optics) => 1 / weightOf(optics)),
    ).miss;
  };
  const pairs = others
    .map((other) => ({ other, miss: missOf(other) }))
    .sort((one, two) => one.miss - two.miss);
  const triples = pairs
    .slice(0, MAX_EXTENDED)
    .flatMap(({ other }) =>
      others.flatMap((third) => (third === other ? [] : [missOf(other, third)])),
    );
  return Math.min(missOf(), ...pairs.map(({ miss }) => miss), ...triples);
}
