import {
  findNodeAtLocation,
  parseTree,
  printParseErrorCode,
  type Node,
  type ParseError,
} from 'jsonc-parser';
import { z } from 'zod';
import { hexFromOklab } from '../colour/hex';
import { ALL_HOLDINGS, FormatError, type LibraryFormat } from './library-file';

const KIND = 'bold-prism-library';
const VERSION = 1;

const finite = z.number();
const fraction = z.number().min(0).max(1);
const swatch = z.object({
  name: z.string().max(200),
  note: z.string().max(4000).default(''),
  oklab: z.tuple([z.number().min(0).max(1), finite.min(-1).max(1), finite.min(-1).max(1)]),
  share: fraction.nullable().default(null),
  provenance: z
    .object({
      studyId: z.string().nullable(),
      studyTitle: z.string(),
      pictureHash: z.string().nullable(),
      x: finite,
      y: finite,
      radius: finite.min(0),
    })
    .nullable()
    .default(null),
});
const file = z.object({
  format: z.literal(KIND),
  version: z.literal(VERSION),
  library: z.object({
    name: z.string().max(200),
    note: z.string().max(4000).default(''),
    tags: z.array(z.string().max(60)).max(100).default([]),
    swatches: z.array(swatch).max(5000),
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
  holds: ALL_HOLDINGS,

  write: ({ name, note, tags, swatches }) => {
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
          share: rest.share,
          provenance: rest.provenance,
        })),
      },
    };
    return JSON.stringify(plain, null, 2) + '\n';
  },

  read: (text) => {
    const bare = text.replace(/^\uFEFF/, '');
    const errors: ParseError[] = [];
    const tree = parseTree(bare, errors, { disallowComments: true });
    if (errors.length > 0 || !tree) {
      const at = errors[0] ?? { offset: 0, error: 4 };
      throw new FormatError(
        lineAt(bare, at.offset),
        `not JSON here (${words(printParseErrorCode(at.error))}).`,
      );
    }
    const parsed = file.safeParse(JSON.parse(bare));
    if (!parsed.success) {
      const issue = parsed.error.issues[0];
      const path = issue.path.map((part) => (typeof part === 'number' ? part : String(part)));
      throw new FormatError(
        lineAt(bare, nearestNode(tree, path).offset),
        `${path.join(' › ') || 'the file'}: ${issue.message}.`,
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

/** The node at a path, or its closest ancestor where something on the way is missing. */
function nearestNode(tree: Node, path: readonly (string | number)[]): Node {
  for (let length = path.length; length > 0; length--) {
    const node = findNodeAtLocation(tree, path.slice(0, length));
    if (node) return node;
  }
  return tree;
}

function lineAt(text: string, offset: number): number {
  return text.slice(0, offset).split('\n').length;
}

/** "CommaExpected" as "comma expected". */
function words(code: string): string {
  return code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
}
