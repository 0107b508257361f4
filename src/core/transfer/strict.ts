import { bytesFromOklab } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { withValue } from '../colour/at-value';
import { zoneOfBin } from '../measure/zones';
import type { Picture } from '../picture/picture';
import { binOfValue, NO_VALUE, VALUE_BINS, valueMap, valueOfBin } from '../picture/value-map';
import { NO_MASS, type Subject } from './subject';

export interface StrictPicture {
  picture: Picture;
  /** The zones, from dark to light, that none of the colours lies in. */
  missing: number[];
  /** Of the picture, what stands in a zone that has no colour, 0–1; what is kept has its own. */
  missed: number;
  /** 1 for each pixel of that, 0 for the others. */
  unreached: Uint8Array;
}

/** How much a step of value counts against the distance to the mass's colour in OKLab. */
const STEP = 0.06;
/** A colour at other values is computed at every so many bins: it turns slowly between them. */
const COARSE = 8;

/**
 * The subject in nothing but some colours: in each pixel's own zone of value the one that is nearest to its mass's colour
 * at that value, so that the zones hold; where no colour lies in the zone, the nearest in value. `edges` are those of
 * `zoneEdges`, in bins of value. `keep` as in `heldPicture`, 128 and more keeping a pixel.
 */
export function strictPicture(
  { picture, masses, field }: Subject,
  colours: readonly Oklab[],
  of: readonly number[],
  edges: readonly number[],
  keep?: Uint8Array,
): StrictPicture {
  const zoneOf = zoneOfBin(edges);
  const values = colours.map((colour) => valueOfOklab(colour));
  const zones = values.map((value) => zoneOf[binOfValue(value)]);
  const bytes = colours.map(bytesFromOklab);
  const tables = new Map([...new Set(of)].map((c) => [c, tableOf(colours[c])]));
  const table = masses.map((_, mass) => tables.get(of[mass])!);
  const bins = valueMap(picture);
  const data = picture.data.slice();
  const unreached = new Uint8Array(bins.length);
  let missed = 0;
  let all = 0;
  const has = new Set(zones);
  for (let pixel = 0, at = 0; pixel < bins.length; pixel++, at += 4) {
    const mass = field.first[pixel];
    if (mass === NO_MASS || bins[pixel] === NO_VALUE) continue;
    if (keep && keep[pixel] >= 128) continue;
    all++;
    if (!has.has(zoneOf[bins[pixel]])) {
      missed++;
      unreached[pixel] = 1;
    }
    data.set(bytes[table[mass][bins[pixel]]], at);
    data[at + 3] = 255;
  }
  const present = Array.from({ length: edges.length + 1 }, (_, zone) => zone);
  return {
    picture: { width: picture.width, height: picture.height, data },
    missing: present.filter((zone) => !has.has(zone)),
    missed: all > 0 ? missed / all : 0,
    unreached,
  };

  /** For each bin of value the colour that a mass of this colour takes. */
  function tableOf(wanted: Oklab): Uint8Array {
    const tones = Array.from({ length: VALUE_BINS / COARSE + 1 }, (_, i) =>
      withValue(wanted, Math.min(10, valueOfBin(i * COARSE))),
    );
    return Uint8Array.from({ length: VALUE_BINS }, (_, bin) => {
      const value = valueOfBin(bin);
      const at = toneBetween(tones, bin / COARSE);
      const inZone = colours.flatMap((_colour, c) => (zones[c] === zoneOf[bin] ? [c] : []));
      const among = inZone.length > 0 ? inZone : colours.map((_colour, c) => c);
      const rate = (c: number) =>
        inZone.length > 0
          ? oklabDistance(colours[c], at) + STEP * Math.abs(values[c] - value)
          : Math.abs(values[c] - value);
      return among.reduce((best, c) => (rate(c) < rate(best) ? c : best), among[0]);
    });
  }
}

function toneBetween(tones: readonly Oklab[], place: number): Oklab {
  const low = Math.min(tones.length - 2, Math.floor(place));
  const [one, other, along] = [tones[low], tones[low + 1], place - low];
  return {
    L: one.L + along * (other.L - one.L),
    a: one.a + along * (other.a - one.a),
    b: one.b + along * (other.b - one.b),
  };
}
