import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { WheelId } from '@/core/colour/wheel';
import type { ComparedStudy } from '@/contracts/compare';
import type { Finding } from '@/contracts/finding';
import { database } from '../db/client';
import { study } from '../db/schema';
import { sessionsOf } from '../sessions/sessions';
import { getCompared } from './compared';

interface MakersStudy extends ComparedStudy {
  /** Of its picture, as the newest check of a study of it read them; null where there is none. */
  edges: Finding['study']['edges'] | null;
}

/** All studies of one maker's pictures with their readings, the oldest first. */
export async function studiesOfMaker(maker: string, wheel: WheelId): Promise<MakersStudy[]> {
  const db = await database();
  const rows = await db
    .select({ id: study.id })
    .from(study)
    .where(and(isNull(study.deletedAt), eq(sql`${study.document}->>'maker'`, maker)))
    .orderBy(asc(study.createdAt), asc(study.id));
  const found: MakersStudy[] = [];
  for (const { id } of rows)
    found.push({ ...(await getCompared(id, wheel)), edges: await modelEdges(id) });
  return found;
}

async function modelEdges(studyId: string): Promise<MakersStudy['edges']> {
  for (const { content } of await sessionsOf(studyId))
    for (const { finding, against } of content.checks.toReversed())
      if (finding?.model && against.kind === 'model') return finding.model.edges;
  return null;
}
