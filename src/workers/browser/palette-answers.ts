import { wheelOf } from '@/core/colour/wheel';
import { zoneColours, zoneEdges } from '@/core/measure/zones';
import { darkestDark } from '@/core/palette/ends';
import { extractPalette } from '@/core/palette/extract';
import { LEANS } from '@/core/palette/lean';
import { mappedPicture } from '@/core/palette/mapped';
import { failureMap, readFit } from '@/core/palette/missing';
import { reachMap, readReach } from '@/core/palette/reach';
import { suggestCount } from '@/core/palette/suggest';
import { mapShares, NO_SWATCH, swatchMap } from '@/core/palette/swatch-map';
import { colourClusters } from '@/core/picture/colour-clusters';
import { TRANSPARENT_ENTRY } from '@/core/picture/colour-histogram';
import type { Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import { probe } from '@/core/picture/probe';
import { layStroke } from '@/core/picture/strokes';
import { veil } from '@/core/picture/veil';
import type { Source } from '@/contracts/desk-query/palette-queries';
import type { Answers, VeilAnswers } from './answer';
import type { DerivedImages } from './derived-images';

/** What the step Palette and the tray are answered. */
export const paletteAnswers = {
  extract: ({ region, from, count, keep, lean }, { images }) =>
    extractPalette(sourceOf(images, from), {
      count,
      keep,
      lean,
      within: region ? withinLoop(images, region) : undefined,
    }),

  leans: ({ region, from, count, keep }, { images }) => {
    const source = sourceOf(images, from);
    const within = region ? withinLoop(images, region) : undefined;
    return LEANS.map((lean) => ({
      lean,
      ...extractPalette(source, { count, keep, lean, within }),
    }));
  },

  darkest: (_, { images }) => darkestDark(images.picture),

  countSuggestion: ({ keep }, { images }) => suggestCount(images.picture, keep),

  /** The area's average, spread and the colours that make it. */
  pick({ place, radius, from }, { images }) {
    const source = sourceOf(images, from);
    const found = probe(source, place, radius);
    return found && { probe: found, clusters: colourClusters(source, place, radius) ?? [] };
  },

  /** The share of the picture that each colour owns. */
  shares: ({ colours }, { images }) =>
    colours.length === 0 ? [] : mapShares(swatchMap(images.picture, colours), colours.length),

  mapped: ({ colours }, { images }) => mappedPicture(images.picture, colours),
  /** A veil that leaves clear what a palette fails. */
  failing: ({ colours }, { images: { picture } }) =>
    markedVeil(picture, failureMap(picture, colours)),
  fit: ({ colours }, { images }) => readFit(images.picture, colours),
  /** A veil that leaves clear what the mixes of some colours reach. */
  reached: ({ colours }, { images: { picture } }) =>
    markedVeil(picture, reachMap(picture, colours)),
  reach: ({ colours, wheel }, { images }) => readReach(images.picture, colours, wheelOf(wheel)),
} satisfies Partial<Answers>;

export const paletteVeils = {
  swatch({ index, colours }, { picture }) {
    const map = swatchMap(picture, colours);
    return veil(map, picture.width, picture.height, (entry) => entry === index, NO_SWATCH);
  },
} satisfies Partial<VeilAnswers>;

/** The picture that colours are picked from. */
function sourceOf({ picture, through, pushed }: DerivedImages, from: Source): Picture {
  switch (from.kind) {
    case 'picture':
      return picture;
    case 'squint':
      return through(from.squint).picture;
    case 'zones': {
      const squinted = through(from.settings.squint);
      return zoneColours(squinted, zoneEdges(squinted.counts, from.settings));
    }
    case 'pushed':
      return pushed(from.settings);
  }
}

function markedVeil({ width, height }: Picture, map: Uint8Array): Picture {
  return veil(map, width, height, (entry) => entry === 1, TRANSPARENT_ENTRY);
}

function withinLoop({ picture: { width, height }, framed }: DerivedImages, points: Place[]) {
  const [loop] = framed([{ tool: 'lasso' as const, radius: 0, points }]);
  const within = new Uint8Array(width * height);
  layStroke(loop, width, height, (row, first, last) =>
    within.fill(1, row * width + first, row * width + last + 1),
  );
  return within;
}
