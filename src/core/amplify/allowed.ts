import { LIGHT, SHADOW, sideMap, type Correction, type Side } from '../measure/light-and-shadow';
import { zoneEdges, zoneMap, type ZoneCut } from '../measure/zones';
import type { ValueImage } from '../picture/value-map';

/** Where may be pushed at all. */
export type Allowed =
  { kind: 'all' } | { kind: 'side'; side: Side } | { kind: 'zone'; index: number };

/** 1 for each pixel that may be pushed, 0 for the others; null where all may. */
export function allowedMap(
  allowed: Allowed,
  squinted: ValueImage,
  { zones, corrections }: { zones: ZoneCut; corrections: readonly Correction[] },
): Uint8Array | null {
  switch (allowed.kind) {
    case 'all':
      return null;
    case 'side': {
      const wanted = allowed.side === 'light' ? LIGHT : SHADOW;
      return sideMap(squinted, corrections).map((side) => (side === wanted ? 1 : 0));
    }
    case 'zone':
      return zoneMap(squinted.map, zoneEdges(squinted.counts, zones)).map((zone) =>
        zone === allowed.index ? 1 : 0,
      );
  }
}
