import { randomUUID } from 'node:crypto';
import { probe } from '@/core/picture/probe';
import { mapShares, swatchMap } from '@/core/palette/swatch-map';
import { develop } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { toFramed } from '@/core/picture/framing';
import type { LibraryContent } from '@/contracts/library';
import { newDocument, type StudyDocument } from '@/contracts/study';
import { addSwatch, editSwatch, withShares } from '@/study/edits';
import { libraryFrom } from '@/study/library';
import { runReading } from '@/workers/server/pool';
import { ServiceError } from '../errors';
import { createLibrary, getLibrary, restoreLibrary, saveLibrary } from '../libraries/libraries';
import { bringIn, titleOf, withPalette } from '../pictures/bring-in';
import { getBytes } from '../pictures/get-bytes';
import { decodeWorking } from '../pictures/read-picture';
import { refreshReading } from '../readings/refresh';
import { createStudy, getStudy, restoreStudy, saveStudy } from '../studies/studies';
import { demoId, readDemoPicture, readStory, type StoryStudy } from './story';

export interface Seeding {
  /** Before each study: how many are done, of how many, and which is next. */
  onStep?: (done: number, total: number, title: string) => void;
  signal?: AbortSignal;
}

/**
 * Brings the demo's story in through the services that the app uses, or puts back what is there of
 * it: studies and libraries of the demo become what they were at first (as a new revision, so that
 * nothing is lost), deleted ones come back, and whatever else is in the store stays as it is.
 * Answers how many studies there are of it.
 */
export async function seedDemo({ onStep, signal }: Seeding = {}): Promise<number> {
  const story = await readStory();
  for (const [done, entry] of story.entries()) {
    signal?.throwIfAborted();
    onStep?.(done, story.length, entry.about.title ?? entry.picture);
    await seedStudy(entry);
  }
  return story.length;
}

async function seedStudy(entry: StoryStudy): Promise<void> {
  const id = demoId('study', entry.picture);
  const pictureId = await bringInOnce(entry.picture, id);
  const { bytes } = await getBytes(pictureId, 'working');
  const document = await told(entry, await decodeWorking(bytes));
  const was = await putBack(
    () => getStudy(id),
    () => restoreStudy(id),
    () => createStudy(pictureId, id),
  );
  await saveStudy(id, was.revision, document);
  await refreshReading(id);
  const all = libraryFrom(document, id, was.picture).swatches;
  for (const { swatches, ...library } of entry.libraries) {
    const chosen = swatches ? all.filter((_, i) => swatches.includes(i + 1)) : all;
    await putLibrary({ ...library, swatches: chosen }, id);
  }
}

/** The picture's id, whether it was here before or not; a new one begins its study with it. */
async function bringInOnce(name: string, studyId: string): Promise<string> {
  const brought = await bringIn(await readDemoPicture(name), name, { studyId });
  return brought.kind === 'known' ? brought.pictureId : (await getStudy(studyId)).picture.id;
}

async function putLibrary(content: LibraryContent, studyId: string): Promise<void> {
  const id = demoId('library', content.name);
  const was = await putBack(
    () => getLibrary(id),
    () => restoreLibrary(id),
    () => createLibrary(content, studyId, id),
  );
  await saveLibrary(id, was.revision, content);
}

/** What is there under an id: as it stands, or brought back from deletion, or made. */
async function putBack<T>(
  get: () => Promise<T>,
  restore: () => Promise<unknown>,
  create: () => Promise<unknown>,
): Promise<T> {
  const missing = (error: unknown) => {
    if (!(error instanceof ServiceError) || error.code !== 'not-found') throw error;
    return null;
  };
  const there = await get().catch(missing);
  if (there) return there;
  const restored = await restore().then(() => true, missing);
  if (!restored) await create();
  return get();
}

/** The document as the illustrator left it. */
async function told(entry: StoryStudy, working: Picture): Promise<StudyDocument> {
  let document: StudyDocument = { ...newDocument(titleOf(entry.picture)), ...entry.about };
  const development = { framing: document.framing, cast: document.neutral?.cast ?? null };
  const developed = develop(working, development);
  const count = entry.count ?? document.palette.count;
  document = { ...document, palette: { count, swatches: [] } };
  const palette = { count, keep: [] };
  const read = await runReading({
    picture: working,
    development,
    values: document.values,
    palette,
  });
  if (read.palette) document = withPalette(document, read.palette);
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
