import { everydayName } from './everyday';
import { intensityWord, NEUTRAL_CHROMA, type IntensityWord } from './intensity';
import { oklchFromOklab, type Oklab } from './oklab';
import { valueOfOklab, valueWord, type ValueWord } from './value';
import { familyOf, PAINTERS_WHEEL, type Wheel } from './wheel';

export interface ColourName {
  /** Intensity, value and family: "dull light orange"; "dark grey" for a neutral. */
  short: string;
  /** The family it leans toward, or null where it stands near its family's centre or is plain grey. */
  leaning: string | null;
  /** Brown, pink, olive …, or null. */
  everyday: string | null;
  family: string;
  intensity: IntensityWord;
  value: ValueWord;
}

/** A lean under this share of the way to the boundary is not worth a word. */
const LEAN_WORTH_SAYING = 0.4;
/** Below this chroma the hue of 8-bit sRGB is rounding, and a grey is plain grey. */
const DEFAULT_GREY = 0.004;

/** The parts of a colour's name on a wheel. */
export function nameParts(colour: Oklab, wheel: Wheel = PAINTERS_WHEEL): ColourName {
  const { C } = oklchFromOklab(colour);
  const family = familyOf(colour, wheel);
  const intensity = intensityWord(C);
  const value = valueWord(valueOfOklab(colour));
  if (C < NEUTRAL_CHROMA) {
    return {
      short: `${value} grey`,
      leaning: C < DEFAULT_GREY ? null : family.name,
      everyday: everydayName(colour),
      family: family.name,
      intensity,
      value,
    };
  }
  return {
    short: `${intensity} ${value} ${family.name}`,
    leaning: family.lean >= LEAN_WORTH_SAYING ? family.leaning : null,
    everyday: everydayName(colour),
    family: family.name,
    intensity,
    value,
  };
}

/** The whole name in words: "dull light orange leaning red-orange". */
export function colourName(colour: Oklab, wheel: Wheel = PAINTERS_WHEEL): string {
  return fullName(nameParts(colour, wheel));
}

/**
 * A name for each colour of a palette, no two alike and none among `taken`: the everyday name with
 * its value word or the short name where that is enough, with its lean where it is not, numbered
 * where even that repeats.
 */
export function paletteNames(
  colours: readonly Oklab[],
  taken: Iterable<string> = [],
  wheel: Wheel = PAINTERS_WHEEL,
): string[] {
  const used = new Set(Array.from(taken, (name) => name.toLowerCase()));
  return colours.map((colour) => {
    const parts = nameParts(colour, wheel);
    const plain = plainName(parts);
    const leaning = fullName(parts);
    const name = [plain, parts.short, leaning].find((candidate) => !used.has(candidate));
    const unique = name ?? numbered(leaning, used);
    used.add(unique);
    return unique;
  });
}

/** Names whose value is already understood are not given it twice: nobody says "very dark navy". */
const VALUE_UNDERSTOOD = new Set([
  'chestnut',
  'fir green',
  'leaf green',
  'moss',
  'navy',
  'rose beige',
  'rust',
  'sage',
  'sand',
  'sienna',
  'terracotta',
  'umber',
  'maroon',
  'cream',
  'beige',
  'peach',
  'mint',
  'sky blue',
  'lavender',
  'lilac',
]);

function everydayWithValue(everyday: string, value: ValueWord): string {
  return VALUE_UNDERSTOOD.has(everyday) ? everyday : `${value} ${everyday}`;
}

function fullName({ short, leaning }: ColourName): string {
  return leaning ? `${short} leaning ${leaning}` : short;
}

function numbered(name: string, used: ReadonlySet<string>): string {
  let n = 2;
  while (used.has(`${name} ${n}`)) n++;
  return `${name} ${n}`;
}

/** The everyday name with its value word, or intensity, value and family. */
function plainName({ everyday, value, short }: ColourName): string {
  return everyday ? everydayWithValue(everyday, value) : short;
}

/** A name without the lean: what a sentence has room for, and the first that a palette gives. */
export function shortName(colour: Oklab, wheel: Wheel = PAINTERS_WHEEL): string {
  return plainName(nameParts(colour, wheel));
}
