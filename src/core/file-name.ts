import { cutText } from './text';

/** File systems allow 255 bytes; some is left for a number and for what unpackers add. */
const MAX_BYTES = 200;
/** Names that Windows keeps for devices, with any ending. */
const DEVICE = /^(?:con|prn|aux|nul|com\d|lpt\d|conin\$|conout\$)$/i;

/**
 * A file name that every system can hold: `stem` without what file systems refuse, `ending` from its first point on;
 * at most 200 bytes of UTF-8.
 */
export function fileNameFrom(stem: string, ending: string, otherwise: string): string {
  const plain = stem
    .replace(/[\\/:*?"<>|\u0000-\u001f\u007f]/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '');
  const short = cutBytes(plain, MAX_BYTES - bytesOf(ending)).replace(/[. ]+$/, '');
  const safe = short || otherwise;
  // Everything before the first point counts as the device's name.
  return `${DEVICE.test(safe.split('.', 1)[0].trim()) ? '_' : ''}${safe}${ending}`;
}

/** The same for a file name that is there already, whose endings stay. */
export function safeFileName(name: string, otherwise: string): string {
  const ending = /(?:\.[a-z0-9]{1,8}){1,2}$/i.exec(name)?.[0] ?? '';
  return fileNameFrom(name.slice(0, name.length - ending.length), ending, otherwise);
}

const bytesOf = (text: string) => new TextEncoder().encode(text).length;

function cutBytes(text: string, most: number): string {
  let cut = cutText(text, most);
  while (bytesOf(cut) > most) cut = cutText(cut, cut.length - Math.ceil((bytesOf(cut) - most) / 3));
  return cut;
}
