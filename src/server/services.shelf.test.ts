import { saveShelfSchema } from '@/contracts/shelf';
import { database } from './db/client';
import {
  addToShelf,
  getShelf,
  listShelfHistory,
  saveShelf,
  SHELF_ID,
  shelfRevisions,
} from './shelf/shelf';
import { wipe } from './testing/all-rows';
import { freshDatabase } from './testing/test-database';
import { someShelf, someTube } from './testing/some-shelf';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
beforeEach(() => wipe());
afterAll(() => end());

it('is empty at first, keeps what is put on it, and knows what it was', async () => {
  expect(await getShelf()).toEqual({ revision: 1, content: someShelf() });
  await Promise.all([getShelf(), getShelf()]);
  const saved = await saveShelf(1, someShelf('a', 'b'));
  expect(saved.revision).toBe(2);
  expect((await getShelf()).content).toEqual(someShelf('a', 'b'));
  const [now, first] = await listShelfHistory();
  expect(now).toMatchObject({ revision: 2, tubes: 2, added: 2, removed: 0, changed: 0 });
  expect(now.besides).toEqual([]);
  expect(first).toMatchObject({ revision: 1, tubes: 0 });
  expect(await shelfRevisions.get(SHELF_ID, 1)).toEqual(someShelf());
});

it('says what was changed besides tubes', async () => {
  await getShelf();
  const stick = {
    id: 's',
    name: 'slate',
    set: '',
    number: '14',
    colour: { L: 0.5, a: 0, b: -0.04 },
    standing: 'here' as const,
  };
  const { revision } = await getShelf();
  await saveShelf(revision, { ...someShelf(), sticks: [stick], owner: 'Dag Solumbry' });
  expect((await listShelfHistory())[0].besides).toEqual(
    expect.arrayContaining(['sticks', 'owner']),
  );
  expect((await getShelf()).content.sticks).toEqual([stick]);
});

it('refuses a save on an older revision, with what is newer, and overwrites nothing', async () => {
  await getShelf();
  await saveShelf(1, someShelf('a'));
  await expect(saveShelf(1, someShelf('b'))).rejects.toMatchObject({
    code: 'newer',
    status: 409,
    detail: { revision: 2, content: someShelf('a') },
  });
  expect((await getShelf()).content).toEqual(someShelf('a'));
});

it('says what of a tube was changed, and what was taken away', async () => {
  await getShelf();
  await saveShelf(1, someShelf('a', 'b', 'c'));
  const db = await database();
  // A sitting that is over: the next save begins another.
  await db.execute(`update shelf_revision set began_at = now() - interval '1 hour'`);
  await saveShelf(2, {
    ...someShelf(),
    tubes: [someTube('a'), someTube('b', { standing: 'off' })],
  });
  expect((await listShelfHistory())[0]).toMatchObject({
    tubes: 2,
    added: 0,
    removed: 1,
    changed: 1,
  });
});

it('takes in what another shelf has and it lacks, and changes nothing of its own', async () => {
  await getShelf();
  const own = someTube('a', { name: 'mine' });
  await saveShelf(1, { ...someShelf(), tubes: [own] });
  const db = await database();
  await db.transaction((tx) => addToShelf(tx, someShelf('a', 'b')));
  expect((await getShelf()).content.tubes).toEqual([own, someTube('b')]);
  const { revision } = await getShelf();
  await db.transaction((tx) => addToShelf(tx, someShelf('b')));
  expect((await getShelf()).revision).toBe(revision);
});

it('takes no tube without a pigment that is known, nor two of one id', () => {
  const parse = (tubes: unknown[]) =>
    saveShelfSchema.safeParse({ basedOn: 1, content: { tubes, tries: [] } }).success;
  expect(parse([someTube('a')])).toBe(true);
  expect(parse([someTube('a', { pigments: [] })])).toBe(false);
  expect(parse([someTube('a', { pigments: ['PX1'] })])).toBe(false);
  expect(parse([someTube('a', { name: ' ' })])).toBe(false);
  expect(parse([someTube('a', { strength: 9 })])).toBe(false);
  expect(parse([someTube('a'), someTube('a')])).toBe(false);
});
