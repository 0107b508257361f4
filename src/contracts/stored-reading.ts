import { z } from 'zod';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import type { WheellessStudy, WheelStudy } from '@/core/measure/colour-study';
import { SCHEMES } from '@/core/measure/harmony';
import type { ValueReading } from '@/core/measure/values';
import { VERDICTS } from '@/core/measure/warm-cool';
import { MAX_ZONES } from '@/core/measure/zones';
import { KEYS, RANGES } from './study';

const value = z.number().min(0).max(10);
/** A sum of shares may be a rounding above 1. */
const share = z
  .number()
  .min(0)
  .max(1 + 1e-6);
const chroma = z.number().min(0);
const degrees = z.number().min(-360).max(720);
const temperature = z.number().min(-3).max(3);
const fraction = z.number().min(0).max(1);
/** Means of what is stored in single precision may be a rounding outside. */
const colour = z.object({
  L: z.number().min(-0.01).max(1.01),
  a: z.number().min(-1).max(1),
  b: z.number().min(-1).max(1),
});
const family = z.string().max(40);
const place = { x: fraction, y: fraction };
const zone = z.object({ from: value, to: value, share, mean: value });

/** The readings that are stored of a study, as this version of the core makes them. */
export const storedValuesSchema = z.object({
  median: value,
  p5: value,
  p95: value,
  key: z.enum(KEYS),
  range: z.enum(RANGES),
  carriedBy: z.number().int().min(1).max(9),
  curve: z.array(z.number().min(0).max(10)).length(MAX_ZONES),
  inShadow: z.array(z.number().int().min(0).max(MAX_ZONES)).length(MAX_ZONES),
  zones: z.array(zone).min(1).max(9),
}) satisfies z.ZodType<ValueReading>;

const pairSide = z.object({ ...place, colour, value });
const temperaturePlace = z.object({ ...place, temperature, colour });

export const storedColoursSchema = z.object({
  sideValues: z.object({ light: value.nullable(), shadow: value.nullable() }),
  temperature: z.object({
    mean: temperature,
    light: temperature.nullable(),
    shadow: temperature.nullable(),
    warmest: temperaturePlace,
    coolest: temperaturePlace,
    zones: z.array(temperature.nullable()).max(9),
    verdict: z.enum(VERDICTS).nullable(),
    votes: z.object({ warmer: fraction, cooler: fraction, alike: fraction }),
    by: z.number().min(0).max(3).nullable(),
    pairs: z
      .array(
        z.object({
          light: pairSide,
          shadow: pairSide,
          masses: z.tuple([z.number().int().min(0), z.number().int().min(0)]),
          lean: temperature,
          weight: share,
        }),
      )
      .max(8),
  }),
  chroma: z.object({
    p5: chroma,
    p25: chroma,
    p50: chroma,
    p75: chroma,
    p95: chroma,
    mean: chroma,
    words: z.record(z.enum(INTENSITY_WORDS), share),
    strongInLight: share.nullable(),
    light: chroma.nullable(),
    shadow: chroma.nullable(),
    density: z.array(z.array(share).max(40)).max(40),
    byLight: z.object({
      light: chroma.nullable(),
      halfTone: chroma.nullable(),
      shadowEdge: chroma.nullable(),
      shadow: chroma.nullable(),
    }),
    accents: z.array(z.object({ ...place, share, colour, chroma })).max(20),
  }),
  readsAs: z
    .array(
      z.object({
        mass: z.number().int().min(0),
        share,
        place: z.object(place),
        colour,
        surround: colour,
        reads: colour,
        pushed: chroma,
      }),
    )
    .max(200),
}) satisfies z.ZodType<WheellessStudy>;

export const storedWheelSchema = z.object({
  hues: z.object({
    dominant: z
      .array(
        z.object({
          family,
          hue: degrees,
          from: degrees,
          to: degrees,
          share,
          value,
          chroma,
          colour,
        }),
      )
      .max(72),
    families: z
      .array(
        z.object({
          family,
          light: share,
          shadow: share,
          lightColour: colour.nullable(),
          shadowColour: colour.nullable(),
        }),
      )
      .max(12),
    neutral: share,
    density: z.array(share).max(360),
  }),
  keyColour: z
    .object({
      family,
      hue: degrees,
      colour,
      bands: z
        .array(z.object({ from: value, to: value, share, colour: colour.nullable() }))
        .length(5),
    })
    .nullable(),
  harmony: z.object({
    fits: z
      .array(
        z.object({
          scheme: z.enum(SCHEMES),
          fit: z.number().min(0).max(100),
          rotation: degrees,
          sectors: z.array(z.object({ centre: degrees, half: degrees })).max(6),
        }),
      )
      .max(SCHEMES.length),
    outside: z
      .array(
        z.object({
          family,
          share,
          colour,
          distance: degrees,
          kind: z.enum(['accent', 'stray']),
        }),
      )
      .max(72),
    round: z.array(share).max(360),
    /** Readings of before have none; they are made anew at the start. */
    roundColours: z.array(colour.nullable()).default([]),
    coloured: share,
  }),
}) satisfies z.ZodType<WheelStudy>;
