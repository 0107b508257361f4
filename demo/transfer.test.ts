import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { zoneEdges } from '@/core/measure/zones';
import { measureSources } from '@/core/measure/sources';
import { extractPalette } from '@/core/palette/extract';
import { heldValues } from '@/core/transfer/figures';
import { heldPicture } from '@/core/transfer/held';
import { proposals } from '@/core/transfer/proposals';
import { subjectOf } from '@/core/transfer/subject';
import { demoFolder } from '@/server/demo/story';
import { makeWorkingCopy } from '@/server/pictures/read-picture';

const CUT = { zones: 4, breaks: 'natural' as const, thresholds: [] };
const open = async (name: string) =>
  measureSources(
    (await makeWorkingCopy(await readFile(path.join(demoFolder(), 'pictures', name)))).working,
  );

/** Palettes of one picture of the demo on another: nothing of the transfer was set by them. */
it.each([
  ['lower-station.webp', 'slate-terrace.webp'],
  ['slate-terrace.webp', 'ticket-hall.webp'],
  ['winch-room.webp', 'summit.jpg'],
  ['ticket-hall.webp', 'conductor.webp'],
])('values hold: %s on %s', async (from, onto) => {
  const [source, sources] = await Promise.all([open(from), open(onto)]);
  const { swatches } = extractPalette(source.picture, { count: 8 });
  const colours = swatches.map(({ colour }) => colour);
  const subject = subjectOf(sources, 0.008);
  const ways = proposals({
    ...subject,
    colours: swatches.map(({ colour, share }) => ({ colour, share, height: null })),
  });
  expect(ways.length).toBeGreaterThan(1);
  const edges = zoneEdges(sources.plain().counts, CUT);
  for (const { of } of ways) {
    const held = heldValues(sources.picture, heldPicture(subject, colours, of), edges);
    expect(held.mean).toBeLessThan(0.5);
    expect(held.most).toBeLessThan(2);
    expect(held.zones).toBeGreaterThan(0.98);
  }
});
