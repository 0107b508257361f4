import { z } from 'zod';
import { DISTANCES, FACINGS } from '@/core/depth/depth-marks';
import { RECEDING } from '@/core/depth/recession';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { SCHEMES } from '@/core/measure/harmony';
import { VERDICTS } from '@/core/measure/warm-cool';

const value = z.number().min(0).max(10);
const share = z.number().min(0).max(1);
const chroma = z.number().min(0);
const hex = z.string().regex(/^#[0-9a-f]{6}$/);
const place = { x: share, y: share };
const numberOf = z.number().int().min(0);
const zoneSchema = z.object({ from: value, to: value, share, mean: value });

const endSchema = z.object({
  usual: value,
  large: value,
  small: z.array(z.object({ value, share, ...place })),
});

export const valueReadingSchema = z.object({
  median: value,
  p5: value,
  p95: value,
  key: z.enum(['low', 'middle', 'high']),
  range: z.enum(['short', 'medium', 'full']),
  carriedBy: z.number().int().min(1).max(9),
  lights: endSchema,
  darks: endSchema,
  carriedIn: z.object({ light: numberOf, shadow: numberOf }),
  curve: z.array(z.number().min(0).max(10)).length(9),
  zones: z.array(zoneSchema),
});

const sideSchema = z
  .object({
    share,
    hex,
    value,
    temperature: z.number().min(-3).max(3),
    chroma,
    meanChroma: chroma,
  })
  .nullable();

const massSchema = z.object({ hex, share, value, ...place });

const degrees = z.number().min(0).max(360);
const gradientSchema = z
  .object({ towards: degrees, from: z.number(), to: z.number(), fit: share })
  .nullable();
const tone = z.enum(['light', 'dark']);
const step = z.number().min(0).max(10);
const spot = { ...place, hex, value };

const planeSchema = z
  .object({ share, hex, value, contrast: z.number(), chroma, temperature: z.number() })
  .nullable();
const recedingSchema = z.object({
  difference: z.number(),
  step: z.enum(['back', 'alike', 'forward']),
});
const distance = z.enum(DISTANCES);
const facing = z.enum(FACINGS);

const depthSchema = z.object({
  masses: z.array(massSchema.extend({ distance, facing })),
  distances: z.record(distance, planeSchema),
  facings: z.record(facing, planeSchema),
  recession: z
    .object({
      near: distance,
      far: distance,
      steps: z.record(z.enum(RECEDING), recedingSchema),
      value: z.number(),
      verdict: z.enum(['back', 'alike', 'forward', 'partly']),
    })
    .nullable(),
});

const formSchema = z.object({
  masses: z.array(
    massSchema.extend({
      gradients: z.object({
        value: gradientSchema,
        temperature: gradientSchema,
        chroma: gradientSchema,
      }),
      variety: chroma,
    }),
  ),
  halos: z.array(
    z.object({ ...place, tone, step, along: share, mass: massSchema, beside: massSchema }),
  ),
  lines: z.array(
    z.object({ ...place, tone, step, along: share, one: massSchema, other: massSchema }),
  ),
  shadows: z.array(
    z.object({
      mass: massSchema,
      light: degrees,
      core: z.object(spot),
      reflected: z.object({ ...spot, step, from: massSchema.nullable() }),
      cast: z.object({ ...spot, share, on: massSchema }).nullable(),
    }),
  ),
});

const reflectionSchema = z.object({
  above: massSchema,
  below: massSchema,
  waterline: share,
  overlap: share,
  value: z.number().min(-10).max(10),
  chroma: z.number(),
  isUsual: z.boolean(),
});
const temperature = z.number().min(-3).max(3);

const pairSide = z.object({ ...place, hex, value });

const coloursSchema = z.object({
  hues: z.object({
    dominant: z.array(
      z.object({
        family: z.string(),
        hue: degrees,
        share,
        value,
        chroma,
        hex,
        from: degrees,
        to: degrees,
      }),
    ),
    families: z.record(z.string(), share),
    neutral: share,
  }),
  keyColour: z
    .object({
      family: z.string(),
      hue: degrees,
      hex,
      bands: z
        .array(z.object({ from: value, to: value, share: share, hex: hex.nullable() }))
        .length(5),
    })
    .nullable(),
  temperature: z.object({
    mean: temperature,
    light: temperature.nullable(),
    shadow: temperature.nullable(),
    warmest: z.object({ ...place, temperature, hex }),
    coolest: z.object({ ...place, temperature, hex }),
    zones: z.array(temperature.nullable()),
    /** Of the light, against the shadow: by the vote of pairs of one local colour; null where there are none. */
    verdict: z.enum(VERDICTS).nullable(),
    votes: z.object({ warmer: share, cooler: share, alike: share }),
    by: z.number().min(0).max(3).nullable(),
    pairs: z.array(
      z.object({ light: pairSide, shadow: pairSide, lean: temperature, weight: share }),
    ),
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
    byLight: z.object({
      light: chroma.nullable(),
      halfTone: chroma.nullable(),
      shadowEdge: chroma.nullable(),
      shadow: chroma.nullable(),
    }),
    accents: z.array(z.object({ ...place, share, hex, chroma })),
  }),
  harmony: z.array(
    z.object({ scheme: z.enum(SCHEMES), fit: z.number().min(0).max(100), rotation: degrees }),
  ),
  outside: z.array(
    z.object({
      family: z.string(),
      share,
      hex,
      distance: degrees,
      kind: z.enum(['accent', 'stray']),
    }),
  ),
  readsAs: z.array(z.object({ ...place, share, hex, surround: hex, reads: hex, pushed: chroma })),
});

/**
 * What `prism measure` prints. Values are Munsell, 0–10; shares 0–1; chroma OKLCH; temperature −3
 * (cool) to 3 (warm); x and y fractions of the picture from its upper left; sizes pixels. See
 * docs/measure-report.md for each entry.
 */
export const measureReportSchema = z.object({
  core: z.number().int(),
  picture: z.object({
    type: z.string(),
    width: z.number().int(),
    height: z.number().int(),
    workingWidth: z.number().int(),
    workingHeight: z.number().int(),
  }),
  values: valueReadingSchema.extend({
    zones: z.array(zoneSchema.extend({ hex: hex.nullable(), masses: numberOf, largest: share })),
  }),
  lightAndShadow: z.object({ threshold: value, light: sideSchema, shadow: sideSchema }),
  brightness: z.object({
    parted: share,
    causes: z.array(z.object({ family: z.string(), share, hex, value, byBrightness: value })),
  }),
  merging: z.array(
    z.object({ ...place, steps: value, colour: chroma, one: massSchema, other: massSchema }),
  ),
  edges: z.object({ found: share, soft: share, lost: share }),
  focus: z.array(
    z.object({
      ...place,
      reason: z.enum(['value', 'hue', 'chroma']),
      strength: share,
      radius: share,
      meets: z.tuple([hex, hex]),
    }),
  ),
  quiet: z.array(z.object({ ...place, share })),
  balance: z.object({ ...place, left: share, upper: share }),
  form: formSchema,
  depth: depthSchema,
  reflections: z.array(reflectionSchema),
  ...coloursSchema.shape,
});
export type MeasureReport = z.infer<typeof measureReportSchema>;

/** What `prism palette` prints. */
export const paletteReportSchema = z.object({
  swatches: z.array(
    z.object({
      hex,
      share,
      name: z.string(),
      family: z.string(),
      value,
      chroma,
      oklab: z.tuple([z.number(), z.number(), z.number()]),
      place: z.object(place).nullable(),
    }),
  ),
  meanDifference: z.number().min(0),
});
export type PaletteReport = z.infer<typeof paletteReportSchema>;

/** What `prism hidden` prints: quiet colours by sureness times share, as they are and as a push of 0.5 spreads them. */
export const hiddenReportSchema = z.object({
  hidden: z.array(
    z.object({
      /** The same as `readsAs`. */
      family: z.string(),
      /** What it seems beside the rest, and what it is: its own lean from neutral, or `neutral`. */
      readsAs: z.string(),
      is: z.string(),
      place: z.string(),
      share,
      hex,
      pushed: hex,
      sureness: share,
    }),
  ),
});
export type HiddenReport = z.infer<typeof hiddenReportSchema>;
