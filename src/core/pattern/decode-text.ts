/** A piece of XML as it reads, and for each of its characters (and the end) where that begins in the source. */
export interface DecodedText {
  text: string;
  from: (at: number) => number;
}

/** A piece that stands as it reads. */
export const plainText = (text: string, offset: number): DecodedText => ({
  text,
  from: (at) => offset + at,
});

const NAMED: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
};
const REFERENCE = /&(?:#x([0-9a-f]{1,6})|#([0-9]{1,7})|([a-z]{1,5}));/gi;
const MAX_CODE_POINT = 0x10ffff;

/** Puts in XML's own five entities and numbered characters; `offset` is where the piece begins in the whole source. */
export function decodeText(source: string, offset: number): DecodedText {
  if (!source.includes('&')) return plainText(source, offset);
  const from: number[] = [];
  let text = '';
  let at = 0;
  const plain = (end: number) => {
    for (; at < end; at++) {
      text += source[at];
      from.push(offset + at);
    }
  };
  for (const match of source.matchAll(REFERENCE)) {
    plain(match.index);
    const sign = signOf(match);
    for (let i = 0; i < sign.length; i++) from.push(offset + at);
    text += sign;
    at = match.index + match[0].length;
  }
  plain(source.length);
  from.push(offset + source.length);
  return { text, from: (at) => from[at] };
}

function signOf([whole, hex, decimal, name]: RegExpExecArray): string {
  if (name) return NAMED[name] ?? whole;
  const code = hex ? parseInt(hex, 16) : parseInt(decimal, 10);
  return code <= MAX_CODE_POINT ? String.fromCodePoint(code) : '\ufffd';
}
