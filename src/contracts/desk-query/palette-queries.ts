import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { MAX_SWATCHES, MIN_SWATCHES } from '@/core/palette/extract';
import { LEANS } from '@/core/palette/lean';
import { MAX_LIMITED, MIN_LIMITED } from '@/core/palette/reach';
import { oklabSchema } from '../colour';
import { pushSettingsSchema } from '../push-request';
import { valueSettingsSchema } from '../study';
import { placeSchema } from './picture-queries';

/** What colours are picked from: the picture, or what is laid over it. */
export const sourceSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('picture') }),
  z.object({ kind: z.literal('squint'), squint: z.number() }),
  z.object({ kind: z.literal('zones'), settings: valueSettingsSchema }),
  z.object({ kind: z.literal('pushed'), settings: pushSettingsSchema }),
]);
export type Source = z.infer<typeof sourceSchema>;

const colours = z.array(oklabSchema);
const someColours = colours.min(1);
const limited = colours.min(MIN_LIMITED).max(MAX_LIMITED);

/** What the step Palette and the tray ask. */
export const paletteQueries = [
  z.object({
    kind: z.literal('extract'),
    count: z.number().int().min(MIN_SWATCHES).max(MAX_SWATCHES),
    keep: colours,
    lean: z.enum(LEANS),
    /** A loop on the original that is looked within. */
    region: z.array(placeSchema).nullable(),
    from: sourceSchema,
  }),
  /** What each lean extracts, and how far the picture is from it. */
  z.object({
    kind: z.literal('leans'),
    count: z.number().int().min(MIN_SWATCHES).max(MAX_SWATCHES),
    keep: colours,
    region: z.array(placeSchema).nullable(),
    from: sourceSchema,
  }),
  /** The picture's darkest dark. */
  z.object({ kind: z.literal('darkest') }),
  z.object({ kind: z.literal('countSuggestion'), keep: colours }),
  /** `place` in fractions of the developed picture, the radius a share of its diagonal. */
  z.object({
    kind: z.literal('pick'),
    place: placeSchema,
    radius: z.number().min(0),
    from: sourceSchema,
  }),
  z.object({ kind: z.literal('shares'), colours }),
  z.object({ kind: z.literal('mapped'), colours: someColours }),
  z.object({ kind: z.literal('failing'), colours: someColours }),
  z.object({ kind: z.literal('fit'), colours: someColours }),
  z.object({ kind: z.literal('reached'), colours: limited }),
  z.object({ kind: z.literal('reach'), colours: limited, wheel: z.enum(WHEEL_IDS) }),
] as const;

export const paletteParts = [
  z.object({ kind: z.literal('swatch'), index: z.number().int().min(0), colours: someColours }),
] as const;
