import { inHueArc } from '@/core/colour/hue-arc';
import { intensityWord, NEUTRAL_CHROMA, type IntensityWord } from '@/core/colour/intensity';
import { oklabFromBytes } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, wheelOf, type WheelId } from '@/core/colour/wheel';
import { readColours, type ColourStudy } from '@/core/measure/colour-study';
import type { Correction } from '@/core/measure/light-and-shadow';
import { meanTemperature, temperaturePicture } from '@/core/measure/temperature-spread';
import { HISTOGRAM_BINS, histogramBin } from '@/core/picture/colour-histogram';
import { OPAQUE, type Picture } from '@/core/picture/picture';
import { NO_VALUE } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import type { DerivedImages } from './derived-images';
import type { ZoneSettings } from './value-calls';

/** The colours of a picture that stay while the rest steps back. */
export type ColourPart =
  | { kind: 'hue'; from: number; to: number }
  | { kind: 'family'; index: number; wheel: WheelId }
  | { kind: 'word'; word: IntensityWord }
  /** Munsell values and OKLCH chromas, each from the first up to before the second. */
  | { kind: 'tone'; value: readonly [number, number]; chroma: readonly [number, number] };

/** What the Desk's worker is asked in the step Colours. */
export function colourCalls(held: () => DerivedImages, handOver: (picture: Picture) => Picture) {
  return {
    readColours(settings: ZoneSettings, corrections: Correction[], wheel: WheelId): ColourStudy {
      const { picture, through, grid, masses, framed } = held();
      return readColours(
        {
          picture,
          through: through(settings.squint),
          grid: grid(),
          masses: masses(settings.squint).masses,
        },
        { zones: settings, wheel: wheelOf(wheel), corrections: framed(corrections) },
      );
    },

    /** The picture in greys of its temperature about its mean: the lighter the warmer. */
    temperature: (): Picture =>
      handOver(temperaturePicture(held().picture, meanTemperature(held().grid()))),
  };
}

/** A veil that leaves some colours of the picture clear. */
export function colourVeil({ picture }: DerivedImages, part: ColourPart): Picture {
  const shown = testOf(part);
  const { width, height, data } = picture;
  // Asked once a cell of colours: some thousands where there are millions of pixels.
  const known = new Uint8Array(HISTOGRAM_BINS);
  const map = new Uint8Array(width * height);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (data[i + 3] < OPAQUE) {
      map[p] = NO_VALUE;
      continue;
    }
    const cell = histogramBin(data[i], data[i + 1], data[i + 2]);
    if (known[cell] === 0)
      known[cell] = shown(oklabFromBytes([data[i], data[i + 1], data[i + 2]])) ? 2 : 1;
    map[p] = known[cell] - 1;
  }
  return veil(map, width, height, (entry) => entry === 1, NO_VALUE);
}

function testOf(part: ColourPart): (colour: Oklab) => boolean {
  const chroma = ({ a, b }: Oklab) => Math.hypot(a, b);
  if (part.kind === 'word') return (colour) => intensityWord(chroma(colour)) === part.word;
  if (part.kind === 'tone') {
    const within = (n: number, [from, to]: readonly [number, number]) => n >= from && n < to;
    return (colour) =>
      within(chroma(colour), part.chroma) && within(valueOfOklab(colour), part.value);
  }
  if (part.kind === 'family') {
    const wheel = wheelOf(part.wheel);
    return (colour) =>
      chroma(colour) >= NEUTRAL_CHROMA && familyOf(colour, wheel).index === part.index;
  }
  return (colour) => {
    const hue = ((Math.atan2(colour.b, colour.a) * 180) / Math.PI + 360) % 360;
    return chroma(colour) >= NEUTRAL_CHROMA && inHueArc(hue, part.from, part.to);
  };
}
