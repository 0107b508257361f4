import { jest } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { Endpoint } from '@/contracts/endpoints/endpoint';
import { endpoints, type EndpointName } from '@/contracts/endpoints/endpoints';
import { dispatch } from './dispatch';
import type { Handlers } from './handler';
import { handlers as real } from './handlers';

const NAMES = Object.keys(endpoints) as EndpointName[];
const ID = randomUUID();
const ORIGIN = 'http://127.0.0.1:3000';

/** Handlers that do nothing but write down what they are given. */
function recording() {
  const calls: { name: string; params: unknown; query: unknown; body: unknown }[] = [];
  const handlers = Object.fromEntries(
    NAMES.map((name) => [
      name,
      async ({ params, query, body }: { params: unknown; query: unknown; body: unknown }) => {
        calls.push({ name, params, query, body });
        return endpoints[name].answer.kind === 'json' ? { name } : Response.json({ name });
      },
    ]),
  ) as unknown as Handlers;
  return { calls, answer: dispatch(handlers) };
}

/** A path that an endpoint's fits, its parameters as they may be. */
function pathFor({ path, params = {} }: Endpoint): string {
  const examples: Record<string, string> = {
    revision: '3',
    rendition: 'working',
    snapshot: 'one',
    hash: 'a'.repeat(64),
  };
  return path.replace(/:(\w+)/g, (_, name: string) => (name in params ? examples[name] : ID));
}

const ask = (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) =>
  new Request(ORIGIN + path, {
    method,
    headers: { 'content-type': 'application/json', host: '127.0.0.1:3000', ...headers },
    body: body === undefined ? undefined : JSON.stringify(body),
  });
const codeOf = async (response: Response) => (await response.json()).error.code as string;

describe('the server’s one route', () => {
  it('has a handler for every endpoint of the table, and no other', () => {
    expect(Object.keys(real).sort()).toEqual([...NAMES].sort());
  });

  it.each(NAMES.filter((name) => !('body' in endpoints[name])))(
    'comes to %s by its method and path',
    async (name) => {
      const { calls, answer } = recording();
      const response = await answer(ask(endpoints[name].method, pathFor(endpoints[name])));
      expect(response.ok).toBe(true);
      expect(calls.map((call) => call.name)).toEqual([name]);
    },
  );

  it('gives the handler what its contracts make of the request', async () => {
    const { calls, answer } = recording();
    await answer(ask('GET', `/api/libraries/${ID}/history/7`));
    await answer(ask('GET', `/api/studies/${ID}/sheet`));
    await answer(ask('PUT', `/api/libraries/${ID}/favourite`, { favourite: true, other: 1 }));
    expect(calls).toEqual([
      {
        name: 'getLibraryRevision',
        params: { id: ID, revision: 7 },
        query: undefined,
        body: undefined,
      },
      { name: 'printStudy', params: { id: ID }, query: { paper: 'a4' }, body: undefined },
      { name: 'setFavourite', params: { id: ID }, query: undefined, body: { favourite: true } },
    ]);
  });

  it('answers by kind: created, empty, JSON; HEAD as GET', async () => {
    const { answer } = recording();
    expect((await answer(ask('POST', `/api/libraries/${ID}/duplicate`))).status).toBe(201);
    const empty = await answer(ask('DELETE', `/api/studies/${ID}`));
    expect([empty.status, await empty.text()]).toEqual([204, '']);
    expect((await answer(ask('GET', '/api/studies'))).status).toBe(200);
    expect((await answer(ask('HEAD', '/api/studies'))).status).toBe(200);
  });

  it('takes a fixed name before an id', async () => {
    const { calls, answer } = recording();
    await answer(ask('GET', '/api/libraries/zip'));
    expect(calls[0].name).toBe('exportLibraries');
  });

  it.each([
    ['GET', '/api/nowhere', 404, 'not-found'],
    ['GET', '/api/studies/7', 404, 'not-found'],
    ['GET', `/api/libraries/${ID}/history/one`, 404, 'not-found'],
    ['GET', `/api/pictures/${ID}/huge`, 404, 'not-found'],
    ['GET', '/api/studies/%E0%A4%A', 404, 'not-found'],
    ['PATCH', '/api/studies', 405, 'method'],
    ['GET', `/api/studies/${ID}/sheet?paper=parchment`, 400, 'not-as-agreed'],
  ])('refuses %s %s with %i', async (method, path, status, code) => {
    const { calls, answer } = recording();
    const response = await answer(ask(method, path));
    expect([response.status, await codeOf(response)]).toEqual([status, code]);
    expect(calls).toEqual([]);
  });

  it('refuses a body that is no JSON, or not as agreed', async () => {
    const { calls, answer } = recording();
    const path = `/api/libraries/${ID}/favourite`;
    const broken = new Request(ask('PUT', path), { body: '{"favourite"' });
    expect(await codeOf(await answer(broken))).toBe('not-json');
    const wrong = await answer(ask('PUT', path, { favourite: 'yes' }));
    expect((await wrong.json()).error.message).toMatch(/^favourite: /);
    expect(calls).toEqual([]);
  });

  it.each([
    ['another name', { host: 'evil.example:3000' }, 421],
    ['no name', { host: '' }, 421],
    ['a name with an address in it', { host: '127.0.0.1.evil.example' }, 421],
    ['a page of another site', { 'sec-fetch-site': 'cross-site' }, 403],
    ['a page of another port', { 'sec-fetch-site': 'same-site' }, 403],
    ['another origin', { origin: 'http://evil.example' }, 403],
    ['no origin that can be read', { origin: 'null' }, 403],
    ['a broken origin', { origin: 'http://[' }, 403],
  ])('hands nothing out and changes nothing under %s', async (_, headers, status) => {
    const { calls, answer } = recording();
    for (const [method, path] of [
      ['GET', '/api/keep/backup'],
      ['GET', `/api/thumbnails/${ID}`],
      ['DELETE', `/api/studies/${ID}`],
    ])
      expect((await answer(ask(method, path, undefined, headers))).status).toBe(status);
    expect(calls).toEqual([]);
  });

  it.each(['localhost:3000', '[::1]:3000', '192.168.7.20', '127.0.0.1:3000'])(
    'answers under %s',
    async (host) => {
      const { answer } = recording();
      const own = { host, origin: `http://${host}`, 'sec-fetch-site': 'same-origin' };
      expect((await answer(ask('GET', '/api/studies', undefined, own))).status).toBe(200);
    },
  );

  it('tells nothing of the inside of what was not foreseen', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const answer = dispatch({
      ...recording,
      searchStudies: () => Promise.reject(new Error('password=secret')),
    } as unknown as Handlers);
    const response = await answer(ask('GET', '/api/studies'));
    expect(response.status).toBe(500);
    expect(await response.text()).not.toContain('secret');
    log.mockRestore();
  });
});
