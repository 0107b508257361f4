import { FormatError } from './library-file';

/** Beyond this a file is no library: five thousand swatches with their notes take less. */
export const MAX_TEXT_BYTES = 8 * 1024 * 1024;
/** Bytes of a file that are looked at to recognise its encoding. */
const LOOKED_AT = 4096;

/**
 * A file's text: UTF-8, UTF-16 of either order with or without a byte order mark, and what is no UTF-8 as
 * windows-1252. Throws a FormatError for what is too large, empty or no text at all.
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes.length === 0) throw new FormatError(1, 'the file is empty.');
  if (bytes.length > MAX_TEXT_BYTES)
    throw new FormatError(1, 'the file is larger than 8 MB, which no swatch library is.');
  const text = decoded(bytes).replace(/^\uFEFF/, '');
  if (text.includes('\0')) throw new FormatError(1, 'this is no text.');
  return text;
}

function decoded(bytes: Uint8Array): string {
  const order = utf16Order(bytes);
  if (order) return new TextDecoder(order).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** By the mark, or by which half of the pairs is nearly always zero, as it is in all that is mostly Latin. */
function utf16Order(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const pairs = Math.floor(Math.min(bytes.length, LOOKED_AT) / 2);
  if (pairs < 2) return null;
  let firsts = 0;
  let seconds = 0;
  for (let i = 0; i < pairs; i++) {
    if (bytes[2 * i] === 0) firsts++;
    if (bytes[2 * i + 1] === 0) seconds++;
  }
  if (seconds > pairs * 0.7 && firsts < pairs * 0.1) return 'utf-16le';
  if (firsts > pairs * 0.7 && seconds < pairs * 0.1) return 'utf-16be';
  return null;
}
