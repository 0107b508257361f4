import { sql } from 'drizzle-orm';
import { upToDate } from '@/contracts/documents/versioned';
import type { KeptThing } from '@/contracts/keep';
import { studyDocuments } from '@/contracts/study';
import { rows } from '../db/rows';
import type { Archive } from './archive';
import type { Row } from './tables';

export interface Standings {
  studies: KeptThing[];
  libraries: KeptThing[];
}

/** How the studies and libraries of a backup stand to those that are here. */
export async function standingsOf(archive: Archive): Promise<Standings> {
  const [studies, libraries, swatches, tags] = [
    await archive.rows('study'),
    await archive.rows('library'),
    await archive.rows('swatch'),
    await archive.rows('tag'),
  ];
  const here = await storeRows();
  const ofLibrary = (row: Row, all: Row[], tagged: Row[]) =>
    JSON.stringify([
      row.name,
      row.note,
      all
        .sort((one, other) => Number(one.position) - Number(other.position))
        .map(({ id, name, note, l, a, b, share, role, other_names }) => [
          ...[id, name, note, l, a, b, share, role, other_names],
        ]),
      tagged
        .sort((one, other) => Number(one.position) - Number(other.position))
        .map(({ name }) => name),
    ]);
  const grouped = (list: readonly Row[]) => groupBy(list, 'library_id');
  const theirSwatches = grouped(swatches);
  const theirTags = grouped(tags);
  const ourSwatches = grouped(here.swatches);
  const ourTags = grouped(here.tags);
  const stand = (row: Row, ours: Row | undefined, same: (ours: Row) => boolean) => {
    if (!ours) return 'new';
    if (!same(ours)) return 'differs';
    return row.deleted_at === null && ours.deleted_at !== null ? 'binned' : 'same';
  };
  const studyHere = new Map(here.studies.map((row) => [row.id, row]));
  const libraryHere = new Map(here.libraries.map((row) => [row.id, row]));
  return {
    studies: studies.map((row) => ({
      id: String(row.id),
      name: String(row.title),
      binned: row.deleted_at !== null,
      standing: stand(
        row,
        studyHere.get(row.id),
        (ours) => sorted(study(ours)) === sorted(study(row)),
      ),
    })),
    libraries: libraries.map((row) => {
      const id = String(row.id);
      return {
        id,
        name: String(row.name),
        binned: row.deleted_at !== null,
        standing: stand(
          row,
          libraryHere.get(row.id),
          (ours) =>
            ofLibrary(ours, ourSwatches.get(id) ?? [], ourTags.get(id) ?? []) ===
            ofLibrary(row, theirSwatches.get(id) ?? [], theirTags.get(id) ?? []),
        ),
      };
    }),
  };
}

async function storeRows() {
  const of = async (table: string) =>
    (await rows<{ row: Row }>(sql`select to_jsonb(t) as row from ${sql.identifier(table)} t`)).map(
      ({ row }) => row,
    );
  return {
    studies: await of('study'),
    libraries: await of('library'),
    swatches: await of('swatch'),
    tags: await of('tag'),
  };
}

export function groupBy(list: readonly Row[], key: string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of list) {
    const group = groups.get(String(row[key]));
    if (group) group.push(row);
    else groups.set(String(row[key]), [row]);
  }
  return groups;
}

/** A study's document as the newest version has it: a backup may be older than what is here. */
function study({ document }: Row): unknown {
  return upToDate(studyDocuments.upgrades, document);
}

/** JSON whose keys stand in one order, so that what means the same reads the same. */
function sorted(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([one], [other]) => (one < other ? -1 : 1)))
      : part,
  );
}
