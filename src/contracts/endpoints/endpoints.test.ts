import fc from 'fast-check';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { hrefOf, matchPath, nounAt, type Endpoint } from './endpoint';
import { endpoints } from './endpoints';

const TABLE: [name: string, endpoint: Endpoint][] = Object.entries(endpoints);
const names = ({ path }: Endpoint) =>
  path
    .split('/')
    .filter((part) => part.startsWith(':'))
    .map((part) => part.slice(1));
const pathOf = (href: string) =>
  new URL(href, 'http://x').pathname.split('/').slice(1).map(decodeURIComponent);

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) return sources(file);
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name) ? [file] : [];
  });
}

describe('the table of endpoints', () => {
  it('has each method and path once', () => {
    const all = TABLE.map(([, { method, path }]) => `${method} ${path.replace(/:\w+/g, ':')}`);
    expect(all.filter((one, i) => all.indexOf(one) !== i)).toEqual([]);
  });

  it.each(TABLE)('makes an address of %s that is taken apart again', (_, endpoint) => {
    // A dot or two as a whole segment mean another folder, in whatever way they are written.
    const value = fc.string({ minLength: 1, unit: 'grapheme' }).filter((s) => !/^\.+$/.test(s));
    fc.assert(
      fc.property(fc.array(value, { minLength: 4, maxLength: 4 }), (values) => {
        const params = Object.fromEntries(names(endpoint).map((name, i) => [name, values[i]]));
        expect(matchPath(endpoint, pathOf(hrefOf(endpoint, params)))).toEqual(params);
      }),
      { numRuns: 30 },
    );
  });

  it('has a name for each parameter that its contracts speak of', () => {
    for (const [, endpoint] of TABLE)
      expect(names(endpoint)).toEqual(expect.arrayContaining(Object.keys(endpoint.params ?? {})));
  });

  it('says in words what is not found where a parameter makes no sense', () => {
    for (const [name, endpoint] of TABLE)
      for (const parameter of names(endpoint))
        expect([name, nounAt(endpoint, parameter)]).not.toContain('page');
    expect(nounAt(endpoints.getPicture, 'rendition')).toBe('picture');
    expect(nounAt(endpoints.getStudyRevision, 'id')).toBe('study');
    expect(nounAt(endpoints.getStudyRevision, 'revision')).toBe('earlier state');
  });

  it('puts what is given into the query, and leaves out what is not', () => {
    expect(hrefOf(endpoints.exportLibraries, { query: { format: 'gpl', ids: 'a,b&c' } })).toBe(
      '/api/libraries/zip?format=gpl&ids=a%2Cb%26c',
    );
    expect(hrefOf(endpoints.exportLibraries, { query: { ids: undefined } })).toBe(
      '/api/libraries/zip',
    );
  });

  it('holds every address: none stands elsewhere in what the browser runs', () => {
    const literal = ['src/screens', 'src/ui'].flatMap((folder) =>
      sources(folder).filter((file) => readFileSync(file, 'utf8').includes('/api/')),
    );
    expect(literal).toEqual([]);
    expect(sources('src/app/api')).toEqual(['src/app/api/[...path]/route.ts']);
  });
});
