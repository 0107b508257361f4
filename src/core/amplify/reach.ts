import { LIGHT, SHADOW, sideMap, type Correction, type Side } from '../measure/light-and-shadow';
import { zoneEdges, zoneMap, type ZoneCut } from '../measure/zones';
import type { Sight } from '../picture/value-map';

/** Where a push may reach. */
export type Reach =
  { kind: 'all' } | { kind: 'side'; side: Side } | { kind: 'zone'; index: number };

/** 1 for each pixel that a push may reach, 0 for the others; null where it may reach all. */
export function reachMap(
  reach: Reach,
  squinted: Sight,
  { zones, corrections }: { zones: ZoneCut; corrections: readonly Correction[] },
): Uint8Array | null {
  switch (reach.kind) {
    case 'all':
      return null;
    case 'side': {
      const wanted = reach.side === 'light' ? LIGHT : SHADOW;
      return sideMap(squinted, corrections).map((side) => (side === wanted ? 1 : 0));
    }
    case 'zone':
      return zoneMap(squinted.map, zoneEdges(squinted.counts, zones)).map((zone) =>
        zone === reach.index ? 1 : 0,
      );
  }
}
