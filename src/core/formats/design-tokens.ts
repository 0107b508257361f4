import { cutText } from '../text';
import { z } from 'zod';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { oklabFromOklch, oklabFromRgb, type Oklab } from '../colour/oklab';
import { readJson, type JsonText } from './json-text';
import {
  ALL_CAPABILITIES,
  bareSwatch,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  partsOf,
  swatchPartsSchema,
  type FileSwatch,
  type LibraryFormat,
} from './library-file';
import { slugs } from './slugs';

/** What a token keeps for us besides, under a name of our own as the format asks. */
const OWN = 'bold-prism';
const MAX_DEPTH = 40;

const components = z.tuple([z.number(), z.number(), z.number()]);
const valueSchema = z.union([
  z.string(),
  z.object({
    colorSpace: z.string(),
    components: z.array(z.union([z.number(), z.literal('none')])),
  }),
]);
const ownLibrary = z.object({
  name: z.string().max(200),
  tags: z.array(z.string().max(60)).max(100).default([]),
});
const ownSwatch = swatchPartsSchema.extend({ name: z.string().max(200) });

/**
 * Design tokens of the W3C's community group (Design Tokens Format Module 2025.10): each swatch a token of type
 * `color` in OKLab with hex beside it, its note as the description, name, share and provenance as an extension. Reading
 * takes colour tokens of any such file, groups and references to other tokens included.
 */
export const designTokens: LibraryFormat = {
  id: 'tokens',
  title: 'design tokens',
  extension: 'tokens.json',
  mediaType: 'application/json',
  holds: ALL_CAPABILITIES.filter((holding) => holding !== 'links'),

  write: ({ name, note, tags, swatches }) => {
    const keys = slugs(swatches.map((swatch) => swatch.name));
    const tokens = swatches.map(({ name: own, note: about, colour, ...parts }, i) => [
      keys[i],
      {
        $value: {
          colorSpace: 'oklab',
          components: [colour.L, colour.a, colour.b],
          hex: hexFromOklab(colour),
        },
        $description: about,
        $extensions: { [OWN]: { name: own, ...partsOf(parts) } },
      },
    ]);
    const file = {
      $type: 'color',
      $description: note,
      $extensions: { [OWN]: { name, tags } },
      ...Object.fromEntries(tokens),
    };
    return JSON.stringify(file, null, 2) + '\n';
  },

  read: (text) => {
    const json = readJson(text);
    const root = json.value;
    if (!isGroup(root)) throw new FormatError(1, 'a file of tokens is a group of them in braces.');
    const swatches: FileSwatch[] = [];
    collect(json, root, [], null, swatches);
    if (swatches.length === 0)
      throw new FormatError(1, 'there is no token of type color in this file.');
    const own = ownLibrary.safeParse(extension(root));
    return {
      name: own.success ? own.data.name : '',
      note: typeof root.$description === 'string' ? cutText(root.$description, 4000) : '',
      tags: own.success ? own.data.tags : [],
      swatches,
    };
  },
};

type Group = Record<string, unknown>;

function isGroup(value: unknown): value is Group {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function extension(of: Group): unknown {
  return isGroup(of.$extensions) ? of.$extensions[OWN] : undefined;
}

/** Takes the colour tokens of a group and of those in it; a group's type is its tokens' unless they have one. */
function collect(
  json: JsonText,
  group: Group,
  path: readonly string[],
  inherited: unknown,
  into: FileSwatch[],
): void {
  if (path.length > MAX_DEPTH)
    throw new FormatError(
      json.lineOf(path),
      `groups lie more than ${MAX_DEPTH} deep in each other.`,
    );
  const type = group.$type ?? inherited;
  if ('$value' in group) {
    if (type !== 'color') return;
    if (into.length === MAX_LIBRARY_SWATCHES)
      throw new FormatError(
        json.lineOf(path),
        `there are more than ${MAX_LIBRARY_SWATCHES} colours.`,
      );
    const own = ownSwatch.safeParse(extension(group));
    into.push({
      ...bareSwatch(path.join(' '), colourOf(json, group.$value, path, 0)),
      ...(own.success && own.data),
      note: typeof group.$description === 'string' ? cutText(group.$description, 4000) : '',
    });
    return;
  }
  for (const [key, inner] of Object.entries(group))
    if (!key.startsWith('$') && isGroup(inner)) collect(json, inner, [...path, key], type, into);
}

/** The colour that a token's value gives, or that of the token it refers to. */
function colourOf(json: JsonText, value: unknown, path: readonly string[], turns: number): Oklab {
  const wrong = (what: string) => new FormatError(json.lineOf([...path, '$value']), what);
  const parsed = valueSchema.safeParse(value);
  if (!parsed.success) throw wrong('a colour is a color space with its components, or hex.');
  if (typeof parsed.data === 'string') {
    const alias = /^\{([^{}]+)\}$/.exec(parsed.data);
    if (!alias) {
      const colour = oklabFromHex(parsed.data.replace(/^(#[0-9a-f]{6})[0-9a-f]{2}$/i, '$1'));
      if (!colour) throw wrong(`“${parsed.data.slice(0, 40)}” is no hex colour.`);
      return colour;
    }
    if (turns > MAX_DEPTH) throw wrong(`“${alias[1].slice(0, 40)}” refers to itself.`);
    const target = alias[1]
      .split('.')
      .reduce<unknown>(
        (at, key) => (isGroup(at) && Object.hasOwn(at, key) ? at[key] : undefined),
        json.value,
      );
    if (!isGroup(target) || !('$value' in target))
      throw wrong(`“${alias[1].slice(0, 40)}” is not in this file.`);
    return colourOf(json, target.$value, path, turns + 1);
  }
  const { colorSpace, components: parts } = parsed.data;
  const numbers = components.safeParse(parts.map((part) => (part === 'none' ? 0 : part)));
  if (!numbers.success) throw wrong('a colour has three components.');
  const [one, two, three] = numbers.data;
  const colour = inSpace(colorSpace, one, two, three);
  if (!colour)
    throw wrong(
      `the color space “${colorSpace.slice(0, 20)}” is not read: srgb, oklab and oklch are.`,
    );
  if (!(colour.L >= 0 && colour.L <= 1 && Math.abs(colour.a) <= 1 && Math.abs(colour.b) <= 1))
    throw wrong('this is no colour that can be seen.');
  return colour;
}

function inSpace(space: string, one: number, two: number, three: number): Oklab | null {
  if (space === 'oklab') return { L: one, a: two, b: three };
  if (space === 'oklch') return oklabFromOklch({ L: one, C: two, h: three });
  return space === 'srgb' ? oklabFromRgb({ r: one, g: two, b: three }) : null;
}
