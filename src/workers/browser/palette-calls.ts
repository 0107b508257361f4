import type { Oklab } from '@/core/colour/oklab';
import { wheelOf, type WheelId } from '@/core/colour/wheel';
import { zoneColours, zoneEdges } from '@/core/measure/zones';
import { extractPalette, type Extraction, type ExtractionSettings } from '@/core/palette/extract';
import { TRANSPARENT_ENTRY } from '@/core/picture/colour-histogram';
import { mappedPicture } from '@/core/palette/mapped';
import { failureMap, readFit, type Fit } from '@/core/palette/missing';
import { reachMap, readReach, type Reach } from '@/core/palette/reach';
import { suggestCount, type CountSuggestion } from '@/core/palette/suggest';
import { mapShares, swatchMap } from '@/core/palette/swatch-map';
import { colourClusters, type ColourCluster } from '@/core/picture/colour-clusters';
import type { Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import { probe, type Probe } from '@/core/picture/probe';
import { layStroke } from '@/core/picture/strokes';
import { veil } from '@/core/picture/veil';
import type { DerivedImages } from './derived-images';
import type { PushSettings } from '@/contracts/push-request';
import type { ZoneSettings } from './value-calls';

/** What colours are picked from: the picture, or what is laid over it. */
export type Source =
  | { kind: 'picture' }
  | { kind: 'squint'; squint: number }
  | { kind: 'zones'; settings: ZoneSettings }
  | { kind: 'pushed'; asked: PushSettings };

type Asked = Omit<ExtractionSettings, 'within'> & {
  /** A loop on the original that is looked within. */
  region: Place[] | null;
  from: Source;
};

/** What the Desk's worker is asked in the step Palette. */
export function paletteCalls(held: () => DerivedImages, handOver: (picture: Picture) => Picture) {
  const source = (from: Source): Picture => {
    const { picture, through, pushed } = held();
    switch (from.kind) {
      case 'picture':
        return picture;
      case 'squint':
        return through(from.squint).picture;
      case 'zones': {
        const sight = through(from.settings.squint);
        return zoneColours(sight, zoneEdges(sight.counts, from.settings));
      }
      case 'pushed':
        return pushed(from.asked);
    }
  };

  return {
    extract({ region, from, ...settings }: Asked): Extraction {
      return extractPalette(source(from), {
        ...settings,
        within: region ? withinLoop(held(), region) : undefined,
      });
    },
    suggestCount: (keep: Oklab[]): CountSuggestion => suggestCount(held().picture, keep),

    /** The area's average, spread and components. `place` in fractions of the developed picture, the radius of its diagonal. */
    pick(
      place: Place,
      radius: number,
      from: Source,
    ): { probe: Probe; components: ColourCluster[] } | null {
      const found = probe(source(from), place, radius);
      return (
        found && { probe: found, components: colourClusters(source(from), place, radius) ?? [] }
      );
    },

    /** The share of the picture that each colour owns. */
    shares: (colours: Oklab[]): number[] =>
      colours.length === 0 ? [] : mapShares(swatchMap(held().picture, colours), colours.length),

    mapped: (colours: Oklab[]): Picture => handOver(mappedPicture(held().picture, colours)),
    /** A veil that leaves clear what a palette fails. */
    failing(colours: Oklab[]): Picture {
      const { picture } = held();
      const map = failureMap(picture, colours);
      return handOver(
        veil(map, picture.width, picture.height, (entry) => entry === 1, TRANSPARENT_ENTRY),
      );
    },
    /** A veil that leaves clear what the mixes of some colours reach. */
    reached(colours: Oklab[]): Picture {
      const { picture } = held();
      const map = reachMap(picture, colours);
      return handOver(
        veil(map, picture.width, picture.height, (entry) => entry === 1, TRANSPARENT_ENTRY),
      );
    },
    fit: (colours: Oklab[]): Fit => readFit(held().picture, colours),
    reach: (colours: Oklab[], wheel: WheelId): Reach =>
      readReach(held().picture, colours, wheelOf(wheel)),
  };
}

function withinLoop(
  { picture: { width, height }, framed }: DerivedImages,
  points: Place[],
): Uint8Array {
  const [loop] = framed([{ tool: 'lasso' as const, radius: 0, points }]);
  const within = new Uint8Array(width * height);
  layStroke(loop, width, height, (row, first, last) =>
    within.fill(1, row * width + first, row * width + last + 1),
  );
  return within;
}
