import { eq, sql } from 'drizzle-orm';
import type { LibraryContent } from '@/contracts/library';
import { database } from './db/client';
import { libraryRevision } from './db/library-schema';
import { rows } from './db/rows';
import { vacuumIfWorthwhile } from './db/vacuum';
import { MAX_SITTINGS } from './documents/revisions';
import { createLibrary, getLibrary, saveLibrary } from './libraries/libraries';
import { listLibraryHistory } from './libraries/library-history';
import { someLibrary } from './testing/many-libraries';
import { freshDatabase } from './testing/test-database';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
}, 120_000);
afterAll(() => end());

/** Which transaction wrote each swatch of a library last. */
async function writers(id: string): Promise<Map<string, string>> {
  const found = await rows<{ id: string; writer: string }>(
    sql`select id, xmin::text as writer from swatch where library_id = ${id}`,
  );
  return new Map(found.map(({ id, writer }) => [id, writer]));
}

/** Saves a change and answers the ids of the swatches that were written for it. */
async function written(id: string, change: (content: LibraryContent) => Partial<LibraryContent>) {
  const before = await writers(id);
  const { revision, name, note, tags, swatches, sets, target } = await getLibrary(id);
  const content = { name, note, tags, swatches, sets, target };
  const next = { ...content, ...change(content) };
  await saveLibrary(id, revision, next);
  const saved = await getLibrary(id);
  expect(saved).toMatchObject(next);
  expect(saved.swatches).toHaveLength(next.swatches.length);
  const after = await writers(id);
  return [...after].filter(([one, writer]) => before.get(one) !== writer).map(([one]) => one);
}

describe('a save', () => {
  it('writes the swatches that it changes, and no others', async () => {
    const { id } = await createLibrary(someLibrary(1, 30), null);
    const [first, second, third] = (await getLibrary(id)).swatches;
    expect(await written(id, () => ({}))).toEqual([]);
    expect(
      await written(id, ({ swatches: [a, ...rest] }) => ({
        swatches: [{ ...a, note: 'warmer' }, ...rest],
      })),
    ).toEqual([first.id]);
    const swapped = await written(id, ({ swatches: [a, b, ...rest] }) => ({
      swatches: [b, a, ...rest],
    }));
    expect(swapped.sort()).toEqual([first.id, second.id].sort());
    expect(await written(id, ({ swatches }) => ({ swatches: swatches.slice(0, -1) }))).toEqual([]);
    const added = { ...third, id: 'new' };
    expect(
      await written(id, ({ swatches }) => ({ swatches: [...swatches, added], tags: ['fog'] })),
    ).toContain('new');
  });

  it('lets the oldest sittings go, and never the first state', async () => {
    const { id } = await createLibrary(someLibrary(2, 2), null);
    const db = await database();
    const [{ content }] = await db
      .select()
      .from(libraryRevision)
      .where(eq(libraryRevision.ownerId, id));
    const long = new Date(Date.now() - 86_400_000);
    await db.insert(libraryRevision).values(
      Array.from({ length: MAX_SITTINGS + 20 }, (_, i) => ({
        ownerId: id,
        revision: i + 2,
        content: { ...(content as object), note: String(i) },
        beganAt: long,
        savedAt: long,
      })),
    );
    await db.execute(sql`update library set revision = ${MAX_SITTINGS + 21} where id = ${id}`);
    const { name, tags, swatches, sets, target } = await getLibrary(id);
    const last = { name, note: 'last', tags, swatches, sets, target };
    await saveLibrary(id, MAX_SITTINGS + 21, last);
    const history = (await listLibraryHistory(id)).map(({ revision }) => revision);
    expect(history).toHaveLength(MAX_SITTINGS + 1);
    expect(history[0]).toBe(MAX_SITTINGS + 22);
    expect(history.at(-1)).toBe(1);
    expect(history.at(-2)).toBe(23);
  });
});

it('what is no longer there makes room, once that is worth its time', async () => {
  if (process.env.PRISM_TEST_DATABASE_URL) return;
  await createLibrary(someLibrary(3, 600), null);
  expect(await vacuumIfWorthwhile()).toBe(true);
  expect(await vacuumIfWorthwhile()).toBe(false);
});
