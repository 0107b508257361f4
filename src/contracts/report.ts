import { z } from 'zod';

const value = z.number().min(0).max(10);
const share = z.number().min(0).max(1);

export const valueReadingSchema = z.object({
  median: value,
  p5: value,
  p95: value,
  key: z.enum(['low', 'middle', 'high']),
  range: z.enum(['short', 'medium', 'full']),
  carriedBy: z.number().int().min(1).max(9),
  curve: z.array(
    z
      .number()
      .min(0)
      .max(1 + 1e-9),
  ),
  zones: z.array(z.object({ from: value, to: value, share, mean: value })),
});

/** What `prism measure` prints. Values are Munsell 0–10, shares 0–1, sizes pixels. */
export const measureReportSchema = z.object({
  core: z.number().int(),
  picture: z.object({
    type: z.string(),
    width: z.number().int(),
    height: z.number().int(),
    workingWidth: z.number().int(),
    workingHeight: z.number().int(),
  }),
  values: valueReadingSchema,
});
export type MeasureReport = z.infer<typeof measureReportSchema>;

/** What `prism palette` prints. */
export const paletteReportSchema = z.object({
  swatches: z.array(
    z.object({
      hex: z.string(),
      share,
      name: z.string(),
      family: z.string(),
      value,
      chroma: z.number().min(0),
      oklab: z.tuple([z.number(), z.number(), z.number()]),
      place: z.object({ x: share, y: share }).nullable(),
    }),
  ),
  meanDifference: z.number().min(0),
});
export type PaletteReport = z.infer<typeof paletteReportSchema>;
