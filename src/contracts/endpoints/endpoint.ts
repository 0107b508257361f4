import { z } from 'zod';

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** What an endpoint answers with. */
export type EndpointAnswer =
  | { kind: 'json'; status: 200 | 201; schema: z.ZodType }
  | { kind: 'empty' }
  /** Bytes to be shown or kept. */
  | { kind: 'file' }
  /** A line of JSON as soon as there is something to say. */
  | { kind: 'lines'; schema: z.ZodType };

/** An address of the server with everything that goes in and comes out. */
export interface Endpoint {
  method: Method;
  /** Segments that begin with a colon are parameters. */
  path: string;
  /** What parameters have to be; `id` is a UUID if nothing else is said. */
  params?: Readonly<Record<string, z.ZodType>>;
  query?: z.ZodObject;
  /** JSON, or a file as it is with its name beside it. */
  body?: z.ZodType | 'bytes';
  answer: EndpointAnswer;
  /** Of one that is no GET: whether it stores nothing. */
  reads?: true;
}

type Extras = Pick<Endpoint, 'params' | 'query' | 'body' | 'reads'>;

const endpointBy =
  <M extends Method>(method: M) =>
  <const P extends string, A extends EndpointAnswer, const E extends Extras = object>(
    path: P,
    answer: A,
    extras?: E,
  ): { method: M; path: P; answer: A } & E => ({ method, path, answer, ...(extras as E) });

export const get = endpointBy('GET');
export const post = endpointBy('POST');
export const put = endpointBy('PUT');
export const patch = endpointBy('PATCH');
export const del = endpointBy('DELETE');

export const json = <S extends z.ZodType>(schema: S) =>
  ({ kind: 'json', status: 200, schema }) as const;
export const created = <S extends z.ZodType>(schema: S) =>
  ({ kind: 'json', status: 201, schema }) as const;
export const lines = <S extends z.ZodType>(schema: S) => ({ kind: 'lines', schema }) as const;
export const empty = { kind: 'empty' } as const;
export const file = { kind: 'file' } as const;

type ParamsOf<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? { [K in Name]: string } & ParamsOf<`/${Rest}`>
  : P extends `${string}:${infer Name}`
    ? { [K in Name]: string }
    : unknown;

/** What the client says when it calls an endpoint: parameters by name, the query, the body. */
export type Given<E extends Endpoint> = ParamsOf<E['path']> &
  (E extends { query: infer Q extends z.ZodType } ? { query?: z.input<Q> } : unknown) &
  (E extends { body: infer B extends z.ZodType } ? { body: z.input<B> } : unknown);

/** The same as a handler gets it, parsed. */
export interface Parsed<E extends Endpoint> {
  params: {
    [K in keyof ParamsOf<E['path']>]: E extends { params: infer P }
      ? K extends keyof P
        ? P[K] extends z.ZodType
          ? z.output<P[K]>
          : string
        : string
      : string;
  };
  query: E extends { query: infer Q extends z.ZodType } ? z.output<Q> : undefined;
  body: E extends { body: infer B extends z.ZodType } ? z.output<B> : undefined;
}

/** What the client gets of an endpoint's answer; null for an empty one. */
export type AnswerOf<E extends Endpoint> = E['answer'] extends { schema: infer S extends z.ZodType }
  ? z.output<S>
  : null;

/** The address of an endpoint for what is given. */
export function hrefOf<E extends Endpoint>(endpoint: E, given: Omit<Given<E>, 'body'>): string {
  const values = given as Record<string, unknown>;
  const path = endpoint.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(String(values[name])),
  );
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries((values.query ?? {}) as Record<string, unknown>))
    if (value !== undefined && value !== null) query.set(name, String(value));
  const text = query.toString();
  return text ? `${path}?${text}` : path;
}

/** What lies in a collection, in words. */
const NOUNS: Readonly<Record<string, string>> = {
  studies: 'study',
  pictures: 'picture',
  thumbnails: 'picture',
  libraries: 'library',
  history: 'earlier state',
  folders: 'folder',
  searches: 'search',
  bin: 'library',
  copies: 'copy',
  patterns: 'pattern',
  drawings: 'drawing',
  sessions: 'session',
  snapshots: 'snapshot',
};

/** What is not found where a parameter makes no sense: what lies in the nearest collection before it. */
export function nounAt({ path }: Endpoint, parameter: string): string {
  const before = path.split(`/:${parameter}`)[0].split('/').reverse();
  return before.map((segment) => NOUNS[segment]).find(Boolean) ?? 'page';
}

/** The parameters of a path that an endpoint's fits, still as they stand there; null where it fits not. */
export function matchPath(
  { path }: Endpoint,
  segments: readonly string[],
): Record<string, string> | null {
  const own = path.split('/').slice(1);
  if (own.length !== segments.length) return null;
  const params: Record<string, string> = {};
  for (const [i, name] of own.entries()) {
    if (name.startsWith(':')) params[name.slice(1)] = segments[i];
    else if (name !== segments[i]) return null;
  }
  return params;
}
