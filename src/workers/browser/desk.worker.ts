import { expose, transfer } from 'comlink';
import { pushable } from '@/core/amplify/pushed';
import type { Oklab } from '@/core/colour/oklab';
import type { WheelId } from '@/core/colour/wheel';
import { NO_SWATCH, swatchMap } from '@/core/palette/swatch-map';
import { colourClusters, type ColourCluster } from '@/core/picture/colour-clusters';
import { develop, type Development } from '@/core/picture/develop';
import { framePicture } from '@/core/picture/frame';
import type { Framing, Place } from '@/core/picture/framing';
import { pictureOf, type Picture } from '@/core/picture/picture';
import { probe, type Probe } from '@/core/picture/probe';
import { framedStrokes } from '@/core/picture/strokes';
import { veil } from '@/core/picture/veil';
import { colourCalls, colourVeil, type ColourPart } from './colour-calls';
import { deriveImages, type DerivedImages } from './derived-images';
import { hiddenCalls, hiddenVeil } from './hidden-calls';
import { paletteCalls } from './palette-calls';
import { valueCalls, valueVeil, type ValuePart } from './value-calls';

/** The part of a picture that stays while the rest steps back. */
export type Part =
  | ValuePart
  | ColourPart
  | { kind: 'swatch'; index: number; colours: Oklab[] }
  | { kind: 'hidden'; index: number; wheel: WheelId };

/**
 * The Desk's worker. It holds the working copy and what was developed from it; every call that
 * measures measures the developed picture. Pictures are answered by transfer, so a copy is made of
 * whatever has to stay here.
 */
let working: Picture | null = null;
let held: DerivedImages | null = null;
let jpegQuality: number | null = null;

function current(): DerivedImages {
  if (!held) throw new Error('no picture loaded');
  return held;
}

function handOver(picture: Picture): Picture {
  return transfer(picture, [picture.data.buffer as ArrayBuffer]);
}

function copyOf({ width, height, data }: Picture): Picture {
  return { width, height, data: data.slice() };
}

const desk = {
  /**
   * Fetches and decodes a working copy: the server's pixels, to the last digit. `quality` is that of the
   * JPEG it was made of, if it was one.
   */
  async load(url: string, quality: number | null): Promise<void> {
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
    jpegQuality = quality;
    working = pictureOf(width, height, data as Uint8ClampedArray);
  },

  /** Develops the working copy; all later calls measure what comes of it. */
  develop(development: Development): Picture {
    if (!working) throw new Error('no picture loaded');
    const original = working;
    const picture = develop(original, development);
    held = deriveImages(
      picture,
      (strokes) => framedStrokes(strokes, development.framing, original, picture),
      (developed) => pushable(developed, jpegQuality),
    );
    return handOver(copyOf(held.picture));
  },

  /** The picture in its framing with no correction. */
  uncorrected(framing: Framing): Picture {
    if (!working) throw new Error('no picture loaded');
    return handOver(copyOf(framePicture(working, framing)));
  },

  ...valueCalls(current, handOver),
  ...colourCalls(current, handOver),
  ...hiddenCalls(current, handOver),
  ...paletteCalls(current, handOver),

  probe(place: Place, radius: number): Probe | null {
    return probe(current().picture, place, radius);
  },

  /** The colours that together make an area's average. */
  components(place: Place, radius: number): ColourCluster[] | null {
    return colourClusters(current().picture, place, radius);
  },

  /** A probe of the working copy as it came, for the neutral point. `place` in fractions of it. */
  probeWorking(place: Place, radius: number): Probe | null {
    return working && probe(working, place, radius);
  },

  /** A veil that leaves one part of the developed picture clear. */
  veil(part: Part): Picture {
    switch (part.kind) {
      case 'hue':
      case 'family':
      case 'word':
      case 'tone':
        return handOver(colourVeil(current(), part));
      case 'hidden':
        return handOver(hiddenVeil(current(), part.index, part.wheel));
      case 'swatch': {
        const { picture } = current();
        const { width, height } = picture;
        const map = swatchMap(picture, part.colours);
        return handOver(veil(map, width, height, (index) => index === part.index, NO_SWATCH));
      }
      default:
        return handOver(valueVeil(current(), part));
    }
  },
};

export type DeskWorker = typeof desk;

expose(desk);
