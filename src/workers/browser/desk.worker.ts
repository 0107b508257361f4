import { expose, transfer } from 'comlink';
import type { Oklab } from '@/core/colour/oklab';
import {
  readCounts,
  zoneEdges,
  zoneOfBin,
  zonePicture,
  type ValueReading,
  type ValueSettings,
} from '@/core/measure/values';
import { extractPalette, type Extraction } from '@/core/palette/extract';
import { mapShares, NO_SWATCH, swatchMap } from '@/core/palette/swatch-map';
import { develop, type Development } from '@/core/picture/develop';
import { framePicture } from '@/core/picture/frame';
import type { Framing, Place } from '@/core/picture/framing';
import { pictureOf, type Picture } from '@/core/picture/picture';
import { probe, type Probe } from '@/core/picture/probe';
import { squint } from '@/core/picture/squint';
import { greyPicture, NO_VALUE, valueCounts, valueMap } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';

/** The part of a picture that stays while the rest steps back. */
export type Part =
  { kind: 'zone'; index: number } | { kind: 'swatch'; index: number; colours: Oklab[] };

/**
 * The Desk's worker. It holds the working copy and what was developed from it; every call that
 * measures measures the developed picture. Pictures are answered by transfer, so a copy is made of
 * whatever has to stay here.
 */
let working: Picture | null = null;
let developed: Picture | null = null;
let values: Values | null = null;
let squinted: (Values & { radius: number; picture: Picture }) | null = null;

function current(): Picture {
  if (!developed) throw new Error('no picture loaded');
  return developed;
}

/** Zones as a study has them: always a number. */
export type ZoneSettings = ValueSettings & { zones: number };

interface Values {
  map: Uint8Array;
  counts: Float64Array;
}

function valuesOf(picture: Picture): Values {
  const map = valueMap(picture);
  return { map, counts: valueCounts(map) };
}

function currentValues(): Values {
  return (values ??= valuesOf(current()));
}

/** The developed picture as squinted at, with its values; the last squint is kept. */
function squintedAt(radius: number): Values & { picture: Picture } {
  if (squinted?.radius !== radius) {
    const picture = squint(current(), radius);
    squinted = { radius, picture, ...valuesOf(picture) };
  }
  return squinted;
}

function handOver(picture: Picture): Picture {
  return transfer(picture, [picture.data.buffer as ArrayBuffer]);
}

function copyOf({ width, height, data }: Picture): Picture {
  return { width, height, data: data.slice() };
}

const desk = {
  /** Fetches and decodes a working copy: the server's pixels, to the last digit. */
  async load(url: string): Promise<void> {
    const response = await fetch(url);
    if (!response.ok) throw new Error(`the working copy could not be fetched (${response.status})`);
    const bitmap = await createImageBitmap(await response.blob(), {
      colorSpaceConversion: 'none',
      premultiplyAlpha: 'none',
    });
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' });
    if (!context) throw new Error('this browser can’t draw off screen');
    context.drawImage(bitmap, 0, 0);
    const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
    bitmap.close();
    working = pictureOf(width, height, data as Uint8ClampedArray);
  },

  /** Develops the working copy; all later calls measure what comes of it. */
  develop(development: Development): Picture {
    if (!working) throw new Error('no picture loaded');
    developed = develop(working, development);
    values = null;
    squinted = null;
    return handOver(copyOf(developed));
  },

  /** The picture in its framing with no correction. */
  uncorrected(framing: Framing): Picture {
    if (!working) throw new Error('no picture loaded');
    return handOver(copyOf(framePicture(working, framing)));
  },

  greys(): Picture {
    return handOver(greyPicture(current()));
  },

  /** The picture as through half-closed eyes. */
  squint(radius: number): Picture {
    return handOver(copyOf(squintedAt(radius).picture));
  },

  readValues(settings: ZoneSettings): ValueReading & { counts: number[] } {
    const { counts } = squintedAt(settings.squint);
    const reading = readCounts(currentValues().counts, counts, settings);
    return { ...reading, counts: Array.from(counts) };
  },

  zones({ zones, breaks, squint }: ZoneSettings): Picture {
    const { picture, map, counts } = squintedAt(squint);
    return handOver(zonePicture(picture, map, zoneEdges(counts, zones, breaks)));
  },

  extract(count: number, keep: Oklab[]): Extraction {
    return extractPalette(current(), count, keep);
  },

  /** The share of the picture nearest to each colour. */
  shares(colours: Oklab[]): number[] {
    return colours.length === 0 ? [] : mapShares(swatchMap(current(), colours), colours.length);
  },

  probe(place: Place, radius: number): Probe | null {
    return probe(current(), place, radius);
  },

  /** A probe of the working copy as it came, for the neutral point. `place` in fractions of it. */
  probeWorking(place: Place, radius: number): Probe | null {
    return working && probe(working, place, radius);
  },

  /** A veil that leaves one part of the developed picture clear. */
  veil(part: Part, settings: ZoneSettings): Picture {
    const { width, height } = current();
    if (part.kind === 'zone') {
      const { map, counts } = squintedAt(settings.squint);
      const zoneOf = zoneOfBin(zoneEdges(counts, settings.zones, settings.breaks));
      return handOver(veil(map, width, height, (bin) => zoneOf[bin] === part.index, NO_VALUE));
    }
    const map = swatchMap(current(), part.colours);
    return handOver(veil(map, width, height, (index) => index === part.index, NO_SWATCH));
  },
};

export type DeskWorker = typeof desk;

expose(desk);
