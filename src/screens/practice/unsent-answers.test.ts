import { randomUUID } from 'node:crypto';
import { MAX_ANSWERS, type DrillAnswer } from '@/contracts/practice';
import { answerSender, unsentAnswers, type AnswerStore } from './unsent-answers';

const answer = (at: number): DrillAnswer => ({
  id: randomUUID(),
  at,
  kind: 'value',
  about: { L: 0.5, a: 0, b: 0 },
  difficulty: 0.3,
  outcome: { isRight: true, valueOff: 0.1 },
});

/** A browser's store, as its tabs share it. */
function store(initial?: string): AnswerStore & { text: () => string | undefined } {
  const held = new Map<string, string>();
  if (initial !== undefined) held.set('bold-prism:answers', initial);
  return {
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => void held.set(key, value),
    text: () => held.get('bold-prism:answers'),
  };
}

/** A server that can be away. */
function server() {
  const taken: number[] = [];
  const state = { isAway: false, taken };
  const post = async (answers: DrillAnswer[]) => {
    if (state.isAway) throw new Error('away');
    taken.push(...answers.map(({ at }) => at));
  };
  return { state, post };
}

describe('answers on their way to the server', () => {
  it('are sent in the order in which they were given', async () => {
    const { state, post } = server();
    const sender = answerSender(store(), post);
    await Promise.all([sender.send(answer(1)), sender.send(answer(2)), sender.send(answer(3))]);
    expect(state.taken).toEqual([1, 2, 3]);
    expect(sender.count()).toBe(0);
  });

  it('wait while the server is away, and go with the next', async () => {
    const { state, post } = server();
    const browser = store();
    const sender = answerSender(browser, post);
    state.isAway = true;
    await expect(sender.send(answer(1))).rejects.toThrow('away');
    await expect(sender.send(answer(2))).rejects.toThrow('away');
    expect(unsentAnswers(browser).map(({ at }) => at)).toEqual([1, 2]);
    state.isAway = false;
    await sender.send(answer(3));
    expect(state.taken).toEqual([1, 2, 3]);
    expect(unsentAnswers(browser)).toEqual([]);
  });

  it('outlast the page: the next one sends them', async () => {
    const { state, post } = server();
    const browser = store();
    state.isAway = true;
    await expect(answerSender(browser, post).send(answer(1))).rejects.toThrow();
    state.isAway = false;
    const next = answerSender(browser, post);
    expect(next.count()).toBe(1);
    await next.sendAll();
    expect(state.taken).toEqual([1]);
  });

  it('of another tab stay when this one’s are taken', async () => {
    const browser = store();
    const other = answer(9);
    const sender = answerSender(browser, async () => {
      browser.setItem('bold-prism:answers', JSON.stringify([...unsentAnswers(browser), other]));
      sent++;
      if (sent > 1) throw new Error('away');
    });
    let sent = 0;
    await expect(sender.send(answer(1))).rejects.toThrow('away');
    expect(unsentAnswers(browser).some(({ id }) => id === other.id)).toBe(true);
    expect(unsentAnswers(browser).some(({ at }) => at === 1)).toBe(false);
  });

  it('go in several where many waited', async () => {
    const browser = store(
      JSON.stringify(Array.from({ length: MAX_ANSWERS + 5 }, (_, i) => answer(i))),
    );
    const sizes: number[] = [];
    await answerSender(browser, async (answers) => void sizes.push(answers.length)).sendAll();
    expect(sizes).toEqual([MAX_ANSWERS, 5]);
  });

  it('are read past what can’t be read, and sent where the browser stores nothing', async () => {
    const good = answer(4);
    expect(unsentAnswers(store(JSON.stringify([{ id: 'x' }, good, 7])))).toEqual([good]);
    expect(unsentAnswers(store('no JSON'))).toEqual([]);
    expect(unsentAnswers(store('{}'))).toEqual([]);
    const refuses: AnswerStore = {
      getItem: () => {
        throw new Error('refused');
      },
      setItem: () => {
        throw new Error('full');
      },
    };
    const { state, post } = server();
    const sender = answerSender(refuses, post);
    state.isAway = true;
    await expect(sender.send(answer(1))).rejects.toThrow('away');
    state.isAway = false;
    await sender.send(answer(2));
    expect(state.taken).toEqual([1, 2]);
  });
});
