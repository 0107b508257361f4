/** An address in a value, from `start` up to before `end` with what it stands in. */
export interface FoundLink {
  start: number;
  end: number;
  address: string;
}

/** Every `url(…)` of a value, quoted or not, also one that is never closed. */
export function linksIn(value: string): FoundLink[] {
  const found: FoundLink[] = [];
  const lower = value.toLowerCase();
  for (let start = lower.indexOf('url('); start >= 0; start = lower.indexOf('url(', start)) {
    let at = start + 4;
    while (at < value.length && value[at].trim() === '') at++;
    const quote = value[at] === '"' || value[at] === "'" ? value[at] : '';
    const close = quote ? value.indexOf(quote, at + 1) : value.indexOf(')', at);
    const last = close < 0 ? value.length : close;
    const address = value.slice(quote ? at + 1 : at, last).trim();
    const bracket = quote ? value.indexOf(')', last) : last;
    const end = close < 0 || bracket < 0 ? value.length : bracket + 1;
    found.push({ start, end, address });
    start = end;
  }
  return found;
}

/** Whether an address stays within the drawing: a fragment of it, or a picture that is carried in it. */
export function isInside(address: string): boolean {
  return address.startsWith('#') || /^data:image\/(?:png|jpe?g|gif|webp);base64,/i.test(address);
}

/** What runs, or fetches without an address that can be told. */
const RUNS =
  /expression\s{0,9}\(|javascript:|vbscript:|-moz-binding|behavior\s{0,9}:|image-set\(|cross-fade\(|(?<![\w-])(?:src|image)\(/i;
const ESCAPE = /\\(?:([0-9a-f]{1,6})\s?|(.))/gi;

/** Whether a value runs or fetches in a way that is not a plain address: also one that hides behind escapes. */
export function isUnsafeValue(value: string): boolean {
  if (RUNS.test(value)) return true;
  if (!value.includes('\\')) return false;
  const plain = value.replace(ESCAPE, (_, code: string | undefined, sign: string | undefined) =>
    code === undefined ? (sign ?? '') : signOf(parseInt(code, 16)),
  );
  return RUNS.test(plain) || /url\(/i.test(plain);
}

const signOf = (code: number) =>
  code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : '\ufffd';

const MAX_SHOWN = 60;

/** An address as it is said: without what a terminal would take for its own, and not too long. */
export function shortened(address: string): string {
  const plain = address.replace(/[\u0000-\u001f\u007f-\u009f]/g, '');
  return plain.length > MAX_SHOWN ? `${plain.slice(0, MAX_SHOWN)}…` : plain;
}
