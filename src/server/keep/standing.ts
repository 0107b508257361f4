import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { upToDate } from '@/contracts/documents/versioned';
import type { KeptThing } from '@/contracts/keep';
import { studyDocuments } from '@/contracts/study';
import { rows } from '../db/rows';
import type { Archive } from './archive';
import { keysOf, type Row } from './tables';

const AT_ONCE = 500;

export interface Standings {
  studies: KeptThing[];
  libraries: KeptThing[];
}

/** What is compared of a study or library: enough to tell whether it differs, however large it is. */
interface Known {
  name: string;
  isBinned: boolean;
  digest: string;
}

/** How the studies and libraries of a backup stand to those that are here. */
export async function standingsOf(archive: Archive): Promise<Standings> {
  const theirs = (table: string) => archive.rows(table);
  return {
    studies: stand(await knownStudies(theirs), await knownStudies(rowsHere)),
    libraries: stand(await knownLibraries(theirs), await knownLibraries(rowsHere)),
  };
}

function stand(theirs: ReadonlyMap<string, Known>, ours: ReadonlyMap<string, Known>): KeptThing[] {
  return [...theirs].map(([id, { name, isBinned, digest }]) => {
    const here = ours.get(id);
    const differs = here && here.digest !== digest;
    const standing = !here
      ? 'new'
      : differs
        ? 'differs'
        : !isBinned && here.isBinned
          ? 'binned'
          : 'same';
    return { id, name, binned: isBinned, standing };
  });
}

type RowsOf = (table: string) => AsyncIterable<Row>;

async function knownStudies(rowsOf: RowsOf): Promise<Map<string, Known>> {
  const known = new Map<string, Known>();
  for await (const row of rowsOf('study'))
    known.set(String(row.id), {
      name: String(row.title),
      isBinned: row.deleted_at !== null,
      digest: digestOf([sorted(study(row))]),
    });
  return known;
}

async function knownLibraries(rowsOf: RowsOf): Promise<Map<string, Known>> {
  const parts = new Map<string, string[]>();
  const add = (row: Row, part: unknown[]) => {
    const list = parts.get(String(row.library_id)) ?? [];
    list.push(digestOf([JSON.stringify([Number(row.position), ...part])]));
    parts.set(String(row.library_id), list);
  };
  for await (const row of rowsOf('swatch')) {
    const { id, name, note, l, a, b, share, role, other_names: otherNames } = row;
    add(row, [id, name, note, l, a, b, share, role, otherNames]);
  }
  for await (const row of rowsOf('tag')) add(row, [row.name]);
  const known = new Map<string, Known>();
  for await (const row of rowsOf('library')) {
    const id = String(row.id);
    known.set(id, {
      name: String(row.name),
      isBinned: row.deleted_at !== null,
      // Each part holds its place: their order among the rows says nothing.
      digest: digestOf([String(row.name), String(row.note), ...(parts.get(id) ?? []).sort()]),
    });
  }
  return known;
}

function digestOf(texts: readonly string[]): string {
  return createHash('sha256').update(JSON.stringify(texts)).digest('base64');
}

/** The rows of a table here, some at a time. */
async function* rowsHere(table: string): AsyncGenerator<Row> {
  const [key, ...more] = keysOf(table).map((name) => sql.identifier(name));
  const order = sql.join([key, ...more], sql`, `);
  for (let offset = 0; ; offset += AT_ONCE) {
    const batch = await rows<{ row: Row }>(
      sql`select to_jsonb(t) as row from ${sql.identifier(table)} t order by ${order} limit ${AT_ONCE} offset ${offset}`,
    );
    for (const { row } of batch) yield row;
    if (batch.length < AT_ONCE) return;
  }
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
