import { sideMap, type Correction, type Side } from '../measure/light-and-shadow';
import { LIGHT, SHADOW } from '../measure/light-split';
import type { MeasureSources } from '../measure/sources';
import { zoneEdges, zoneMap, type ZoneCut } from '../measure/zones';

/** Where may be pushed at all. */
export type Allowed =
  { kind: 'all' } | { kind: 'side'; side: Side } | { kind: 'zone'; index: number };

/** 1 for each pixel that may be pushed, 0 for the others; null where all may. `squint` is a share of the diagonal. */
export function allowedMap(
  allowed: Allowed,
  { through, split }: Pick<MeasureSources, 'through' | 'split'>,
  {
    squint,
    zones,
    corrections,
  }: { squint: number; zones: ZoneCut; corrections: readonly Correction[] },
): Uint8Array | null {
  switch (allowed.kind) {
    case 'all':
      return null;
    case 'side': {
      const wanted = allowed.side === 'light' ? LIGHT : SHADOW;
      return sideMap(split(squint), corrections).map((side) => (side === wanted ? 1 : 0));
    }
    case 'zone': {
      const { map, counts } = through(squint);
      return zoneMap(map, zoneEdges(counts, zones)).map((zone) => (zone === allowed.index ? 1 : 0));
    }
  }
}
