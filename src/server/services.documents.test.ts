import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import type { LibraryContent } from '@/contracts/library';
import type { StudyDocument } from '@/contracts/study';
import { database } from './db/client';
import { study, studyRevision } from './db/schema';
import { dispatch } from './endpoints/dispatch';
import { handlers } from './endpoints/handlers';
import { createLibrary, getLibrary } from './libraries/libraries';
import { importPicture } from './pictures/import-picture';
import { listStudyHistory, studyRevisions } from './studies/study-history';
import { deleteStudy, getStudy, renameStudy, restoreStudy, saveStudy } from './studies/studies';
import { listStudies } from './studies/study-cards';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';
import { DEFAULT_LIBRARY_PALETTE } from '@/study/library';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
afterAll(() => end());

let side = 40;
async function newStudy() {
  const brought = await importPicture(await redAndBlue(++side, 30).png().toBuffer(), 'dusk.png');
  if (brought.kind !== 'new') throw new Error('expected a new study');
  return getStudy(brought.studyId);
}

/** Saves an edit on whatever revision stands. */
async function edit(id: string, change: (document: StudyDocument) => StudyDocument): Promise<void> {
  const { revision, document } = await getStudy(id);
  await saveStudy(id, revision, change(document));
}

/** Lets so many minutes pass over all that was saved. */
async function pass(minutes: number): Promise<void> {
  const db = await database();
  const ago = sql`make_interval(mins => ${minutes})`;
  await db.update(studyRevision).set({ beganAt: sql`${studyRevision.beganAt} - ${ago}` });
}

describe('a study’s history', () => {
  it('keeps the first state and the last of each sitting, and says what was changed', async () => {
    const { id, document } = await newStudy();
    await renameStudy(id, 'One');
    await edit(id, (was) => ({ ...was, aims: ['mood'] }));
    await pass(11);
    await edit(id, (was) => ({ ...was, framing: { angle: 9, crop: null } }));
    await edit(id, (was) => ({ ...was, palette: { ...was.palette, swatches: [] } }));

    const history = await listStudyHistory(id);
    expect(history.map(({ revision, changed }) => [revision, changed])).toEqual([
      [5, ['framing', 'palette']],
      [3, ['title', 'aims']],
      [1, []],
    ]);
    expect(history.map(({ title }) => title)).toEqual(['One', 'One', document.title]);
    expect(history[0].swatches).toBe(0);
    expect(history[2].swatches).toBe(document.palette.swatches.length);
    expect(await studyRevisions.get(id, 1)).toEqual(document);
  });

  it('keeps nothing of a save that changes nothing', async () => {
    const { id } = await newStudy();
    await edit(id, (was) => ({ ...was }));
    expect((await listStudyHistory(id)).map(({ revision }) => revision)).toEqual([1]);
  });

  it('speaks of no change of the palette where only its shares were measured anew', async () => {
    const { id } = await newStudy();
    await edit(id, (was) => ({
      ...was,
      title: 'Shares',
      palette: {
        ...was.palette,
        swatches: was.palette.swatches.map((swatch) => ({ ...swatch, share: 0.01 })),
      },
    }));
    expect((await listStudyHistory(id))[0].changed).toEqual(['title']);
  });

  it('speaks of recipes where only these were kept', async () => {
    const { id } = await newStudy();
    await edit(id, (was) => ({
      ...was,
      palette: {
        ...was.palette,
        swatches: was.palette.swatches.map((swatch) => ({
          ...swatch,
          recipe: {
            owner: '',
            parts: [{ name: 'Ultramarine', pigments: ['PB29'], parts: 1 }],
            colour: swatch.colour,
            tried: true,
          },
        })),
      },
    }));
    expect((await listStudyHistory(id))[0].changed).toEqual(['recipes']);
  });

  it('is brought up to date when it is read, whatever version kept it', async () => {
    const { id, document } = await newStudy();
    const db = await database();
    const { hidden: _, ...older } = document;
    await db
      .update(studyRevision)
      .set({ content: { ...older, version: 1 } as never })
      .where(eq(studyRevision.ownerId, id));
    expect((await studyRevisions.get(id, 1)).hidden.looks).toEqual([]);
    await expect(studyRevisions.get(id, 9)).rejects.toMatchObject({ status: 404 });
  });

  it('says so where a stored document is none', async () => {
    const { id, document } = await newStudy();
    const db = await database();
    await db
      .update(study)
      .set({ document: { version: 99 } as never })
      .where(eq(study.id, id));
    await expect(getStudy(id)).rejects.toThrow(RangeError);
    // All others still hang, and this one is named.
    const cards = await listStudies();
    expect(cards.length).toBeGreaterThan(1);
    expect(cards.filter(({ isReadable }) => !isReadable)).toEqual([
      expect.objectContaining({ id, title: document.title, swatches: [] }),
    ]);
    await deleteStudy(id);
    await restoreStudy(id);
    await db.update(study).set({ document }).where(eq(study.id, id));
    expect((await listStudies()).every(({ isReadable }) => isReadable)).toBe(true);
  });
});

describe('studies and libraries over the endpoints', () => {
  const answer = dispatch(handlers);
  const ask = async (method: string, path: string, body?: unknown) => {
    const response = await answer(
      new Request(`http://127.0.0.1:3000/api/${path}`, {
        method,
        headers: { 'content-type': 'application/json', host: '127.0.0.1:3000' },
        body: body === undefined ? undefined : JSON.stringify(body),
      }),
    );
    const text = await response.text();
    return { status: response.status, body: text ? JSON.parse(text) : null };
  };
  const content: LibraryContent = {
    ...DEFAULT_LIBRARY_PALETTE,
    name: 'Dusk',
    note: '',
    tags: [],
    swatches: [],
  };
  const KINDS: [string, () => Promise<{ id: string; body: (name: string) => object }>][] = [
    [
      'studies',
      async () => {
        const { id, document } = await newStudy();
        return { id, body: (title) => ({ basedOn: 1, document: { ...document, title } }) };
      },
    ],
    [
      'libraries',
      async () => {
        const { id } = await createLibrary(content, null);
        expect((await getLibrary(id)).revision).toBe(1);
        return { id, body: (name) => ({ basedOn: 1, content: { ...content, name } }) };
      },
    ],
  ];

  it.each(KINDS)(
    '%s: saved on a revision, refused with what is newer, binned and back',
    async (kind, make) => {
      const { id, body } = await make();
      expect(await ask('PUT', `${kind}/${id}`, body('First'))).toMatchObject({
        status: 200,
        body: { revision: 2 },
      });
      const refused = await ask('PUT', `${kind}/${id}`, body('Second'));
      expect(refused).toMatchObject({ status: 409, body: { error: { code: 'newer' } } });
      expect(JSON.stringify(refused.body.error.detail)).toContain('First');

      const history = await ask('GET', `${kind}/${id}/history`);
      expect(history.body.map(({ revision }: { revision: number }) => revision)).toEqual([2, 1]);
      expect(JSON.stringify((await ask('GET', `${kind}/${id}/history/2`)).body)).toContain('First');
      expect((await ask('GET', `${kind}/${id}/history/5`)).status).toBe(404);

      expect((await ask('DELETE', `${kind}/${id}`)).status).toBe(204);
      expect((await ask('GET', `${kind}/${id}`)).status).toBe(404);
      expect((await ask('POST', `${kind}/${id}/restore`)).status).toBe(204);
      expect((await ask('GET', `${kind}/${id}`)).body.revision).toBe(2);
      expect((await ask('DELETE', `${kind}/${randomUUID()}`)).status).toBe(404);
    },
  );
});
