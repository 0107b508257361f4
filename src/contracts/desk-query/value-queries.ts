import { z } from 'zod';
import { MAX_SQUARES, MIN_SQUARES } from '@/core/plan/transfer-grid';
import { MAX_LEAST_MASS, PLAN_PAPERS, type PlanPaper } from '@/core/plan/value-plan';
import { MAX_SQUINT } from '@/core/picture/squint';
import { valueScaleSchema } from '../colour';
import { correctionSchema, depthMarkSchema, valueSettingsSchema, ZONE_LOOKS } from '../study';

const squint = z.number().min(0).max(MAX_SQUINT);
const settings = valueSettingsSchema;
/** While a slider is being dragged: computed at half the size. */
const quick = z.boolean();
const corrections = z.array(correctionSchema);
const marks = z.array(depthMarkSchema);
/** A difference of value in Munsell steps. */
const steps = z.number().positive();

const gridSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z.object({ kind: z.literal('thirds') }),
  z.object({
    kind: z.literal('squares'),
    short: z.number().int().min(MIN_SQUARES).max(MAX_SQUARES),
  }),
]);

export const planSettingsSchema = z.object({
  values: settings,
  title: z.string(),
  paper: z.enum(Object.keys(PLAN_PAPERS) as [PlanPaper, ...PlanPaper[]]),
  grid: gridSchema,
  numbers: z.boolean(),
  fill: z.enum(['greys', 'outlines']),
  leastMass: z.number().min(0).max(MAX_LEAST_MASS),
  scale: valueScaleSchema,
});

/** The queries of the step Values. */
export const valueQueries = [
  z.object({ kind: z.literal('greys') }),
  z.object({ kind: z.literal('misleadingGreys') }),
  z.object({ kind: z.literal('misleadingMarks'), steps }),
  z.object({ kind: z.literal('brightness'), steps }),
  z.object({ kind: z.literal('squint'), squint, quick }),
  z.object({ kind: z.literal('values'), settings, quick }),
  z.object({ kind: z.literal('valueEnds'), squint }),
  z.object({ kind: z.literal('zoneBodies'), settings }),
  z.object({ kind: z.literal('zones'), settings, look: z.enum(ZONE_LOOKS), quick }),
  z.object({ kind: z.literal('lightAndShadow'), squint, corrections }),
  z.object({ kind: z.literal('sides'), squint, corrections }),
  z.object({ kind: z.literal('separation'), squint, steps }),
  /** All borders between masses, or only where masses merge within so many steps. */
  z.object({ kind: z.literal('edgeLines'), squint, merging: steps.nullable() }),
  z.object({ kind: z.literal('form'), squint }),
  z.object({ kind: z.literal('depth'), squint, marks }),
  /** The picture with a haze over it by distance. */
  z.object({ kind: z.literal('haze'), squint, marks }),
  z.object({ kind: z.literal('focus') }),
  z.object({ kind: z.literal('busy') }),
  z.object({ kind: z.literal('plan'), plan: planSettingsSchema }),
] as const;

/** Parts of the picture that stay clear while the rest is dimmed. */
export const valueParts = [
  z.object({ kind: z.literal('zone'), index: z.number().int().min(0), settings }),
  z.object({
    kind: z.literal('side'),
    side: z.enum(['light', 'shadow']),
    squint,
    corrections,
  }),
  z.object({ kind: z.literal('misled'), family: z.string(), steps }),
  z.object({ kind: z.literal('masses'), which: z.array(z.number().int()), squint }),
] as const;
