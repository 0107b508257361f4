import { z } from 'zod';
import { colourParts, colourQueries } from './colour-queries';
import { hiddenParts, hiddenQueries } from './hidden-queries';
import { mixQueries } from './mix-queries';
import { paletteParts, paletteQueries } from './palette-queries';
import { pictureQueries } from './picture-queries';
import { transferQueries } from './transfer-queries';
import { valueParts, valueQueries } from './value-queries';

/** The part of the picture that a veil leaves clear. */
export const veilPartSchema = z.discriminatedUnion('kind', [
  ...valueParts,
  ...colourParts,
  ...hiddenParts,
  ...paletteParts,
]);
export type VeilPart = z.infer<typeof veilPartSchema>;
export type VeilPartOf<K extends VeilPart['kind']> = Extract<VeilPart, { kind: K }>;

/** A query of the Desk to its worker. It holds everything that the answer depends on, except the picture. */
export const deskQuerySchema = z.discriminatedUnion('kind', [
  ...pictureQueries,
  ...valueQueries,
  ...colourQueries,
  ...hiddenQueries,
  ...paletteQueries,
  ...mixQueries,
  ...transferQueries,
  z.object({ kind: z.literal('veil'), part: veilPartSchema }),
]);
export type DeskQuery = z.infer<typeof deskQuerySchema>;
export type QueryKind = DeskQuery['kind'];
export type QueryOf<K extends QueryKind> = Extract<DeskQuery, { kind: K }>;

/** The cache key of a query: the same for equal queries, in whatever order their fields were written. */
export function queryKey(query: DeskQuery): string {
  return JSON.stringify(query, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : value,
  );
}
