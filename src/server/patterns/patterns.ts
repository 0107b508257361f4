import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { mergeTargets } from '@/core/pattern/merges';
import { newPattern, readPattern, storedPattern, type PatternContent } from '@/contracts/pattern';
import type { Pattern, PatternCard } from '@/contracts/pattern-drawing';
import { database } from '../db/client';
import { pattern, patternDrawing } from '../db/pattern-schema';
import { documentService } from '../documents/document-service';
import type { Writer } from '../documents/revisions';
import { notFound } from '../errors';
import { titleOf } from '../pictures/import-picture';
import { drawingFrom, filledDrawing, withoutUnsafe, type StoredDrawing } from './drawings';
import { patternRevisions } from './pattern-history';

/** A pattern with what is known of its drawings. Throws not-found, for a deleted one too. */
export async function getPattern(id: string): Promise<Pattern> {
  const db = await database();
  const [row] = await db
    .select()
    .from(pattern)
    .where(and(eq(pattern.id, id), isNull(pattern.deletedAt)));
  if (!row) throw notFound('pattern');
  const drawings = await db
    .select({ hash: patternDrawing.hash, facts: patternDrawing.facts })
    .from(patternDrawing)
    .where(eq(patternDrawing.patternId, id))
    .orderBy(asc(patternDrawing.createdAt));
  return { id, revision: row.revision, content: readPattern(row.content), drawings };
}

/** All patterns, the last changed first. */
export async function listPatterns(): Promise<PatternCard[]> {
  const db = await database();
  const rows = await db
    .select({ row: pattern, facts: patternDrawing.facts })
    .from(pattern)
    .innerJoin(
      patternDrawing,
      and(
        eq(patternDrawing.patternId, pattern.id),
        eq(patternDrawing.hash, sql`${pattern.content}->>'drawing'`),
      ),
    )
    .where(isNull(pattern.deletedAt))
    .orderBy(desc(pattern.updatedAt), asc(pattern.id));
  return rows.map(({ row, facts }) => {
    const content = readPattern(row.content);
    const targets = mergeTargets(content.merges.map(({ id, into }) => ({ paint: id, into })));
    const shares = new Map<string, number>();
    for (const [hex, share] of facts.areas ?? []) {
      const end = targets.get(hex) ?? hex;
      shares.set(end, Math.min(1, (shares.get(end) ?? 0) + share));
    }
    return {
      id: row.id,
      title: content.title,
      drawing: content.drawing,
      width: facts.width,
      height: facts.height,
      colours: [...shares].map(([hex, share]) => ({ hex, share })),
      colourways: content.colourways.length,
      updatedAt: row.updatedAt.toISOString(),
    };
  });
}

/** A new pattern of a drawing or a flat picture. Throws a ServiceError in a sentence for a file that can't be one. */
export async function importPattern(
  bytes: Uint8Array,
  fileName: string,
  { id = randomUUID(), signal }: { id?: string; signal?: AbortSignal } = {},
): Promise<string> {
  const drawing = await drawingFrom(bytes);
  // Whoever stopped it doesn't want it to be there later.
  signal?.throwIfAborted();
  const content = newPattern(titleOf(fileName), drawing.hash);
  const db = await database();
  await db.transaction(async (tx) => {
    await tx.insert(pattern).values({ id, revision: 1, content: storedPattern(content) });
    await keepDrawing(tx, id, drawing);
    await patternRevisions.begin(tx, id, 1, content);
  });
  return id;
}

const keepDrawing = (tx: Writer, patternId: string, drawing: StoredDrawing) =>
  tx
    .insert(patternDrawing)
    .values({ patternId, ...drawing })
    .onConflictDoNothing();

const documents = documentService<PatternContent>({
  what: 'pattern',
  table: pattern,
  revisions: patternRevisions,
  async write(tx, id, basedOn, content) {
    const [row] = await tx
      .update(pattern)
      .set({
        content: storedPattern(content),
        revision: sql`${pattern.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(pattern.id, id), eq(pattern.revision, basedOn), isNull(pattern.deletedAt)))
      .returning({ revision: pattern.revision, updatedAt: pattern.updatedAt });
    return row ?? null;
  },
  newest: (id) => getPattern(id),
});

/** Saves a pattern as `DocumentService.save` does. Throws not-found for a drawing that is not its own. */
export async function savePattern(id: string, basedOn: number, content: PatternContent) {
  await drawingOf(id, content.drawing);
  return documents.save(id, basedOn, content);
}
export const deletePattern = documents.remove;
export const restorePattern = documents.restore;

/** One drawing of a pattern. Throws not-found. */
export async function drawingOf(patternId: string, hash: string): Promise<StoredDrawing> {
  const db = await database();
  const [row] = await db
    .select({
      hash: patternDrawing.hash,
      svg: patternDrawing.svg,
      original: patternDrawing.original,
      facts: patternDrawing.facts,
    })
    .from(patternDrawing)
    .where(and(eq(patternDrawing.patternId, patternId), eq(patternDrawing.hash, hash)));
  if (!row) throw notFound('drawing');
  return row;
}

/** A drawing's text without what could run or be fetched. */
export async function safeSvg(patternId: string, hash: string): Promise<string> {
  const { svg, facts } = await drawingOf(patternId, hash);
  // Reading it costs a second for each ten megabytes; what nothing had to be left out of is safe as it is.
  return facts.leftOut.length === 0 ? svg : withoutUnsafe(svg);
}

/** Fills the regions of a drawing of lines: another drawing of the same pattern, which its content can then name. */
export async function fillPattern(
  patternId: string,
  hash: string,
  gap: number,
  repeats: boolean,
): Promise<StoredDrawing> {
  const filled = await filledDrawing(await drawingOf(patternId, hash), gap, repeats);
  const db = await database();
  await db.transaction((tx) => keepDrawing(tx, patternId, filled));
  return drawingOf(patternId, filled.hash);
}
