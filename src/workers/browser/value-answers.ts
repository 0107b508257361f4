import { massDepths, readDepth } from '@/core/depth/depth-study';
import { hazePicture } from '@/core/depth/haze-picture';
import { readForm } from '@/core/form/form-study';
import { readBalance } from '@/core/measure/balance';
import { brightnessPicture, misledPixels, readBrightness } from '@/core/measure/brightness';
import { readLightAndShadow, sideMap, sidePicture } from '@/core/measure/light-and-shadow';
import { mergingMasses } from '@/core/measure/separation';
import { readValueEnds } from '@/core/measure/value-ends';
import { edgeShares } from '@/core/measure/value-study';
import { readCounts } from '@/core/measure/values';
import {
  zoneBodies,
  zoneColours,
  zoneEdges,
  zoneGreys,
  zoneMap,
  zoneOutlines,
} from '@/core/measure/zones';
import { copyPicture, type Picture } from '@/core/picture/picture';
import { greyPicture, NO_VALUE } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import { valuePlan } from '@/core/plan/value-plan';
import { bilinear } from '@/core/raster/bilinear';
import type { Answers, VeilAnswers } from './answer';
import type { DerivedImages } from './derived-images';
import { hatching } from './hatching';
import { framedMarks } from './made-picture';

/** Following a hand is done at half the size. */
const sized = (images: DerivedImages, quick: boolean) => (quick ? images.half() : images);

/** What the step Values is answered. */
export const valueAnswers = {
  greys: (_, { images }) => greyPicture(images.picture),
  misleadingGreys: (_, { images }) => brightnessPicture(images.picture),
  brightness: ({ steps }, { images }) => readBrightness(images.plain(), steps),

  misleadingMarks({ steps }, { images }) {
    const { map } = misledPixels(images.plain(), steps);
    const { width, height } = images.picture;
    return hatching(map, width, height, NO_VALUE);
  },

  squint: ({ squint, quick }, { images }) =>
    copyPicture(sized(images, quick).through(squint).picture),

  values({ settings, quick }, { images }) {
    const { counts } = sized(images, quick).through(settings.squint);
    const reading = readCounts(sized(images, quick).plain().counts, counts, settings);
    return { ...reading, counts: Array.from(counts) };
  },

  valueEnds: ({ squint }, { images }) =>
    readValueEnds(images.through(squint).counts, images.masses(squint).masses, images.grid()),

  zoneBodies({ settings }, { images }) {
    const through = images.through(settings.squint);
    return zoneBodies(through, zoneEdges(through.counts, settings));
  },

  zones({ settings, look, quick }, { images }) {
    const through = sized(images, quick).through(settings.squint);
    const edges = zoneEdges(through.counts, settings);
    const draw = { greys: zoneGreys, colours: zoneColours, outlines: zoneOutlines }[look];
    return draw(through, edges);
  },

  lightAndShadow: ({ squint, corrections }, { images }) =>
    readLightAndShadow(
      images.plain(),
      images.split(squint),
      images.sides(squint, images.framed(corrections)),
    ),

  sides: ({ squint, corrections }, { images }) =>
    sidePicture(images.plain(), sideMap(images.split(squint), images.framed(corrections))),

  separation({ squint, steps }, { images }) {
    const { masses, borders } = images.masses(squint);
    return {
      merging: mergingMasses(masses, borders, steps),
      edges: edgeShares(borders),
      masses: masses.masses.length,
    };
  },

  edgeLines({ squint, merging }, { images }) {
    const { masses, borders } = images.masses(squint);
    if (merging === null)
      return borders.flatMap(({ lines }) =>
        lines.map(({ edge, points }) => ({ kind: edge, points })),
      );
    const pairs = mergingMasses(masses, borders, merging).map(({ pair }) => pair.join());
    return borders
      .filter(({ one, other }) => pairs.includes([one, other].join()))
      .flatMap(({ lines }) => lines.map(({ points }) => ({ kind: 'merging' as const, points })));
  },

  form: ({ squint }, { images }) => readForm(images, squint),

  depth: ({ squint, marks }, { images }) => readDepth(images, squint, framedMarks(images, marks)),

  haze({ squint, marks }, { images }) {
    const { masses } = images.masses(squint);
    return hazePicture(images.picture, masses, massDepths(masses, framedMarks(images, marks)));
  },

  focus(_, { images }) {
    const { places, quiet } = images.focus();
    return { places, quiet, balance: readBalance(images.grid()) };
  },

  busy: (_, { images }) => quietVeil(images),

  plan: ({ plan: { values, ...plan } }, { images }) =>
    valuePlan(images.through(values.squint), { ...values, ...plan }),
} satisfies Partial<Answers>;

/** A veil over what is quiet, the thicker the quieter. */
function quietVeil(images: DerivedImages): Picture {
  const grid = images.grid();
  const { busy } = images.focus();
  const { width, height } = images.picture;
  const data = new Uint8ClampedArray(width * height * 4);
  const at = new Float64Array(1);
  for (let y = 0, i = 0; y < height; y++) {
    const v = ((y + 0.5) / height) * grid.down - 0.5;
    for (let x = 0; x < width; x++, i += 4) {
      bilinear(busy, grid.width, 1, ((x + 0.5) / width) * grid.across - 0.5, v, at);
      data[i] = data[i + 1] = data[i + 2] = 119;
      data[i + 3] = 225 * (1 - Math.min(1, at[0] * 1.6)) ** 1.5;
    }
  }
  return { width, height, data };
}

/** Veils that leave a part of the picture clear that values tell. */
export const valueVeils = {
  zone({ index, settings }, { picture: { width, height }, through }) {
    const { map, counts } = through(settings.squint);
    const zones = zoneMap(map, zoneEdges(counts, settings));
    return veil(zones, width, height, (zone) => zone === index, NO_VALUE);
  },

  side({ side, squint, corrections }, { picture: { width, height }, split, framed }) {
    const sides = sideMap(split(squint), framed(corrections));
    const shown = side === 'light' ? 1 : 0;
    return veil(sides, width, height, (entry) => entry === shown, NO_VALUE);
  },

  misled({ family, steps }, { picture: { width, height }, plain }) {
    const { families, map } = misledPixels(plain(), steps);
    const index = families.indexOf(family);
    // Here what agrees is dimmed as well.
    return veil(map, width, height, (entry) => entry === index, -1);
  },

  masses({ which, squint }, { picture: { width, height }, masses }) {
    const { grid, labels } = masses(squint).masses;
    const map = new Uint8Array(width * height);
    for (let y = 0, p = 0; y < height; y++) {
      const row = Math.floor((y / height) * grid.down) * grid.width;
      for (let x = 0; x < width; x++, p++)
        map[p] = which.includes(labels[row + Math.floor((x / width) * grid.across)]) ? 1 : 0;
    }
    return veil(map, width, height, (entry) => entry === 1, NO_VALUE);
  },
} satisfies Partial<VeilAnswers>;
