import { asc, eq, sql } from 'drizzle-orm';
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
import { rows } from '../db/rows';
import { sha256 } from './backup';
import { TABLES } from './tables';
import { isUnreadable } from './unreadable';

const NEAR = 1e-9;

/**
 * Reads everything there is and says what is wrong with it: pictures whose bytes are not those that were brought in, or
 * whose copies can't be opened; studies and libraries that are not as they were agreed to be; figures that no longer fit
 * their colours. What libraries are found by follows from them and their studies: where it is out of step it is
 * written anew. Nothing else is changed.
 */
export async function checkStore(): Promise<StoreCheck> {
  const problems: string[] = [];
  const mended: string[] = [];
  const damaged = await damagedTables();
  for (const table of damaged)
    problems.push(`The table “${table}” is damaged and can’t be read. A backup saves all others.`);
  const whole = (...tables: string[]) => !tables.some((table) => damaged.includes(table));
  return {
    pictures: whole('picture') ? await checkPictures(problems) : 0,
    studies: whole('study') ? await checkStudies(problems) : 0,
    libraries: whole('library', 'swatch', 'tag', 'study')
      ? await checkLibraries(problems, mended)
      : 0,
    problems,
    mended,
  };
}

/** Tables of which some row can't be read. */
async function damagedTables(): Promise<string[]> {
  const damaged: string[] = [];
  for (const table of TABLES)
    try {
      await rows(sql`select count(t::text) from ${sql.identifier(table)} t`);
    } catch (error) {
      if (!isUnreadable(error)) throw error;
      damaged.push(table);
    }
  return damaged;
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
