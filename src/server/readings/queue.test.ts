import { queueByName } from './queue';

/** A job that ends when it is told to. */
function job(done: string[], name: string) {
  let end = () => {};
  const ended = new Promise<void>((resolve) => (end = resolve));
  return { end, run: () => ended.then(() => void done.push(name)) };
}

describe('a queue by name', () => {
  it('runs jobs of one name in turn and others beside them', async () => {
    const queue = queueByName();
    const done: string[] = [];
    const [slow, next, other] = ['slow', 'next', 'other'].map((name) => job(done, name));
    const all = [queue('a', slow.run), queue('a', next.run), queue('b', other.run)];
    next.end();
    other.end();
    await all[2];
    expect(done).toEqual(['other']);
    slow.end();
    await queue.idle();
    expect(done).toEqual(['other', 'slow', 'next']);
  });

  it('goes on after a job that fails, and tells only its asker', async () => {
    const queue = queueByName();
    const failing = queue('a', () => Promise.reject(new Error('no')));
    const ran: string[] = [];
    const after = queue('a', async () => void ran.push('after'));
    await expect(failing).rejects.toThrow('no');
    await after;
    await queue.idle();
    expect(ran).toEqual(['after']);
  });
});
