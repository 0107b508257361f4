import { clampShare } from '../src/core/share';
import { hexFromOklab } from '../src/core/colour/hex';
import { familyOf } from '../src/core/colour/wheel';
import { oklchFromOklab, type Oklab } from '../src/core/colour/oklab';
import { paletteNames } from '../src/core/colour/name';
import { valueOfOklab } from '../src/core/colour/value';
import { CORE_VERSION } from '../src/core/index';
import { carriedBy } from '../src/core/measure/carried';
import { readColourStudy, type ColourStudy } from '../src/core/measure/colour-study';
import { readDepth, type DepthStudy } from '../src/core/depth/depth-study';
import type { PlaneReading } from '../src/core/depth/plane-reading';
import { readForm, type FormStudy } from '../src/core/form/form-study';
import { reflectionChange } from '../src/core/form/reflection-change';
import type { Mass } from '../src/core/measure/masses';
import { measureSources } from '../src/core/measure/sources';
import { readValueStudy } from '../src/core/measure/value-study';
import { DEFAULT_SQUINT } from '../src/core/picture/squint';
import { extractPalette } from '../src/core/palette/extract';
import type { Lean } from '../src/core/palette/lean';
import {
  measureReportSchema,
  paletteReportSchema,
  type MeasureReport,
  type PaletteReport,
} from '../src/contracts/report';
import { makeWorkingCopy } from '../src/server/pictures/read-picture';

/**
 * What is measured of a picture's bytes; zones by natural breaks, as many as carry it unless said
 * otherwise. Throws a ServiceError for one that can't be read.
 */
export async function measureReport(bytes: Uint8Array, zones?: number): Promise<MeasureReport> {
  const { working, type, width, height } = await makeWorkingCopy(bytes);
  const sources = measureSources(working);
  const study = readValueStudy(sources, {
    zones: zones ?? 'carried',
    breaks: 'natural',
    squint: DEFAULT_SQUINT,
  });
  const colours = readColourStudy(sources, {
    zones: { zones: study.values.zones.length, breaks: 'natural' },
  });
  const { values, lightAndShadow, brightness, merging, edges, focus, balance } = study;
  return measureReportSchema.parse({
    core: CORE_VERSION,
    picture: { type, width, height, workingWidth: working.width, workingHeight: working.height },
    values: {
      ...values,
      carriedIn: carriedBy(values),
      zones: values.zones.map(({ colour, ...zone }) => ({
        ...zone,
        hex: colour && hexFromOklab(colour),
      })),
    },
    lightAndShadow: {
      threshold: lightAndShadow.threshold,
      light: lightAndShadow.light && withHex(lightAndShadow.light),
      shadow: lightAndShadow.shadow && withHex(lightAndShadow.shadow),
    },
    brightness: { parted: brightness.parted, causes: brightness.causes.map(withHex) },
    merging: merging.map(({ place, steps, colour, one, other }) => ({
      ...place,
      steps,
      colour,
      one: { ...withHex(one), ...one.place },
      other: { ...withHex(other), ...other.place },
    })),
    edges,
    focus: focus.places.map((place) => ({ ...place, meets: place.meets.map(hexFromOklab) })),
    quiet: focus.quiet,
    balance: { ...balance.centre, left: balance.left, upper: balance.upper },
    ...formReport(readForm(sources, DEFAULT_SQUINT)),
    depth: depthReport(readDepth(sources, DEFAULT_SQUINT, [])),
    ...coloursReport(colours),
  });
}

const massReport = ({ place, ...mass }: Mass) => ({ ...withHex(mass), ...place });

/** What is found of form and reflections, masses by their colour and place. */
function formReport({ masses, main, halos, lines, shadows, reflections }: FormStudy) {
  const of = (index: number) => massReport(masses[index]);
  const spot = <T extends { place: Mass['place']; colour: Mass['colour'] }>({
    place,
    ...rest
  }: T) => ({
    ...withHex(rest),
    ...place,
  });
  return {
    form: {
      masses: main.map(massReport),
      halos: halos.map(({ place, mass, beside, ...halo }) => ({
        ...halo,
        ...place,
        mass: of(mass),
        beside: of(beside),
      })),
      lines: lines.map(({ place, masses: [one, other], ...line }) => ({
        ...line,
        ...place,
        one: of(one),
        other: of(other),
      })),
      shadows: shadows.map(({ mass, light, core, reflected: { from, ...back }, cast }) => ({
        mass: of(mass),
        light,
        core: spot(core),
        reflected: { ...spot(back), from: from === null ? null : of(from) },
        cast: cast && { ...spot(cast), on: of(cast.on) },
      })),
    },
    reflections: reflections.map(({ above, below, ...rest }) => ({
      ...rest,
      above: of(above),
      below: of(below),
      isUsual: reflectionChange(masses[above], rest).isUsual,
    })),
  };
}

/** How depth is told, as guessed. */
function depthReport({ masses, distances, facings, recession }: DepthStudy) {
  const planes = <T extends string>(of: Record<T, PlaneReading | null>) =>
    Object.fromEntries(
      Object.entries<PlaneReading | null>(of).map(([name, plane]) => {
        if (!plane) return [name, null];
        const { masses: _, ...reading } = plane;
        return [name, withHex(reading)];
      }),
    );
  return {
    masses: masses.map(({ byHand: _, ...mass }) => massReport(mass)),
    distances: planes(distances),
    facings: planes(facings),
    recession,
  };
}

function coloursReport({ hues, keyColour, temperature, chroma, harmony, readsAs }: ColourStudy) {
  return {
    hues: {
      dominant: hues.dominant.map(withHex),
      families: Object.fromEntries(
        hues.families.map(({ family, light, shadow }) => [family, clampShare(light + shadow)]),
      ),
      neutral: hues.neutral,
    },
    keyColour: keyColour && {
      ...withHex(keyColour),
      bands: keyColour.bands.map(({ colour, ...band }) => ({
        ...band,
        hex: colour && hexFromOklab(colour),
      })),
    },
    temperature: {
      ...temperature,
      warmest: withHex(temperature.warmest),
      coolest: withHex(temperature.coolest),
      pairs: temperature.pairs.map(({ light, shadow, lean, weight }) => ({
        light: withHex(light),
        shadow: withHex(shadow),
        lean,
        weight,
      })),
    },
    chroma: { ...chroma, accents: chroma.accents.map(withHex) },
    harmony: harmony.fits,
    outside: harmony.outside.map(withHex),
    readsAs: readsAs.map(({ place, share, colour, surround, reads, pushed }) => ({
      ...place,
      share,
      hex: hexFromOklab(colour),
      surround: hexFromOklab(surround),
      reads: hexFromOklab(reads),
      pushed,
    })),
  };
}

function withHex<T extends { colour: Oklab }>({ colour, ...rest }: T) {
  return { ...rest, hex: hexFromOklab(colour) };
}

/** The palette that the Desk would extract, from dark to light. Throws as `measureReport` does. */
export async function paletteReport(
  bytes: Uint8Array,
  count: number,
  lean: Lean = 'balanced',
): Promise<PaletteReport> {
  const { working } = await makeWorkingCopy(bytes);
  const { swatches, meanDifference } = extractPalette(working, { count, lean });
  const names = paletteNames(swatches.map((swatch) => swatch.colour));
  return paletteReportSchema.parse({
    swatches: swatches.map(({ colour, share, point }, i) => ({
      hex: hexFromOklab(colour),
      share,
      name: names[i],
      family: familyOf(colour).name,
      value: valueOfOklab(colour),
      chroma: oklchFromOklab(colour).C,
      oklab: [colour.L, colour.a, colour.b],
      place: point,
    })),
    meanDifference,
  });
}
