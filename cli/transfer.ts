import { writeFile } from 'node:fs/promises';
import { hexFromOklab } from '../src/core/colour/hex';
import { valueOfEdge } from '../src/core/picture/value-map';
import { zoneEdges } from '../src/core/measure/zones';
import { measureSources } from '../src/core/measure/sources';
import type { Picture } from '../src/core/picture/picture';
import { DEFAULT_SQUINT } from '../src/core/picture/squint';
import { massDepths } from '../src/core/depth/depth-study';
import { distancesOf } from '../src/core/transfer/distances';
import { heldPicture } from '../src/core/transfer/held';
import { MOOD_SETTINGS, moodEffect, moodPicture, type Mood } from '../src/core/transfer/moods';
import { proposals } from '../src/core/transfer/proposals';
import { strictPicture } from '../src/core/transfer/strict';
import { subjectOf } from '../src/core/transfer/subject';
import { decodeOriginal, encodePng, makeWorkingCopy } from '../src/server/pictures/read-picture';
import { swatchesIn } from './palette-file';

/** What `--mode` takes: the subject's values held, or nothing but the palette's own colours. */
export const MODES = ['held', 'strict'] as const;
export type Mode = (typeof MODES)[number];

const CUT = { zones: 4, breaks: 'natural' as const, thresholds: [] };

async function opened(bytes: Uint8Array) {
  const { working } = await makeWorkingCopy(bytes);
  return { sources: measureSources(working), original: await decodeOriginal(bytes) };
}

/**
 * Writes a picture at its own size in the colours of a library's file, as PNG, and answers which mass took which colour.
 * Throws a ServiceError or a ConvertError for a file that can't be read.
 */
export async function transfer(
  bytes: Uint8Array,
  paletteFile: string,
  palette: Uint8Array,
  mode: Mode,
  out: string,
): Promise<unknown> {
  const swatches = await swatchesIn(paletteFile, palette);
  const { sources, original } = await opened(bytes);
  const subject = subjectOf(sources, DEFAULT_SQUINT, original);
  const [best] = proposals({
    ...subject,
    colours: swatches.map(({ colour, share, provenance }) => ({
      colour,
      share,
      height: provenance?.y ?? null,
    })),
  });
  const colours = swatches.map(({ colour }) => colour);
  const made = madeBy(mode);
  await writeFile(out, await encodePng(made.picture));
  return {
    out,
    width: original.width,
    height: original.height,
    mode,
    masses: subject.masses.map(({ share, place, value }, mass) => ({
      share,
      place,
      value,
      swatch: swatches[best.of[mass]].name,
      hex: hexFromOklab(colours[best.of[mass]]),
    })),
    ...(made.missing && { missing: made.missing }),
  };

  function madeBy(how: Mode): { picture: Picture; missing?: number[] } {
    return how === 'held'
      ? { picture: heldPicture(subject, colours, best.of) }
      : strictPicture(subject, colours, best.of, zoneEdges(sources.plain().counts, CUT));
  }
}

/** Writes a picture at its own size in another mood, as PNG, and answers what that did to its values. */
export async function mood(bytes: Uint8Array, name: Mood, out: string): Promise<unknown> {
  const { sources, original } = await opened(bytes);
  const threshold = valueOfEdge(sources.split(DEFAULT_SQUINT).edge);
  const made = moodPicture(
    original,
    MOOD_SETTINGS[name],
    threshold,
    distancesOf(
      subjectOf(sources, DEFAULT_SQUINT, original),
      massDepths(sources.masses(DEFAULT_SQUINT).masses, []),
    ),
  );
  await writeFile(out, await encodePng(made));
  const { width, height } = original;
  return { out, width, height, mood: name, ...moodEffect(original, made) };
}
