import { writeFile } from 'node:fs/promises';
import { readHidden } from '../src/core/amplify/hidden';
import { NO_PUSH, type Push } from '../src/core/amplify/push';
import { pushable, pushableLike, pushInPlace } from '../src/core/amplify/pushed';
import { hexFromOklab } from '../src/core/colour/hex';
import { DEFAULT_PUSH } from '../src/contracts/hidden';
import { hiddenReportSchema, type HiddenReport } from '../src/contracts/report';
import { jpegQuality } from '../src/server/pictures/jpeg-quality';
import { decodeOriginal, encodePng, makeWorkingCopy } from '../src/server/pictures/read-picture';

/** What `--way` takes: one of the three ways, spread about either cast. */
export const WAY_NAMES = ['lift', 'quiet', 'spread', 'spread-local'] as const;
export type WayName = (typeof WAY_NAMES)[number];

/** The quiet colours of a picture's bytes. Throws a ServiceError for one that can't be read. */
export async function hiddenReport(bytes: Uint8Array): Promise<HiddenReport> {
  const { working } = await makeWorkingCopy(bytes);
  const { colours } = readHidden(pushable(working, jpegQuality(bytes)), DEFAULT_PUSH);
  return hiddenReportSchema.parse({
    hidden: colours.map(({ readsAs, is, place, share, colour, pushed, sureness }) => ({
      family: readsAs,
      readsAs,
      is,
      place,
      share,
      hex: hexFromOklab(colour),
      pushed: hexFromOklab(pushed),
      sureness,
    })),
  });
}

/**
 * Writes a picture at its own size with its quiet colours pushed, as PNG. Throws a ServiceError for one that
 * can't be read, and what the file system throws.
 */
export async function amplify(
  bytes: Uint8Array,
  way: WayName,
  strength: number,
  out: string,
): Promise<{ out: string; width: number; height: number }> {
  const { working } = await makeWorkingCopy(bytes);
  const original = await decodeOriginal(bytes);
  pushInPlace(pushableLike(original, pushable(working)), pushOf(way, strength));
  await writeFile(out, await encodePng(original));
  return { out, width: original.width, height: original.height };
}

function pushOf(way: WayName, strength: number): Push {
  if (way === 'spread-local') return { ...NO_PUSH, spread: strength, cast: 'local' };
  return { ...NO_PUSH, [way]: strength };
}
