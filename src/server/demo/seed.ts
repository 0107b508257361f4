import { randomUUID } from 'node:crypto';
import { probe } from '@/core/picture/probe';
import { DEFAULT_LADDER } from '@/core/palette/ladder';
import { suggestedRoles } from '@/core/palette/proportion';
import { mapShares, swatchMap } from '@/core/palette/swatch-map';
import type { Picture } from '@/core/picture/picture';
import type { LibraryContent } from '@/contracts/library';
import { newDocument, type StudyDocument } from '@/contracts/study';
import { moveColour } from '@/study/colour-edits';
import { addSwatch, editSwatch, withShares } from '@/study/edits';
import { withRoles } from '@/study/palette-edits';
import { addSet } from '@/study/set-edits';
import { libraryFrom, DEFAULT_LIBRARY_PALETTE, withoutLinks } from '@/study/library';
import { runReading } from '@/workers/server/pool';
import { createFolder, listFolders, moveToFolder } from '../libraries/folders';
import { setFavourite } from '../libraries/order';
import { keepSearch } from '../libraries/saved-searches';
import { createLibrary, getLibrary, restoreLibrary, saveLibrary } from '../libraries/libraries';
import { importPicture, titleOf, WHOLE_PICTURE, withPalette } from '../pictures/import-picture';
import { getBytes } from '../pictures/get-bytes';
import { decodeWorking } from '../pictures/read-picture';
import { refreshReading } from '../readings/refresh';
import { createStudy, getStudy, restoreStudy, saveStudy } from '../studies/studies';
import { contentOfBegun, readBegunPalettes } from './begun-palettes';
import { withLayers, withRecipes } from './demo-recipes';
import { seedPatterns } from './demo-patterns';
import { seedCourses } from './demo-courses';
import { seedPractice } from './demo-practice';
import { seedSessions } from './demo-sessions';
import { readDemoShelf, seedShelf } from './demo-shelf';
import { putBack } from './put-back';
import { demoId, readDemoPicture, readSearches, readStory, type StoryStudy } from './story';

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
  const seeding: Promise<void>[] = [];
  try {
    for (const [done, entry] of story.entries()) {
      await seeding.at(-2);
      signal?.throwIfAborted();
      onStep?.(done, story.length, entry.about.title ?? entry.picture);
      // The next picture is read while this one is being stored; no sooner, so that they hang in order.
      await new Promise<void>((resolve, reject) => {
        const study = seedStudy(entry, resolve);
        seeding.push(study);
        study.then(resolve, reject);
      });
    }
    await Promise.all(seeding);
    for (const begun of await readBegunPalettes()) {
      const libraryId = await putLibrary(contentOfBegun(begun), null);
      await moveToFolder([libraryId], await folderOf(begun.folder));
    }
    for (const { name, search } of await readSearches())
      await keepSearch(name, search, demoId('search', name));
    await seedShelf();
    await seedPatterns();
    await seedCourses();
    await seedSessions();
    await seedPractice();
    return story.length;
  } finally {
    // Whatever was begun is brought to its end, also when it is stopped between two.
    await Promise.allSettled(seeding);
  }
}

async function seedStudy(entry: StoryStudy, onKeeping: () => void): Promise<void> {
  const id = demoId('study', entry.picture);
  const initial = newDocument(titleOf(entry.picture));
  const count = entry.count ?? initial.palette.count;
  const first: StudyDocument = {
    ...initial,
    ...entry.about,
    palette: { ...initial.palette, count },
  };
  const brought = await importPicture(await readDemoPicture(entry.picture), entry.picture, {
    studyId: id,
    document: first,
    onStage: (stage) => stage === 'keeping' && onKeeping(),
  });
  const was =
    brought.kind === 'new'
      ? await getStudy(id)
      : await putBack(
          () => getStudy(id),
          () => restoreStudy(id),
          () => createStudy(brought.pictureId, id),
        );
  const palette = brought.kind === 'new' ? was.document : await extracted(first, was.picture.id);
  const plain = await told(entry, palette, was.picture.id);
  const mixed = entry.recipes ? withRecipes(plain, await readDemoShelf()) : plain;
  const document = entry.layers
    ? withLayers(mixed, await readDemoShelf(), entry.layers.medium, entry.layers.owner)
    : mixed;
  await saveStudy(id, was.revision, builtOn(document, entry));
  await refreshReading(id);
  const { swatches: all, ...built } = libraryFrom(document, id, was.picture);
  for (const { swatches, folder, favourite, ...library } of entry.libraries) {
    const chosen = swatches ? all.filter((_, i) => swatches.includes(i + 1)) : all;
    const { sets, target } = swatches ? DEFAULT_LIBRARY_PALETTE : built;
    const kept = swatches ? withoutLinks(chosen) : chosen;
    const libraryId = await putLibrary({ ...library, swatches: kept, sets, target }, id);
    await setFavourite(libraryId, favourite);
    if (folder) await moveToFolder([libraryId], await folderOf(folder));
  }
}

/** The demo's folder of a name, made where it is not there. */
async function folderOf(name: string): Promise<string> {
  const id = demoId('folder', name);
  const there = (await listFolders()).some((folder) => folder.id === id);
  return there ? id : createFolder(name, id);
}

async function putLibrary(content: LibraryContent, studyId: string | null): Promise<string> {
  const id = demoId('library', content.name);
  const was = await putBack(
    () => getLibrary(id),
    () => restoreLibrary(id),
    () => createLibrary(content, studyId, id),
  );
  await saveLibrary(id, was.revision, content);
  return id;
}

async function workingCopy(pictureId: string): Promise<Picture> {
  return decodeWorking((await getBytes(pictureId, 'working')).bytes);
}

/** The document with the palette that bringing its picture in gives. */
async function extracted(document: StudyDocument, pictureId: string): Promise<StudyDocument> {
  const { palette } = await runReading({
    picture: await workingCopy(pictureId),
    development: WHOLE_PICTURE,
    values: document.values,
    palette: { count: document.palette.count },
    colours: null,
  });
  return palette ? withPalette(document, palette) : document;
}

/** With the roles and the ladder that the story tells of. */
function builtOn(document: StudyDocument, { roles, ladder }: StoryStudy): StudyDocument {
  const { swatches } = document.palette;
  const weighed = swatches.map(({ colour, share, role }) => ({ colour, share: share ?? 0, role }));
  const next = roles ? withRoles(document, suggestedRoles(weighed)) : document;
  const from = ladder === undefined ? undefined : swatches[ladder - 1];
  if (!from) return next;
  return addSet(
    next,
    { id: randomUUID(), kind: 'ladder', colour: from.colour, settings: DEFAULT_LADDER },
    randomUUID,
  );
}

/** The document as the illustrator left it: with what was picked by hand. */
async function told(
  entry: StoryStudy,
  extracted: StudyDocument,
  pictureId: string,
): Promise<StudyDocument> {
  if (entry.picks.length === 0) return extracted;
  const working = await workingCopy(pictureId);
  let document = extracted;
  for (const { name, note, moves, ...area } of entry.picks) {
    const found = probe(working, area, area.radius);
    if (!found) throw new Error(`${entry.picture}: nothing to pick at ${area.x}, ${area.y}`);
    const id = randomUUID();
    document = addSwatch(document, {
      id,
      note,
      colour: found.colour,
      share: null,
      locked: false,
      origin: 'picked',
      area,
      spread: found.spread,
    });
    if (name) document = editSwatch(document, id, { name });
    if (moves) document = moveColour(document, id, moves);
  }
  const colours = document.palette.swatches.map((swatch) => swatch.colour);
  return withShares(document, mapShares(swatchMap(working, colours), colours.length));
}
