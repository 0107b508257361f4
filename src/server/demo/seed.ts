import { randomUUID } from 'node:crypto';
import { probe } from '@/core/picture/probe';
import { mapShares, swatchMap } from '@/core/palette/swatch-map';
import { develop } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { toFramed } from '@/core/picture/framing';
import type { StudyDocument } from '@/contracts/study';
import { addSwatch, editSwatch, withShares } from '@/study/edits';
import { libraryFrom } from '@/study/library';
import { runReading } from '@/workers/server/pool';
import { createLibrary } from '../libraries/libraries';
import { bringIn, withPalette } from '../pictures/bring-in';
import { getBytes } from '../pictures/get-bytes';
import { decodeWorking } from '../pictures/read-picture';
import { refreshReading } from '../readings/refresh';
import { createStudy, getStudy, saveStudy } from '../studies/studies';
import { readDemoPicture, readStory, type StoryStudy } from './story';

/** Brings the demo's story in through the services that the app uses. Answers how many studies there are of it. */
export async function seedDemo(): Promise<number> {
  const story = await readStory();
  for (const entry of story) await seedStudy(entry);
  return story.length;
}

async function seedStudy(entry: StoryStudy): Promise<void> {
  const brought = await bringIn(await readDemoPicture(entry.picture), entry.picture);
  const id = brought.kind === 'new' ? brought.studyId : await createStudy(brought.pictureId);
  const study = await getStudy(id);
  const { bytes } = await getBytes(study.picture.id, 'working');
  const working = await decodeWorking(bytes);
  const document = await told(study.document, entry, working);
  await saveStudy(id, study.revision, document);
  await refreshReading(id);
  for (const { swatches, ...library } of entry.libraries) {
    const all = libraryFrom(document, id, study.picture);
    const chosen = swatches
      ? all.swatches.filter((_, i) => swatches.includes(i + 1))
      : all.swatches;
    await createLibrary(
      { ...library, swatches: chosen.map((one) => ({ ...one, id: randomUUID() })) },
      id,
    );
  }
}

/** The document as the illustrator left it. */
async function told(
  first: StudyDocument,
  entry: StoryStudy,
  working: Picture,
): Promise<StudyDocument> {
  let document: StudyDocument = { ...first, ...entry.about };
  const development = { framing: document.framing, cast: document.neutral?.cast ?? null };
  const developed = develop(working, development);
  if (entry.count) {
    document = { ...document, palette: { count: entry.count, swatches: [] } };
    const palette = { count: entry.count, keep: [] };
    const read = await runReading({
      picture: working,
      development,
      values: document.values,
      palette,
    });
    if (read.palette) document = withPalette(document, read.palette);
  }
  for (const { name, note, ...area } of entry.picks) {
    const place = toFramed(area, document.framing, working.width / working.height);
    const found = probe(developed, place, area.radius);
    if (!found) throw new Error(`${entry.picture}: nothing to pick at ${area.x}, ${area.y}`);
    const id = randomUUID();
    const pick = {
      id,
      note,
      colour: found.colour,
      share: null,
      locked: false,
      origin: 'picked',
      area,
      spread: found.spread,
    } as const;
    document = addSwatch(document, pick);
    if (name) document = editSwatch(document, id, { name });
  }
  for (const { swatch, ...part } of entry.named) {
    const named = document.palette.swatches[swatch - 1];
    if (named) document = editSwatch(document, named.id, part);
  }
  const colours = document.palette.swatches.map((swatch) => swatch.colour);
  return colours.length > 0
    ? withShares(document, mapShares(swatchMap(developed, colours), colours.length))
    : document;
}
