import { fileNameFrom } from '@/core/file-name';
import { eq } from 'drizzle-orm';
import type { Library } from '@/contracts/library';
import type { Paper } from '@/contracts/print';
import { database } from '../db/client';
import { reading } from '../db/schema';
import { ServiceError } from '../errors';
import { getLibrary } from '../libraries/libraries';
import { getBytes, thumbnailOf } from '../pictures/get-bytes';
import { decodeWorking } from '../pictures/read-picture';
import { refreshReading } from '../readings/refresh';
import { getSettings } from '../settings/settings';
import { getStudy } from '../studies/studies';
import { libraryCard } from './library-card';
import { printedPair, printedThumbnail, type PrintedPicture } from './pictures';
import { studySheet } from './study-sheet';

interface Print {
  bytes: Uint8Array;
  fileName: string;
}

/** A library as a card on a paper. */
export async function printLibrary(id: string, paper: Paper): Promise<Print> {
  const library = await getLibrary(id);
  const { scale } = await getSettings();
  const thumbnail = await thumbnailOfLibrary(library);
  const picture = thumbnail ? await printedThumbnail(thumbnail) : null;
  const bytes = await libraryCard(library, picture, scale, paper);
  return { bytes, fileName: fileNameFrom(library.name, ', card.pdf', 'library') };
}

/** The thumbnail of the picture that most of a library's swatches were taken from; null where none is here. */
export async function thumbnailOfLibrary({ swatches }: Library): Promise<Uint8Array | null> {
  const counts = new Map<string, number>();
  for (const { provenance } of swatches)
    if (provenance?.pictureHash)
      counts.set(provenance.pictureHash, (counts.get(provenance.pictureHash) ?? 0) + 1);
  const [most] = [...counts].sort((one, other) => other[1] - one[1]);
  if (!most) return null;
  return thumbnailOf(most[0]).catch((error: unknown) => {
    if (error instanceof ServiceError && error.code === 'not-found') return null;
    throw error;
  });
}

/** A study as a sheet on a paper. */
export async function printStudy(id: string, paper: Paper): Promise<Print> {
  const study = await getStudy(id);
  await refreshReading(id);
  const settings = await getSettings();
  const working = await decodeWorking((await getBytes(study.picture.id, 'working')).bytes);
  const { framing, neutral } = study.document;
  const [picture, greys]: [PrintedPicture, PrintedPicture] = await printedPair(working, {
    framing,
    cast: neutral?.cast ?? null,
  });
  const db = await database();
  const [row] = await db
    .select({ values: reading.values })
    .from(reading)
    .where(eq(reading.studyId, id));
  const bytes = await studySheet(study, picture, greys, row?.values ?? null, settings, paper);
  return { bytes, fileName: fileNameFrom(study.document.title, ', sheet.pdf', 'study') };
}
