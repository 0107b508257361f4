import { jest } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import { hrefOf, type Endpoint } from '@/contracts/endpoints/endpoint';
import { endpoints, type EndpointName } from '@/contracts/endpoints/endpoints';
import { dispatch } from './endpoints/dispatch';
import { handlers } from './endpoints/handlers';
import { checkStore } from './keep/check';
import { createFolder } from './libraries/folders';
import { createLibrary } from './libraries/libraries';
import { importPicture } from './pictures/import-picture';
import { readingsAreMade } from './readings/refresh';
import { getStudy } from './studies/studies';
import { listStudies } from './studies/study-cards';
import { ownDataFolder } from './testing/data-folder';
import { someLibrary } from './testing/many-libraries';
import { arbitraryOf, hostile, spoilt } from './testing/schema-arbitrary';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

/** Requests in all; PRISM_FUZZ_REQUESTS makes more of them. What differs on a server is the store alone. */
const REQUESTS = Number(
  process.env.PRISM_FUZZ_REQUESTS ?? (process.env.PRISM_TEST_DATABASE_URL ? 1000 : 4000),
);
/** Of the processor's time: what else the machine does says nothing of a request. */
const MAX_MILLISECONDS = 2000;
/** Endpoints that do all there is to do at each call: tried less often. */
const HEAVY: readonly EndpointName[] = [
  ...(['getBackup', 'checkStore', 'makeCopy', 'pushStudy', 'printStudy', 'printLibrary'] as const),
  ...(['exportLibraries', 'importPicture', 'readLibraryFile', 'receiveBackup'] as const),
];
/** It paints whole pictures of its own: who asks is gone before the first is there. What it makes has tests of its own. */
const GONE_AT_ONCE: readonly EndpointName[] = ['startDemo'];

let end: () => Promise<void>;
let data: Awaited<ReturnType<typeof ownDataFolder>>;
const ids: string[] = [];
let document: unknown;

beforeAll(async () => {
  data = await ownDataFolder();
  end = await freshDatabase();
  await importPicture(await redAndBlue(60).png().toBuffer(), 'Wall.png');
  await readingsAreMade();
  const [{ id, pictureId }] = await listStudies();
  ({ document } = await getStudy(id));
  ids.push(id, pictureId, (await createLibrary(someLibrary(1, 4), id)).id);
  ids.push(await createFolder('Plates'));
}, 120_000);
afterAll(async () => {
  await end();
  await data.remove();
});

const answer = dispatch(handlers);

/** A parameter: of something that is here, of nothing, or none at all. */
const parameter = fc.oneof(
  { weight: 4, arbitrary: fc.nat().map((n) => ids[n % ids.length]) },
  fc.uuid(),
  fc.constantFrom('1', '2', 'original', 'working', 'thumbnail', '0', '-1', '99999999999', '%00'),
  fc.string({ unit: 'grapheme', minLength: 1, maxLength: 8 }).filter((s) => !/^\.+$/.test(s)),
);

const body = (schema: z.ZodType) =>
  fc.tuple(arbitraryOf(schema), fc.nat(), hostile, fc.nat(9)).map(([value, pick, by, kind]) => {
    const whole = {
      ...(value as object),
      ...(kind > 5 && typeof value === 'object' && 'document' in (value as object) && { document }),
    };
    return JSON.stringify(kind < 2 ? value : spoilt(whole, pick, by));
  });

const bytes = fc.oneof(
  fc.constantFrom('{"', '[['.repeat(5000), 'null', '', '\ud83d', '#ff0000 red\n#00f', 'a,b\n1,2'),
  fc.string({ unit: 'binary', maxLength: 400 }),
);

interface Shot {
  url: string;
  method: string;
  body: string | undefined;
}

function shots(endpoint: Endpoint): fc.Arbitrary<Shot> {
  const names = [...endpoint.path.matchAll(/:(\w+)/g)].map(([, name]) => name);
  const params = fc.record(Object.fromEntries(names.map((name) => [name, parameter])));
  const query = endpoint.query
    ? fc.oneof(arbitraryOf(endpoint.query), fc.dictionary(fc.string(), fc.string(), { maxKeys: 2 }))
    : fc.constant({});
  const content: fc.Arbitrary<string | undefined> =
    endpoint.body instanceof z.ZodType
      ? fc.oneof({ weight: 6, arbitrary: body(endpoint.body) }, bytes)
      : endpoint.body === 'bytes'
        ? bytes
        : fc.constant(undefined);
  return fc.tuple(params, query, content).map(([given, query, body]) => ({
    url: `http://127.0.0.1:3000${hrefOf(endpoint, { ...given, query } as never)}`,
    method: endpoint.method,
    body,
  }));
}

describe('every endpoint, whatever it is sent', () => {
  const names = Object.keys(endpoints) as EndpointName[];
  const each = Math.ceil(REQUESTS / (names.length - HEAVY.length * 0.9));
  const slow: string[] = [];
  let sent = 0;
  const statuses = new Map<number, number>();

  it.each(names)(
    '%s answers in time, with what is sent for or with what is wrong',
    async (name) => {
      const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
      await fc.assert(
        fc.asyncProperty(shots(endpoints[name]), async ({ url, method, body }) => {
          sent++;
          const begun = process.cpuUsage();
          const response = await answer(
            new Request(url, {
              method,
              body,
              signal: GONE_AT_ONCE.includes(name) ? AbortSignal.abort() : undefined,
              headers: { host: '127.0.0.1:3000', 'content-type': 'application/json' },
            }),
          );
          const text = await response.text();
          statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
          const { user, system } = process.cpuUsage(begun);
          const took = (user + system) / 1000;
          if (took > MAX_MILLISECONDS) slow.push(`${name} took ${Math.round(took)} ms`);
          // Readings and bundles that a later line says are whole begin with 200 as well.
          expect([response.status < 500, text.includes('"unforeseen"')]).toEqual([true, false]);
        }),
        { numRuns: HEAVY.includes(name) ? Math.ceil(each / 10) : each, endOnFailure: true },
      );
      log.mockRestore();
    },
    600_000,
  );

  it('has all been asked', () => {
    expect(sent).toBeGreaterThanOrEqual(REQUESTS);
    // It reaches the services, and not only the refusals before them.
    const found = [...statuses].filter(([status]) => status < 300);
    expect(found.reduce((sum, [, count]) => sum + count, 0)).toBeGreaterThan(REQUESTS / 4);
    expect(slow).toEqual([]);
    if (process.env.PRISM_FUZZ_REQUESTS) process.stdout.write(JSON.stringify([...statuses]));
  });

  it('leaves the store whole', async () => {
    await readingsAreMade();
    expect((await checkStore()).problems).toEqual([]);
  });
});
