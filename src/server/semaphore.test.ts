import { semaphore } from './semaphore';

/** A job that says when it runs and ends when it is told to. */
function job() {
  let end!: () => void;
  let fail!: (error: Error) => void;
  const done = new Promise<void>((resolve, reject) => {
    end = resolve;
    fail = reject;
  });
  const state = { hasBegun: false, end, fail };
  return {
    state,
    run: async () => {
      state.hasBegun = true;
      await done;
    },
  };
}
const soon = () => new Promise((resolve) => setTimeout(resolve, 1));

describe('a semaphore', () => {
  it('runs so many at once, the others in their order', async () => {
    const enter = semaphore(2);
    const jobs = [job(), job(), job(), job()];
    const all = jobs.map(({ run }) => enter(run));
    await soon();
    expect(jobs.map(({ state }) => state.hasBegun)).toEqual([true, true, false, false]);
    jobs[1].state.fail(new Error('broken'));
    await expect(all[1]).rejects.toThrow('broken');
    await soon();
    expect(jobs.map(({ state }) => state.hasBegun)).toEqual([true, true, true, false]);
    for (const { state } of jobs) state.end();
    await Promise.all([all[0], all[2], all[3]]);
    const later = job();
    later.state.end();
    await enter(later.run);
  });

  it('never begins one that was stopped while it waited', async () => {
    const enter = semaphore(1);
    const [first, second, third] = [job(), job(), job()];
    const stop = new AbortController();
    const one = enter(first.run);
    const two = enter(second.run, stop.signal);
    const three = enter(third.run);
    stop.abort(new Error('stopped'));
    await expect(two).rejects.toThrow('stopped');
    first.state.end();
    third.state.end();
    await Promise.all([one, three]);
    expect(second.state.hasBegun).toBe(false);
    await expect(enter(second.run, stop.signal)).rejects.toThrow('stopped');
  });
});
