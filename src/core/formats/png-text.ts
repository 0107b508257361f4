import { crc32 } from '../crc32';
import { FormatError } from './library-file';

const SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const HEAD = 8;
const AROUND = 12;

export function isPng(bytes: Uint8Array): boolean {
  return SIGNATURE.every((byte, i) => bytes[i] === byte);
}

interface Chunk {
  type: string;
  /** Where the chunk begins and its data, and where it ends. */
  start: number;
  data: number;
  end: number;
}

/** The chunks of a PNG (ISO/IEC 15948) as far as they are whole. */
function* chunksOf(bytes: Uint8Array): Generator<Chunk> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let start = HEAD;
  while (start + AROUND <= bytes.length) {
    const length = view.getUint32(start);
    const data = start + 8;
    const end = data + length + 4;
    if (end > bytes.length) return;
    const type = String.fromCharCode(...bytes.subarray(start + 4, data));
    yield { type, start, data, end };
    start = end;
  }
}

/** The text that a PNG carries under a keyword (an iTXt chunk, not compressed); null where there is none. */
export function pngText(bytes: Uint8Array, keyword: string): string | null {
  for (const { type, data, end } of chunksOf(bytes)) {
    if (type !== 'iTXt') continue;
    const body = bytes.subarray(data, end - 4);
    const key = body.indexOf(0);
    if (key < 0 || String.fromCharCode(...body.subarray(0, key)) !== keyword) continue;
    if (body[key + 1] !== 0)
      throw new FormatError(1, 'the library in this picture was packed by another program.');
    // Behind the flags stand a language and a translated keyword, each ended by a zero.
    const language = body.indexOf(0, key + 3);
    const translated = language < 0 ? -1 : body.indexOf(0, language + 1);
    if (translated < 0) throw new FormatError(1, 'the library in this picture is cut short.');
    return new TextDecoder().decode(body.subarray(translated + 1));
  }
  return null;
}

/** A PNG that carries a text under a keyword, right before its end. Throws a RangeError for what is no PNG. */
export function withPngText(bytes: Uint8Array, keyword: string, text: string): Uint8Array {
  const last = [...chunksOf(bytes)].find(({ type }) => type === 'IEND');
  if (!isPng(bytes) || !last) throw new RangeError('this is no whole PNG');
  const encoder = new TextEncoder();
  const head = encoder.encode(`iTXt${keyword}\0\0\0\0\0`);
  const body = encoder.encode(text);
  const typed = new Uint8Array(head.length + body.length);
  typed.set(head);
  typed.set(body, head.length);
  const out = new Uint8Array(bytes.length + typed.length + 8);
  const view = new DataView(out.buffer);
  out.set(bytes.subarray(0, last.start));
  view.setUint32(last.start, typed.length - 4);
  out.set(typed, last.start + 4);
  view.setUint32(last.start + 4 + typed.length, crc32(typed));
  out.set(bytes.subarray(last.start), last.start + 8 + typed.length);
  return out;
}
