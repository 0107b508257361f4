import { jest } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import { asOne, asStrokes, byId, derived } from '@/contracts/documents/merge-policy';
import { mergeOf, same, yieldTo } from './merge';
import { createSaver, type Saved, type SaveState } from './saver';

const place = z.object({ x: z.number(), y: z.number() });
const docSchema = z.object({
  title: z.string(),
  maker: z.string(),
  crop: asOne(place.nullable()),
  swatches: byId(z.array(z.object({ id: z.string(), name: z.string() }))),
});
type Doc = z.infer<typeof docSchema>;
const merge = mergeOf(docSchema);
const base: Doc = {
  title: 'Fog',
  maker: '',
  crop: null,
  swatches: [
    { id: 'a', name: 'one' },
    { id: 'b', name: 'two' },
    { id: 'c', name: 'three' },
  ],
};

describe('merging', () => {
  it('takes each side’s changes where the other made none', () => {
    const mine = { ...base, title: 'Fog at noon' };
    const theirs = {
      ...base,
      maker: 'D. S.',
      swatches: [...base.swatches, { id: 'd', name: 'four' }],
    };
    const { value, conflicts } = merge(base, mine, theirs);
    expect(value).toEqual({ ...theirs, title: 'Fog at noon' });
    expect(conflicts).toEqual([]);
  });

  it('merges lists thing by thing: additions, renames, deletions and order', () => {
    const [a, b, c] = base.swatches;
    const mine = { ...base, swatches: [c, a, { ...b, name: 'zwei' }] };
    const theirs = {
      ...base,
      swatches: [{ ...a, name: 'eins' }, b, { id: 'new', name: 'between' }],
    };
    const { value, conflicts } = merge(base, mine, theirs);
    expect(value.swatches).toEqual([
      { id: 'a', name: 'eins' },
      { id: 'b', name: 'zwei' },
      { id: 'new', name: 'between' },
    ]);
    expect(conflicts).toEqual([]);
  });

  it('keeps a thing that one side deleted while the other changed it', () => {
    const [a, b, c] = base.swatches;
    const { value } = merge(
      base,
      { ...base, swatches: [a, c] },
      { ...base, swatches: [a, { ...b, name: 'kept' }, c] },
    );
    expect(value.swatches.map(({ name }) => name)).toEqual(['one', 'kept', 'three']);
  });

  it('takes what follows from the rest for no change and no conflict', () => {
    const shares = (a: number, b: number) => ({
      swatches: [
        { id: 'a', share: a },
        { id: 'b', share: b },
      ],
    });
    const mine = shares(0.4, 0.6);
    const mergeShares = mergeOf(
      z.object({
        swatches: byId(z.array(z.object({ id: z.string(), share: derived(z.number()) }))),
      }),
    );
    const merged = mergeShares(shares(0.5, 0.5), mine, shares(0.3, 0.7));
    expect(merged).toEqual({ value: mine, conflicts: [] });
    const deleted = { swatches: [{ id: 'b', share: 1 }] };
    expect(mergeShares(shares(0.5, 0.5), mine, deleted).value.swatches.map(({ id }) => id)).toEqual(
      ['b'],
    );
  });

  it('lets mine stand where both changed one thing, says so, and can yield', () => {
    const mine = { ...base, title: 'Mine', crop: { x: 0.1, y: 0.1 } };
    const theirs = { ...base, title: 'Theirs', crop: { x: 0.2, y: 0.1 } };
    const { value, conflicts } = merge(base, mine, theirs);
    expect(value.title).toBe('Mine');
    expect(value.crop).toEqual({ x: 0.1, y: 0.1 });
    expect(conflicts.map(({ path }) => path)).toEqual([['title'], ['crop']]);
    expect(yieldTo(value, conflicts)).toEqual(theirs);
  });

  it('yields inside a list by id', () => {
    const rename = (name: string) => ({
      ...base,
      swatches: base.swatches.map((s) => (s.id === 'b' ? { ...s, name } : s)),
    });
    const { value, conflicts } = merge(base, rename('mine'), rename('theirs'));
    expect(conflicts).toHaveLength(1);
    expect(yieldTo(value, conflicts)).toEqual(rename('theirs'));
  });

  const anyDoc = fc.record({
    title: fc.constantFrom('a', 'b', 'c'),
    maker: fc.constantFrom('', 'x'),
    crop: fc.option(fc.record({ x: fc.constantFrom(0, 1), y: fc.constantFrom(0, 1) })),
    swatches: fc.uniqueArray(
      fc.record({
        id: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
        name: fc.constantFrom('1', '2', '3'),
      }),
      { selector: ({ id }) => id },
    ),
  });

  it('loses nothing that either side added, and nothing happens when one side did nothing', () => {
    fc.assert(
      fc.property(anyDoc, anyDoc, anyDoc, (was, mine, theirs) => {
        const { value } = merge(was, mine, theirs);
        const known = new Set(was.swatches.map(({ id }) => id));
        const kept = new Set(value.swatches.map(({ id }) => id));
        for (const { id } of [...mine.swatches, ...theirs.swatches])
          if (!known.has(id)) expect(kept.has(id)).toBe(true);
        expect(value.swatches).toHaveLength(kept.size);
        expect(merge(was, mine, was).value).toEqual(mine);
        expect(merge(was, was, theirs).value).toEqual(theirs);
        expect(merge(was, mine, mine).value).toEqual(mine);
      }),
    );
  });

  it('keeps the strokes of both, one’s own on top, and what either took away is gone', () => {
    const row = mergeOf(z.object({ row: asStrokes(z.array(z.object({ id: z.string() }))) }));
    const of = (ids: string) => ({ row: Array.from(ids, (id) => ({ id })) });
    expect(row(of('abc'), of('abcm'), of('abct'))).toEqual({ value: of('abctm'), conflicts: [] });
    expect(row(of('abc'), of('acm'), of('bc')).value).toEqual(of('cm'));
  });

  it('merges a choice field by field while it is the same choice, else as one', () => {
    const sets = mergeOf(
      z.object({
        set: z.discriminatedUnion('kind', [
          z.object({ kind: z.literal('a'), one: z.number(), two: z.number() }),
          z.object({ kind: z.literal('b'), one: z.number() }),
        ]),
      }),
    );
    const a = (one: number, two: number) => ({ set: { kind: 'a' as const, one, two } });
    const b = (one: number) => ({ set: { kind: 'b' as const, one } });
    expect(sets(a(0, 0), a(1, 0), a(0, 1))).toEqual({ value: a(1, 1), conflicts: [] });
    expect(sets(a(0, 0), a(1, 0), b(5))).toMatchObject({
      value: a(1, 0),
      conflicts: [{ path: ['set'] }],
    });
  });

  it('refuses a list or a choice of which nobody said how it is merged', () => {
    expect(() => mergeOf(z.object({ deep: z.object({ list: z.array(z.string()) }) }))).toThrow(
      'deep.list',
    );
  });

  it('knows sameness by content', () => {
    expect(same({ a: [1, { b: null }] }, { a: [1, { b: null }] })).toBe(true);
    expect(same({ a: 1 }, { a: 1, b: undefined })).toBe(false);
    expect(same([1, 2], [2, 1])).toBe(false);
    expect(same(NaN, NaN)).toBe(true);
  });
});

class Newer extends Error {
  constructor(readonly saved: Saved<Doc>) {
    super('newer');
  }
}
class Down extends Error {}

/** A server of one document, as the saver sees it. */
function fakeServer(start: Doc) {
  const server = {
    saved: { revision: 1, value: start } as Saved<Doc>,
    down: false,
    refuse: false,
    sent: 0,
  };
  const send = async (basedOn: number, value: Doc) => {
    server.sent++;
    if (server.down) throw new Down();
    if (server.refuse) throw new Error('never');
    if (basedOn !== server.saved.revision) throw new Newer(server.saved);
    server.saved = { revision: basedOn + 1, value };
    return server.saved.revision;
  };
  return { server, send };
}

function opened(server: ReturnType<typeof fakeServer>) {
  const window = { value: server.server.saved.value, state: 'saved' as SaveState, refused: 0 };
  const saver = createSaver<Doc>({
    start: server.server.saved,
    merge,
    send: server.send,
    newerIn: (error) => (error instanceof Newer ? error.saved : null),
    passing: (error) => error instanceof Down,
    onMerged: (merged) => (window.value = merged),
    onState: (state) => (window.state = state),
    onRefused: () => window.refused++,
    quiet: 20,
    again: 50,
  });
  const edit = (part: Partial<Doc>) => {
    window.value = { ...window.value, ...part };
    saver.offer(window.value);
  };
  return { window, saver, edit };
}

describe('the saver', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const settle = async (ms = 2000) => {
    for (let passed = 0; passed < ms; passed += 10) await jest.advanceTimersByTimeAsync(10);
  };

  it('sends a run of changes once, after some quiet', async () => {
    const store = fakeServer(base);
    const { edit, window } = opened(store);
    edit({ title: 'F' });
    edit({ title: 'Fo' });
    edit({ title: 'Fog!' });
    expect(store.server.sent).toBe(0);
    expect(window.state).toBe('saving');
    await settle();
    expect(store.server.sent).toBe(1);
    expect(store.server.saved.value.title).toBe('Fog!');
    expect(window.state).toBe('saved');
  });

  it('loses nothing of two windows that change at once', async () => {
    const store = fakeServer(base);
    const one = opened(store);
    const two = opened(store);
    one.edit({ title: 'From one' });
    two.edit({ maker: 'From two' });
    await settle();
    expect(store.server.saved.value).toMatchObject({ title: 'From one', maker: 'From two' });
    one.saver.receive(store.server.saved);
    expect(one.window.value).toEqual(store.server.saved.value);
  });

  it('takes in what another window saved while its own request was on its way', async () => {
    const saves: ((revision: number) => void)[] = [];
    const shown: Doc[] = [];
    const saver = createSaver<Doc>({
      start: { revision: 1, value: base },
      merge,
      send: () => new Promise((resolve) => saves.push(resolve)),
      newerIn: () => null,
      passing: () => true,
      onMerged: (merged) => shown.push(merged),
      onState: () => undefined,
      onRefused: () => undefined,
      quiet: 1,
    });
    saver.offer({ ...base, title: 'Mine' });
    const sent = saver.flush();
    saver.receive({ revision: 3, value: { ...base, title: 'Theirs, later' } });
    saver.receive({ revision: 2, value: { ...base, title: 'Theirs, earlier' } });
    await settle();
    expect(shown).toEqual([]);
    saves[0](2);
    await sent;
    expect(saver.acknowledged().revision).toBe(3);
    expect(shown.map(({ title }) => title)).toEqual(['Theirs, later']);
    saver.stop();
  });

  it('keeps trying while the server is away, and saves what was changed meanwhile', async () => {
    const store = fakeServer(base);
    const { edit, window } = opened(store);
    store.server.down = true;
    edit({ title: 'Kept' });
    await settle(200);
    expect(window.state).toBe('waiting for the server');
    edit({ maker: 'Also kept' });
    store.server.down = false;
    await settle();
    expect(store.server.saved.value).toMatchObject({ title: 'Kept', maker: 'Also kept' });
    expect(window.state).toBe('saved');
  });

  it('says once that a change will never be taken, and goes on with the next', async () => {
    const store = fakeServer(base);
    const { edit, window } = opened(store);
    store.server.refuse = true;
    edit({ title: 'Bad' });
    await settle();
    expect(window.refused).toBe(1);
    expect(store.server.sent).toBe(1);
    store.server.refuse = false;
    edit({ title: 'Good' });
    await settle();
    expect(store.server.saved.value.title).toBe('Good');
  });

  it('says that all is saved when a change is taken back before it was sent', async () => {
    const store = fakeServer(base);
    const { edit, window } = opened(store);
    edit({ title: 'F' });
    edit({ title: base.title });
    await settle();
    expect(store.server.sent).toBe(0);
    expect(window.state).toBe('saved');
  });

  it('flushes at once, and not when there is nothing to say', async () => {
    const store = fakeServer(base);
    const { edit, saver } = opened(store);
    await saver.flush();
    expect(store.server.sent).toBe(0);
    edit({ title: 'Now' });
    await saver.flush();
    expect(store.server.saved.value.title).toBe('Now');
    saver.stop();
  });
});
