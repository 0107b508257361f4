import { z } from 'zod';
import { jest } from '@jest/globals';
import { setClosing } from './closing';
import { ServiceError } from './errors';
import { answering, inLines, attachment, readBody } from './respond';

const request = (init: RequestInit = {}) =>
  new Request('http://127.0.0.1:4400/api/x', {
    ...init,
    headers: { host: '127.0.0.1:4400', ...init.headers },
  });

describe('answers', () => {
  it('tell a service’s error with its code, sentence and status', async () => {
    const answer = await answering(async () => {
      throw new ServiceError('full', 'The drawer is full.', 409, { most: 3 });
    })(request());
    expect(answer.status).toBe(409);
    expect(await answer.json()).toEqual({
      error: { code: 'full', message: 'The drawer is full.', status: 409, detail: { most: 3 } },
    });
  });

  it('tell what was not as agreed, and that something is not JSON', async () => {
    const wrong = await answering(async () =>
      Response.json(z.object({ title: z.string() }).parse({ title: 5 })),
    )(request());
    expect(wrong.status).toBe(400);
    expect((await wrong.json()).error.message).toMatch(/^title: /);
    const broken = await answering(async (r: Request) => Response.json(await r.json()))(
      request({ method: 'POST', body: '{' }),
    );
    expect((await broken.json()).error.code).toBe('not-json');
  });

  it('log what nobody foresaw and keep its inner words to themselves', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const answer = await answering(async () => {
      throw new Error('secret path');
    })(request());
    expect(answer.status).toBe(500);
    expect(JSON.stringify(await answer.json())).not.toContain('secret');
    expect(log).toHaveBeenCalledTimes(1);
    log.mockRestore();
  });

  it.each([
    ['a key that points nowhere', { cause: { code: '23503' } }, 409, 'gone'],
    ['a row that is there already', { cause: { code: '23505' } }, 409, 'double'],
    ['a number that no column holds', { cause: { code: '22003' } }, 400, 'not-as-agreed'],
    ['a disk that is full', { code: 'ENOSPC' }, 507, 'no-room'],
    ['a store that is full', { cause: { code: '53100' } }, 507, 'no-room'],
  ])('say what the store or the disk refuses: %s', async (_, thrown, status, code) => {
    const answer = await answering(async () => {
      throw Object.assign(new Error('inner words'), thrown);
    })(request());
    expect(answer.status).toBe(status);
    const { error } = await answer.json();
    expect(error.code).toBe(code);
    expect(error.message).not.toContain('inner');
  });

  it('say that the server is closing, where something fails for that', async () => {
    setClosing(true);
    const answer = await answering(async () => {
      throw new Error('Terminating worker thread');
    })(request());
    setClosing(false);
    expect(answer.status).toBe(503);
    expect((await answer.json()).error.message).toMatch(/closing.*try again/);
  });

  it('refuse pages of other sites', async () => {
    const handler = answering(async () => new Response(null, { status: 204 }));
    const from = (origin: string, method = 'POST') => request({ method, headers: { origin } });
    expect((await handler(from('http://127.0.0.1:4400'))).status).toBe(204);
    expect((await handler(from('http://evil.example'))).status).toBe(403);
    expect((await handler(from('null'))).status).toBe(403);
    expect((await handler(from('http://evil.example', 'GET'))).status).toBe(403);
  });
});

describe('the door', () => {
  it('stops reading a body that is too large, whatever it said of its length', async () => {
    const tooLarge = () => new ServiceError('too-many-bytes', 'Too large.', 413);
    const body = request({ method: 'POST', body: 'x'.repeat(100) });
    expect((await readBody(body, 100, tooLarge)).byteLength).toBe(100);
    await expect(
      readBody(request({ method: 'POST', body: 'x'.repeat(101) }), 100, tooLarge),
    ).rejects.toMatchObject({ status: 413 });
    expect((await readBody(request(), 100, tooLarge)).byteLength).toBe(0);
  });

  it('offers a file under its name in any script', () => {
    expect(attachment('Wet dusk.gpl')).toBe('attachment; filename="Wet dusk.gpl"');
    const named = attachment('雨 "a"/b.json');
    expect(named).toMatch(/^attachment; filename="/);
    expect(named).toContain("filename*=UTF-8''%E9%9B%A8%20a%20b.json");
  });
});

describe('an answer in lines', () => {
  const linesOf = async (response: Response) =>
    (await response.text())
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line));
  const request = () => new Request('http://127.0.0.1/api/x', { method: 'POST' });

  it('says each event on its own line, as it comes', async () => {
    const response = inLines<{ n: number }>(
      request(),
      async (say) => {
        say({ n: 1 });
        await Promise.resolve();
        say({ n: 2 });
      },
      () => ({ n: -1 }),
    );
    expect(response.headers.get('content-type')).toBe('application/x-ndjson');
    expect(await linesOf(response)).toEqual([{ n: 1 }, { n: 2 }]);
  });

  it('ends when who asked is gone before it begins', async () => {
    const response = inLines<{ n: number }>(
      new Request('http://127.0.0.1/', { signal: AbortSignal.abort() }),
      async (say) => say({ n: 1 }),
      () => ({ n: 0 }),
    );
    expect(await response.text()).toBe('');
  });

  it('ends with what was refused, in the person’s words', async () => {
    const response = inLines<unknown>(
      request(),
      async (say) => {
        say('begun');
        throw new ServiceError('empty', 'The file is empty.', 400);
      },
      (error) => error,
    );
    expect(await linesOf(response)).toEqual([
      'begun',
      { code: 'empty', message: 'The file is empty.', status: 400 },
    ]);
  });
});
