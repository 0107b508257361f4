import { and, asc, desc, eq, isNull, sql, type SQL } from 'drizzle-orm';
import type { z } from 'zod';
import {
  readSession,
  storedSession,
  type beginSessionSchema,
  type LoggedSession,
  type Session,
  type SessionContent,
} from '@/contracts/session';
import { database } from '../db/client';
import { picture, study } from '../db/schema';
import { session } from '../db/session-schema';
import { documentService } from '../documents/document-service';
import { notFound } from '../errors';
import { getStudy } from '../studies/studies';
import { sessionRevisions } from './session-history';

type SessionRow = typeof session.$inferSelect;

const sessionOf = ({ id, studyId, revision, content, createdAt }: SessionRow): Session => ({
  id,
  studyId,
  revision,
  content: readSession(content),
  createdAt: createdAt.toISOString(),
});

/** Throws not-found, for a deleted one too. */
export async function getSession(id: string): Promise<Session> {
  const db = await database();
  const [row] = await db
    .select()
    .from(session)
    .where(and(eq(session.id, id), isNull(session.deletedAt)));
  if (!row) throw notFound('session');
  return sessionOf(row);
}

/** The sessions of a study, the newest first. */
export async function sessionsOf(studyId: string): Promise<Session[]> {
  const db = await database();
  const rows = await db
    .select()
    .from(session)
    .where(and(eq(session.studyId, studyId), isNull(session.deletedAt)))
    .orderBy(desc(session.createdAt), asc(session.id));
  return rows.map(sessionOf);
}

const logged = async (where: SQL | undefined): Promise<LoggedSession[]> => {
  const db = await database();
  const rows = await db
    .select({
      session,
      pictureId: picture.id,
      pictureHash: picture.hash,
      title: study.title,
      maker: sql<string>`coalesce(${study.document}->>'maker', '')`,
    })
    .from(session)
    .innerJoin(study, eq(study.id, session.studyId))
    .innerJoin(picture, eq(picture.id, study.pictureId))
    .where(where)
    .orderBy(desc(session.createdAt), asc(session.id));
  return rows.map(({ session: row, ...about }) => ({ ...sessionOf(row), study: about }));
};

/** All sessions with what the Log says of their studies, the newest first; a deleted study keeps its sessions. */
export const loggedSessions = () => logged(isNull(session.deletedAt));

/** Begins a session; the same one sent twice is begun once. Throws not-found for a study that isn't there. */
export async function beginSession({
  id,
  studyId,
  content,
}: z.infer<typeof beginSessionSchema>): Promise<string> {
  await getStudy(studyId);
  const db = await database();
  await db.transaction(async (tx) => {
    const began = await tx
      .insert(session)
      .values({ id, studyId, revision: 1, content: storedSession(content) })
      .onConflictDoNothing()
      .returning({ id: session.id });
    if (began.length > 0) await sessionRevisions.begin(tx, id, 1, content);
  });
  return id;
}

const documents = documentService<SessionContent>({
  what: 'session',
  table: session,
  revisions: sessionRevisions,
  async write(tx, id, basedOn, content) {
    const [row] = await tx
      .update(session)
      .set({
        content: storedSession(content),
        revision: sql`${session.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(session.id, id), eq(session.revision, basedOn), isNull(session.deletedAt)))
      .returning({ revision: session.revision, updatedAt: session.updatedAt });
    return row ?? null;
  },
  newest: (id) => getSession(id),
});

export const saveSession = documents.save;
export const deleteSession = documents.remove;
export const restoreSession = documents.restore;
