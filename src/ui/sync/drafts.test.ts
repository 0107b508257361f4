import 'fake-indexeddb/auto';
import { draftsOf, type Draft } from './drafts';

interface Doc {
  title: string;
}
const draft = (title: string): Draft<Doc> => ({
  base: { revision: 1, value: { title: 'Fog' } },
  value: { title },
});
let count = 0;
/** Two windows on a document of their own. */
const windows = () => {
  const name = `study:${++count}`;
  return [draftsOf<Doc>(name, 'one'), draftsOf<Doc>(name, 'two')] as const;
};
const titles = (found: readonly { draft: unknown }[]) =>
  found.map((one) => (one.draft as Draft<Doc>).value.title);

describe('drafts', () => {
  it('belong to a window: neither replaces nor drops the other’s', async () => {
    const [one, two] = windows();
    await one.keep(draft('of one'));
    await two.keep(draft('of two'));
    expect(titles(await one.others())).toEqual(['of two']);
    expect(titles(await two.others())).toEqual(['of one']);
    await two.drop();
    expect(titles(await two.others())).toEqual(['of one']);
    expect(await one.others()).toEqual([]);
  });

  it('are the newest of their window, found by every later window of the same document', async () => {
    const [one] = windows();
    await one.keep(draft('first'));
    await one.keep(draft('then'));
    expect(titles(await draftsOf(`study:${count}`, 'later').others())).toEqual(['then']);
    expect(await draftsOf(`study:${count}0`, 'later').others()).toEqual([]);
  });

  it('that were taken in are dropped, unless their window has gone on', async () => {
    const [one, two] = windows();
    await one.keep(draft('first'));
    const found = await two.others();
    await one.keep(draft('then'));
    await two.dropFound(found);
    expect(titles(await two.others())).toEqual(['then']);
    await two.dropFound(await two.others());
    expect(await two.others()).toEqual([]);
  });
});
