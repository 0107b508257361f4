import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { subDays } from 'date-fns';
import { eq } from 'drizzle-orm';
import { newSession } from '@/contracts/session';
import { closePool } from '@/workers/server/pool';
import { database } from './db/client';
import { picture } from './db/schema';
import { session } from './db/session-schema';
import { ServiceError } from './errors';
import { importPicture } from './pictures/import-picture';
import { emptyOldSessions, listSessionBin } from './sessions/bin';
import { sessionRevisions } from './sessions/session-history';
import {
  beginSession,
  deleteSession,
  getSession,
  loggedSessions,
  restoreSession,
  saveSession,
  sessionsOf,
} from './sessions/sessions';
import { keepSnapshot, snapshotBytes } from './sessions/snapshots';
import { deleteStudy, getStudy, saveStudy } from './studies/studies';
import { fullSession } from './testing/some-session';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
let studyId: string;
beforeAll(async () => {
  end = await freshDatabase();
  const brought = await importPicture(await redAndBlue(90).png().toBuffer(), 'Roofs.png');
  if (brought.kind !== 'new') throw new Error('the store was not empty');
  studyId = brought.studyId;
  const { revision, document } = await getStudy(studyId);
  await saveStudy(studyId, revision, { ...document, maker: 'A. Maker' });
});
afterAll(async () => {
  await end();
  await closePool();
});

const begun = async (content = newSession('Roofs', 'values', 'paint')) =>
  beginSession({ id: randomUUID(), studyId, content });
const refused = (promise: Promise<unknown>, code: string) =>
  expect(promise).rejects.toMatchObject({ code } satisfies Partial<ServiceError>);

describe('sessions', () => {
  it('begin once, are saved over their revision, and have a history', async () => {
    const id = randomUUID();
    const content = newSession('Roofs', 'values', 'paint');
    await beginSession({ id, studyId, content });
    // Sent again, as after an answer that got lost.
    await beginSession({ id, studyId, content: { ...content, title: 'Another' } });
    expect((await getSession(id)).content).toEqual(content);
    const full = fullSession();
    expect((await saveSession(id, 1, full)).revision).toBe(2);
    expect((await getSession(id)).content).toEqual(full);
    await refused(saveSession(id, 1, content), 'newer');
    expect((await getSession(id)).content).toEqual(full);
    expect(await sessionRevisions.get(id, 1)).toEqual(content);
  });

  it('are refused for a study that is not there', async () => {
    const content = newSession('x', 'values', 'paint');
    await refused(beginSession({ id: randomUUID(), studyId: randomUUID(), content }), 'not-found');
    await refused(getSession(randomUUID()), 'not-found');
  });

  it('are listed by study, and in the Log with whose picture it is, after the study has gone too', async () => {
    const id = await begun(fullSession());
    expect((await sessionsOf(studyId)).map((one) => one.id)).toContain(id);
    const other = await importPicture(await redAndBlue(120).png().toBuffer(), 'Gone.png');
    if (other.kind !== 'new') throw new Error('known');
    const gone = await beginSession({
      id: randomUUID(),
      studyId: other.studyId,
      content: newSession('Gone', 'speed', 'washes'),
    });
    await deleteStudy(other.studyId);
    const logged = await loggedSessions();
    expect(logged.find((one) => one.id === id)!.study).toMatchObject({
      title: 'Roofs',
      maker: 'A. Maker',
    });
    expect(logged.map((one) => one.id)).toContain(gone);
  });

  it('go into the bin, come back, and are thrown away after their time with their snapshots', async () => {
    const id = await begun();
    const shot = await redAndBlue(150).png().toBuffer();
    await keepSnapshot(id, 'one', shot, 'one.png');
    await deleteSession(id);
    await refused(getSession(id), 'not-found');
    expect((await listSessionBin()).map((one) => one.id)).toContain(id);
    await restoreSession(id);
    await getSession(id);
    await deleteSession(id);
    const db = await database();
    await db
      .update(session)
      .set({ deletedAt: subDays(new Date(), 400) })
      .where(eq(session.id, id));
    expect(await emptyOldSessions()).toBe(1);
    await refused(snapshotBytes(id, 'one', 'thumbnail'), 'not-found');
  });
});

describe('snapshots', () => {
  it('are kept under the id they were given, once, with a working copy', async () => {
    const id = await begun();
    const shot = await redAndBlue(2000, 1500).jpeg().toBuffer();
    const size = await keepSnapshot(id, 'first', shot, 'first.jpg');
    expect(size).toEqual({ width: 1600, height: 1200 });
    expect(await keepSnapshot(id, 'first', shot, 'first.jpg')).toEqual(size);
    // The same picture under another id is another snapshot and no other picture.
    await keepSnapshot(id, 'second', shot, 'second.jpg');
    const db = await database();
    const hashes = (await db.select({ hash: picture.hash }).from(picture)).map(({ hash }) => hash);
    expect(new Set(hashes).size).toBe(hashes.length);
    const { bytes, type } = await snapshotBytes(id, 'second', 'working');
    expect(type).toBe('image/png');
    expect(await sharp(bytes).metadata()).toMatchObject({ width: 1600, height: 1200 });
    expect((await snapshotBytes(id, 'first', 'original')).bytes.length).toBe(shot.length);
  });

  it('stand upright however the camera was held', async () => {
    const id = await begun();
    const shot = await redAndBlue(300, 200).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect(await keepSnapshot(id, 'turned', shot, 'turned.jpg')).toEqual({
      width: 200,
      height: 300,
    });
  });

  it('are refused where they are no picture or of no session, and nothing is kept', async () => {
    const id = await begun();
    await refused(keepSnapshot(id, 'x', Buffer.from('no picture'), 'x.png'), 'not-a-picture');
    await refused(snapshotBytes(id, 'x', 'working'), 'not-found');
    const shot = await redAndBlue(91).png().toBuffer();
    await refused(keepSnapshot(randomUUID(), 'x', shot, 'x.png'), 'not-found');
  });
});
