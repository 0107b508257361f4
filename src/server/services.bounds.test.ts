import { randomUUID } from 'node:crypto';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { newDocument, type StudyDocument, type TraySwatch } from '@/contracts/study';
import { dispatch } from './endpoints/dispatch';
import { handlers } from './endpoints/handlers';
import { database } from './db/client';
import { picture } from './db/schema';
import { createLibrary } from './libraries/libraries';
import { insertStudy } from './pictures/import-picture';
import { someLibrary } from './testing/many-libraries';
import { freshDatabase } from './testing/test-database';

let end: () => Promise<void>;
const studyId = randomUUID();
beforeAll(async () => {
  end = await freshDatabase();
  const db = await database();
  const [{ id }] = await db
    .insert(picture)
    .values({
      hash: 'ff',
      name: 'fog.png',
      type: 'image/png',
      size: 1,
      width: 4,
      height: 4,
      workingWidth: 4,
      workingHeight: 4,
    })
    .returning({ id: picture.id });
  await insertStudy(db, studyId, id, newDocument('Fog'));
}, 120_000);
afterAll(() => end());

const answer = dispatch(handlers);
async function ask(method: string, path: string, body?: unknown) {
  const response = await answer(
    new Request(`http://127.0.0.1:3000/api/${path}`, {
      method,
      headers: { host: '127.0.0.1:3000', 'content-type': 'application/json' },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    }),
  );
  const text = await response.text();
  return { status: response.status, body: text ? JSON.parse(text) : null };
}

const content: LibraryContent = someLibrary(1, 3);
const library = async () => (await createLibrary(content, null)).id;

describe('text from outside', () => {
  const HALF = 'wet 😀'.slice(0, -1);

  it('is stored without half signs and NUL, in libraries and all they hold', async () => {
    const id = await library();
    const swatches = content.swatches.map((one): Swatch => ({
      ...one,
      name: `a\0${HALF}`,
      note: HALF,
      otherNames: [`${HALF}x`],
    }));
    const save = { basedOn: 1, content: { name: HALF, note: `\0${HALF}`, tags: [HALF], swatches } };
    expect((await ask('PUT', `libraries/${id}`, save)).status).toBe(200);
    const { body } = await ask('GET', `libraries/${id}`);
    expect(body).toMatchObject({ name: 'wet', note: 'wet ', tags: ['wet'] });
    expect(body.swatches[0]).toMatchObject({ name: 'awet', note: 'wet ', otherNames: ['wet x'] });
  });

  it('is searched for without them', async () => {
    const search = {
      search: { text: `a\0${HALF}`, maker: HALF, tags: ['\0'] },
      offset: 0,
      limit: 5,
    };
    expect((await ask('POST', 'drawers/search', search)).status).toBe(200);
    expect((await ask('POST', 'drawers/folders', { name: HALF })).status).toBe(201);
    expect((await ask('POST', 'drawers/folders', { name: '\0' })).status).toBe(400);
  });

  it('is no name in an address', async () => {
    expect((await ask('GET', 'thumbnails/a%00b')).status).toBe(404);
    expect((await ask('GET', `keep/copies/${'x'.repeat(5000)}`)).status).toBe(404);
  });
});

describe('what is out of bounds is refused, and changes nothing', () => {
  it.each([
    ['a revision beyond the store’s integers', { basedOn: 2 ** 40, content }, 400],
    ['a revision that is none', { basedOn: 1.5, content }, 400],
    [
      'two swatches with one id',
      { basedOn: 1, content: { ...content, swatches: [content.swatches[0], content.swatches[0]] } },
      400,
    ],
    ['a text in place of it', '"library"', 400],
    ['half a body', '{"basedOn": 1,', 400],
    ['nothing at all', '', 400],
    ['a body nested too deep', `${'['.repeat(100_000)}${']'.repeat(100_000)}`, 400],
  ])('%s', async (_, body, status) => {
    const id = await library();
    expect((await ask('PUT', `libraries/${id}`, body)).status).toBe(status);
    expect((await ask('GET', `libraries/${id}`)).body).toMatchObject({ revision: 1 });
  });

  it('a study or folder that is not here', async () => {
    const made = { ...content, studyId: randomUUID(), folderId: null };
    expect((await ask('POST', 'libraries', made)).status).toBe(409);
    expect(
      (await ask('POST', 'libraries', { ...made, studyId: null, folderId: randomUUID() })).status,
    ).toBe(409);
    const id = await library();
    const move = { ids: [id], folderId: randomUUID() };
    expect((await ask('PATCH', 'drawers/folders', move)).status).toBe(404);
    expect((await ask('POST', 'studies', { pictureId: randomUUID() })).status).toBe(404);
    expect((await ask('GET', `libraries/${id}/history/99999999999`)).status).toBe(404);
  });

  it('a swatch merged of merged ones, six hundred deep', async () => {
    const swatch = (parts: TraySwatch['parts']): TraySwatch => ({
      id: 'a',
      name: 'a',
      note: '',
      colour: { L: 0.5, a: 0, b: 0 },
      share: null,
      locked: false,
      origin: 'merged',
      role: null,
      follows: null,
      components: [],
      change: null,
      recipe: null,
      mediumRecipes: [],
      area: null,
      spread: null,
      parts,
    });
    let deep = swatch([]);
    for (let i = 0; i < 600; i++) deep = swatch([{ at: 0, swatch: deep }]);
    const document: StudyDocument = newDocument('Fog');
    const save = {
      basedOn: 1,
      document: { ...document, palette: { ...document.palette, swatches: [deep] } },
    };
    expect((await ask('PUT', `studies/${studyId}`, save)).status).toBe(400);
  });
});
