import type { DeskQuery } from '@/contracts/desk-query/desk-query';
import { queryQueue } from './query-queue';

const probe = (x: number): Extract<DeskQuery, { kind: 'probe' }> => ({
  kind: 'probe',
  place: { x, y: 0 },
  radius: 0,
});

/** A worker that answers when it is told to, and keeps what reached it. */
function slowWorker() {
  const sent: number[] = [];
  const pending: (() => void)[] = [];
  const ask = queryQueue(
    (query) =>
      new Promise((resolve) => {
        const { x } = (query as ReturnType<typeof probe>).place;
        sent.push(x);
        pending.push(() => resolve(x));
      }),
  );
  const settle = async () => {
    pending.shift()?.();
    await new Promise((resolve) => setTimeout(resolve, 0));
  };
  return { ask, sent, settle };
}

describe('the queue before the worker', () => {
  it('sends one query at a time, in order, the urgent ones first', async () => {
    const { ask, sent, settle } = slowWorker();
    const answers = [ask(probe(1)), ask(probe(2)), ask(probe(3), { urgent: true })];
    expect(sent).toEqual([1]);
    for (let n = 0; n < 3; n++) await settle();
    expect(sent).toEqual([1, 3, 2]);
    expect(await Promise.all(answers)).toEqual([1, 2, 3]);
  });

  it('never sends what was given up while it waited, and answers what was on its way', async () => {
    const { ask, sent, settle } = slowWorker();
    const stop = Array.from({ length: 20 }, () => new AbortController());
    const answers = stop.map(({ signal }, n) => ask(probe(n), { signal }).catch(() => 'given up'));
    for (const one of stop.slice(0, 19)) one.abort();
    for (let n = 0; n < 3; n++) await settle();
    expect(sent).toEqual([0, 19]);
    expect(await Promise.all(answers)).toEqual([0, ...Array(18).fill('given up'), 19]);
  });

  it('goes on after a failure', async () => {
    let fails = true;
    const ask = queryQueue(async () => {
      if (!fails) return 7;
      fails = false;
      throw new Error('no');
    });
    await expect(ask(probe(1))).rejects.toThrow('no');
    expect(await ask(probe(2))).toBe(7);
  });

  it('does not send what was given up before it was asked', async () => {
    const { ask, sent } = slowWorker();
    await expect(ask(probe(1), { signal: AbortSignal.abort('gone') })).rejects.toBe('gone');
    expect(sent).toEqual([]);
  });
});
