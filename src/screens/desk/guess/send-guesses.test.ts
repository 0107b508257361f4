import type { Attempt, GuessRecord } from '@/contracts/attempt';
import { guessSender } from './send-guesses';

const attempt = (id: string) => ({ id }) as Attempt;

/** A server that can be away, and counts each guess once. */
function server() {
  const known: string[] = [];
  const state = { isAway: false };
  const send = async ({ id }: Attempt): Promise<GuessRecord> => {
    if (state.isAway) throw new Error('away');
    if (!known.includes(id)) known.push(id);
    return { count: known.length } as GuessRecord;
  };
  return { known, state, send };
}

describe('sending guesses', () => {
  it('keeps what a server that is away could not take, and sends it with the next, in order', async () => {
    const { known, state, send } = server();
    const guess = guessSender(send);
    expect((await guess(attempt('a'))).count).toBe(1);
    state.isAway = true;
    await expect(guess(attempt('b'))).rejects.toThrow('away');
    await expect(guess(attempt('c'))).rejects.toThrow('away');
    state.isAway = false;
    expect((await guess(attempt('d'))).count).toBe(4);
    expect(known).toEqual(['a', 'b', 'c', 'd']);
  });

  it('answers each of several that are made at once', async () => {
    const { known, send } = server();
    const guess = guessSender(send);
    const records = await Promise.all(['a', 'b', 'c'].map((id) => guess(attempt(id))));
    expect(records.map(({ count }) => count)).toEqual([3, 3, 3]);
    expect(known).toEqual(['a', 'b', 'c']);
  });
});
