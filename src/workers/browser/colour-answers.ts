import { oklabFromBytes } from '@/core/colour/hex';
import { inHueArc } from '@/core/colour/hue-arc';
import { intensityWord, NEUTRAL_CHROMA } from '@/core/colour/intensity';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, wheelOf } from '@/core/colour/wheel';
import { readColourStudy } from '@/core/measure/colour-study';
import { meanTemperature, temperaturePicture } from '@/core/measure/temperature-spread';
import { HISTOGRAM_BINS, histogramBin } from '@/core/picture/colour-histogram';
import { OPAQUE, type Picture } from '@/core/picture/picture';
import { NO_VALUE } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import type { Answers, VeilAnswers } from './answer';
import type { DerivedImages } from './derived-images';

/** What the step Colours is answered. */
export const colourAnswers = {
  colours({ settings, corrections, wheel }, { images }) {
    return readColourStudy(images, {
      zones: settings,
      squint: settings.squint,
      wheel: wheelOf(wheel),
      corrections: images.framed(corrections),
    });
  },

  /** The picture in its temperature about its mean: orange is warmer, blue cooler. */
  temperature: (_, { images }) =>
    temperaturePicture(images.picture, meanTemperature(images.grid())),
} satisfies Partial<Answers>;

const chromaOf = ({ a, b }: Oklab) => Math.hypot(a, b);

/** Veils that leave some colours of the picture clear. */
export const colourVeils = {
  word: ({ word }, images) =>
    colourVeil(images, (colour) => intensityWord(chromaOf(colour)) === word),

  tone: ({ value, chroma: [from, to] }, images) =>
    colourVeil(images, (colour) => {
      const chroma = chromaOf(colour);
      const lightness = valueOfOklab(colour);
      return (
        chroma >= from &&
        (to === null || chroma < to) &&
        lightness >= value[0] &&
        lightness < value[1]
      );
    }),

  family({ index, wheel: id }, images) {
    const wheel = wheelOf(id);
    return colourVeil(
      images,
      (colour) => chromaOf(colour) >= NEUTRAL_CHROMA && familyOf(colour, wheel).index === index,
    );
  },

  hue: ({ from, to }, images) =>
    colourVeil(images, (colour) => {
      const hue = ((Math.atan2(colour.b, colour.a) * 180) / Math.PI + 360) % 360;
      return chromaOf(colour) >= NEUTRAL_CHROMA && inHueArc(hue, from, to);
    }),
} satisfies Partial<VeilAnswers>;

/** A veil that leaves the colours clear for which a test holds. */
function colourVeil({ picture }: DerivedImages, shown: (colour: Oklab) => boolean): Picture {
  const { width, height, data } = picture;
  // Tested once a bin of the histogram: some thousands where there are millions of pixels.
  const known = new Uint8Array(HISTOGRAM_BINS);
  const map = new Uint8Array(width * height);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (data[i + 3] < OPAQUE) {
      map[p] = NO_VALUE;
      continue;
    }
    const bin = histogramBin(data[i], data[i + 1], data[i + 2]);
    if (known[bin] === 0)
      known[bin] = shown(oklabFromBytes([data[i], data[i + 1], data[i + 2]])) ? 2 : 1;
    map[p] = known[bin] - 1;
  }
  return veil(map, width, height, (entry) => entry === 1, NO_VALUE);
}
