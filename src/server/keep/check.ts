import { asc, eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { StoreCheck } from '@/contracts/keep';
import { libraryContentSchema } from '@/contracts/library';
import { upToDate } from '@/contracts/documents/versioned';
import { studyDocuments, studyDocumentSchema } from '@/contracts/study';
import { database } from '../db/client';
import { library, swatch } from '../db/library-schema';
import { picture, pictureBytes, study } from '../db/schema';
import { contentsOf, indexLibrary, isIndexed } from '../libraries/library-rows';
import { swatchFacts } from '../libraries/swatch-facts';
import { sha256 } from './backup';

const NEAR = 1e-9;

/**
 * Reads everything there is and says what is wrong with it: pictures whose bytes are not those that were brought in, or
 * whose copies can't be opened; studies and libraries that are not as they were agreed to be; figures that no longer fit
 * their colours. What libraries are found by follows from them and their studies: where it is out of step it is
 * written anew. Nothing else is changed.
 */
export async function checkStore(): Promise<StoreCheck> {
  const problems: string[] = [];
  const pictures = await checkPictures(problems);
  const studies = await checkStudies(problems);
  const mended: string[] = [];
  const libraries = await checkLibraries(problems, mended);
  return { pictures, studies, libraries, problems, mended };
}

async function checkPictures(problems: string[]): Promise<number> {
  const db = await database();
  const pictures = await db
    .select({ id: picture.id, name: picture.name, hash: picture.hash, size: picture.size })
    .from(picture)
    .orderBy(asc(picture.createdAt));
  for (const { id, name, hash, size } of pictures) {
    const [bytes] = await db.select().from(pictureBytes).where(eq(pictureBytes.pictureId, id));
    if (!bytes) {
      problems.push(`The picture “${name}” has lost its bytes.`);
      continue;
    }
    if (bytes.original.length !== size || sha256(bytes.original) !== hash)
      problems.push(`The original of “${name}” is not the file that was imported.`);
    for (const rendition of ['working', 'thumbnail'] as const) {
      const opens = await sharp(bytes[rendition], { failOn: 'truncated' })
        .stats()
        .then(
          () => true,
          () => false,
        );
      if (!opens) problems.push(`The ${rendition} copy of “${name}” can’t be opened.`);
    }
  }
  return pictures.length;
}

async function checkStudies(problems: string[]): Promise<number> {
  const db = await database();
  const studies = await db.select({ title: study.title, document: study.document }).from(study);
  for (const { title, document } of studies) {
    const parsed = studyDocumentSchema.safeParse(upToDate(studyDocuments.upgrades, document));
    if (!parsed.success)
      problems.push(
        `The study “${title}” is not as it should be: ${parsed.error.issues[0].path.join(' › ')}.`,
      );
    else if (parsed.data.title !== title)
      problems.push(`The study “${title}” has another title within.`);
  }
  return studies.length;
}

async function checkLibraries(problems: string[], mended: string[]): Promise<number> {
  const db = await database();
  const libraries = await db
    .select({ id: library.id, name: library.name, note: library.note })
    .from(library);
  for (const { id, name, note } of libraries) {
    const { swatches, tags } = await contentsOf([id]);
    const content = { name, note, swatches: swatches.get(id) ?? [], tags: tags.get(id) ?? [] };
    const parsed = libraryContentSchema.safeParse(content);
    if (!parsed.success)
      problems.push(
        `The library “${name}” is not as it should be: ${parsed.error.issues[0].path.join(' › ')}.`,
      );
    else if (!(await isIndexed(id, content))) {
      await db.transaction((tx) => indexLibrary(tx, id, content));
      mended.push(
        `The library “${name}” was not found by all that it and its study say; now it is.`,
      );
    }
  }
  const rows = await db
    .select({ name: swatch.name, L: swatch.L, a: swatch.a, b: swatch.b, value: swatch.value })
    .from(swatch);
  for (const { name, value, ...colour } of rows)
    if (Math.abs(swatchFacts(colour).value - value) > NEAR)
      problems.push(`The swatch “${name}” has a value beside it that is not its own.`);
  return libraries.length;
}
