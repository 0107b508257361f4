import { z } from 'zod';
import { hexFromOklab } from '../colour/hex';
import { readJson } from './json-text';
import {
  ALL_CAPABILITIES,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  partsOf,
  swatchPartsSchema,
  type LibraryFormat,
} from './library-file';

const KIND = 'bold-prism-library';
const VERSION = 1;

const finite = z.number();
const swatch = z.object({
  name: z.string().max(200),
  note: z.string().max(4000).default(''),
  oklab: z.tuple([z.number().min(0).max(1), finite.min(-1).max(1), finite.min(-1).max(1)]),
  ...swatchPartsSchema.shape,
});
const file = z.object({
  format: z.literal(KIND),
  version: z.literal(VERSION),
  library: z.object({
    name: z.string().max(200),
    note: z.string().max(4000).default(''),
    tags: z.array(z.string().max(60)).max(100).default([]),
    swatches: z.array(swatch).max(MAX_LIBRARY_SWATCHES),
    built: z.unknown().optional(),
  }),
});

/**
 * Bold Prism's own library file: everything a library holds, colours as OKLab at full precision
 * with hex beside them for people and other programs (hex is not read back). Described in
 * docs/formats.md.
 */
export const prismJson: LibraryFormat = {
  id: 'json',
  title: 'Bold Prism library',
  extension: 'prism.json',
  mediaType: 'application/json',
  holds: ALL_CAPABILITIES,

  write: ({ name, note, tags, swatches, built }) => {
    const plain = {
      format: KIND,
      version: VERSION,
      library: {
        name,
        note,
        tags,
        swatches: swatches.map(({ colour, ...rest }) => ({
          name: rest.name,
          note: rest.note,
          hex: hexFromOklab(colour),
          oklab: [colour.L, colour.a, colour.b],
          ...partsOf(rest),
        })),
        ...(built !== undefined && { built }),
      },
    };
    return JSON.stringify(plain, null, 2) + '\n';
  },

  read: (text) => {
    const { value, lineOf } = readJson(text);
    const parsed = file.safeParse(value);
    if (!parsed.success) {
      const { path, message } = parsed.error.issues[0];
      throw new FormatError(
        lineOf(path),
        `${path.map(String).join(' › ') || 'the file'}: ${message}.`,
      );
    }
    const { library } = parsed.data;
    return {
      ...library,
      swatches: library.swatches.map(({ oklab: [L, a, b], ...rest }) => ({
        ...rest,
        colour: { L, a, b },
      })),
    };
  },
};
