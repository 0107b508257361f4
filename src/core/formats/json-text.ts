import {
  findNodeAtLocation,
  parseTree,
  printParseErrorCode,
  type Node,
  type ParseError,
} from 'jsonc-parser';
import { FormatError } from './library-file';

/** A JSON text that was read, and the lines of its parts. */
export interface JsonText {
  value: unknown;
  /** The line of the part at a path, or of its closest ancestor where something on the way is missing. */
  lineOf: (path: readonly PropertyKey[]) => number;
}

/** Reads JSON. Throws a FormatError that says the line. */
export function readJson(text: string): JsonText {
  const errors: ParseError[] = [];
  const tree = parsed(text, errors);
  if (errors.length > 0 || !tree) {
    const at = errors[0] ?? { offset: 0, error: 4 };
    throw new FormatError(
      lineAt(text, at.offset),
      `not JSON here (${words(printParseErrorCode(at.error))}).`,
    );
  }
  return {
    value: JSON.parse(text),
    lineOf: (path) =>
      lineAt(
        text,
        nearestNode(
          tree,
          path.map((part) => (typeof part === 'number' ? part : String(part))),
        ).offset,
      ),
  };
}

function parsed(text: string, errors: ParseError[]): Node | undefined {
  try {
    return parseTree(text, errors, { disallowComments: true });
  } catch (error) {
    // The parser calls itself for each depth.
    if (error instanceof RangeError) throw new FormatError(1, 'braces lie too deep in each other.');
    throw error;
  }
}

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
