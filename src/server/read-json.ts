import { ServiceError } from './errors';
import { readBody } from './respond';

/** The largest study, with all the strokes that one may hold, takes less. */
const MAX_JSON_BYTES = 32 * 1024 * 1024;
/** Swatches that were merged of merged ones nest; nothing of ours nests deeper. */
const MAX_DEPTH = 200;

const tooLarge = () =>
  new ServiceError(
    'too-many-bytes',
    'What was sent is larger than 32 MB. Nothing was changed.',
    413,
  );

/** A request's body as JSON. Throws where it is too large, nested too deep or no JSON. */
export async function readJson(request: Request): Promise<unknown> {
  const bytes = await readBody(request, MAX_JSON_BYTES, tooLarge);
  const text = new TextDecoder().decode(bytes);
  if (depthOf(text) > MAX_DEPTH)
    throw new ServiceError(
      'not-as-agreed',
      `What was sent is nested more than ${MAX_DEPTH} deep.`,
      400,
    );
  return JSON.parse(text);
}

/** How deep a JSON text nests; parsers and schemas call themselves for each depth. */
export function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let isString = false;
  for (let i = 0; i < text.length; i++) {
    const character = text[i];
    if (isString) {
      if (character === '\\') i++;
      else if (character === '"') isString = false;
    } else if (character === '"') isString = true;
    else if (character === '{' || character === '[') deepest = Math.max(deepest, ++depth);
    else if (character === '}' || character === ']') depth--;
  }
  return deepest;
}
