import { jest } from '@jest/globals';
import { z } from 'zod';
import { empty, json, lines, type Endpoint } from '@/contracts/endpoints/endpoint';
import { call, callInLines, RefusedError } from './api';

const GET_X = {
  method: 'GET',
  path: '/x',
  answer: json(z.object({ revision: z.number() })),
} as const satisfies Endpoint;
const DELETE_X = { method: 'DELETE', path: '/x', answer: empty } as const satisfies Endpoint;
const LINES_X = {
  method: 'GET',
  path: '/x',
  answer: lines(z.object({ n: z.number() })),
} as const satisfies Endpoint;

const answers = (make: () => Response | Promise<Response>) => {
  globalThis.fetch = jest.fn(async () => make()) as unknown as typeof fetch;
};
const refusal = async (calling: Promise<unknown>): Promise<RefusedError> => {
  const error = await calling.then(
    () => null,
    (thrown: unknown) => thrown,
  );
  if (!(error instanceof RefusedError)) throw new Error('expected a refusal');
  return error;
};

describe('calling the server', () => {
  it('gives what was agreed, and null for nothing', async () => {
    answers(() => Response.json({ revision: 3 }));
    expect(await call(GET_X, {})).toEqual({ revision: 3 });
    answers(() => new Response(null, { status: 204 }));
    expect(await call(DELETE_X, {})).toBeNull();
  });

  it('tells the server’s own sentence, whether there is a detail or not', async () => {
    const error = { code: 'bad-file', message: 'Line 4 is wrong.', status: 422 };
    answers(() => Response.json({ error }, { status: 422 }));
    expect(await refusal(call(DELETE_X, {}))).toMatchObject(error);
    answers(() => Response.json({ error: { ...error, detail: { revision: 2 } } }, { status: 422 }));
    expect((await refusal(call(DELETE_X, {}))).detail).toEqual({ revision: 2 });
  });

  it('says what it can of an answer that explains nothing', async () => {
    answers(() => new Response('<html>', { status: 502 }));
    expect((await refusal(call(DELETE_X, {}))).message).toContain('502');
  });

  it('says that nobody answers', async () => {
    answers(() => Promise.reject(new TypeError('failed to fetch')));
    expect(await refusal(call(DELETE_X, {}))).toMatchObject({
      code: 'unreachable',
      status: 0,
    });
  });

  it('says that an answer broke off, in the middle of a line or between two', async () => {
    const streamed = (end: (controller: ReadableStreamDefaultController) => void) =>
      answers(
        () =>
          new Response(
            new ReadableStream({
              start(controller) {
                controller.enqueue(new TextEncoder().encode('{"n":1}\n{"n'));
                end(controller);
              },
            }),
          ),
      );
    const { signal } = new AbortController();
    for (const end of [
      (controller: ReadableStreamDefaultController) => controller.close(),
      (controller: ReadableStreamDefaultController) => controller.error(new TypeError('network')),
    ]) {
      streamed(end);
      const calling = callInLines(LINES_X, {}, signal, () => undefined);
      expect(await refusal(calling)).toMatchObject({
        code: 'unreachable',
        message: expect.stringContaining('halfway'),
      });
    }
  });

  it('takes an answer line by line, wherever the network cuts it', async () => {
    const parts = ['{"n":1}\n{"n', '":2}\n', '{"n":3}'];
    answers(
      () =>
        new Response(
          new ReadableStream({
            start(controller) {
              for (const part of parts) controller.enqueue(new TextEncoder().encode(part));
              controller.close();
            },
          }),
        ),
    );
    const seen: number[] = [];
    const { signal } = new AbortController();
    await callInLines(LINES_X, {}, signal, ({ n }) => seen.push(n));
    expect(seen).toEqual([1, 2, 3]);
  });
});
