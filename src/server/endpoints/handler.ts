import { wellFormedText } from '@/core/text';
import { readJson } from '../read-json';
import { requireRoom } from '../room';
import { z } from 'zod';
import type { EndpointName, Endpoints } from '@/contracts/endpoints/endpoints';
import { nounAt, type Endpoint, type Parsed } from '@/contracts/endpoints/endpoint';
import { notFound } from '../errors';

/** What a handler gives for an endpoint's answer: what is sent as JSON, nothing, or a response of its own. */
type Result<E extends Endpoint> = E['answer'] extends {
  kind: 'json';
  schema: infer S extends z.ZodType;
}
  ? z.input<S>
  : E['answer'] extends { kind: 'empty' }
    ? void
    : Response;

export type Handler<E extends Endpoint> = (
  given: Parsed<E> & { request: Request },
) => Promise<Result<E>>;

/** A handler for every endpoint of the table, or of a part of it. */
export type Handlers<N extends EndpointName = EndpointName> = {
  [K in N]: Handler<Endpoints[K]>;
};

/**
 * Parses what was sent by the endpoint's contract, calls its handler and makes a response of the result.
 * A parameter that makes no sense is simply not found. Throws what the handler throws, and ZodErrors.
 */
export async function answerEndpoint<E extends Endpoint>(
  endpoint: E,
  handler: Handler<E>,
  request: Request,
  params: Readonly<Record<string, string>>,
): Promise<Response> {
  if (endpoint.method !== 'GET' && !endpoint.reads)
    await requireRoom(0, endpoint.method === 'DELETE');
  const given = {
    request,
    params: parsedParams(endpoint, params),
    query: endpoint.query?.parse(Object.fromEntries(new URL(request.url).searchParams)),
    body:
      endpoint.body instanceof z.ZodType ? endpoint.body.parse(await readJson(request)) : undefined,
  } as unknown as Parsed<E> & { request: Request };
  const result = await handler(given);
  const { answer } = endpoint;
  if (answer.kind === 'json') return Response.json(result, { status: answer.status });
  return answer.kind === 'empty' ? new Response(null, { status: 204 }) : (result as Response);
}

/** A name in an address, such as a hash or a file's. */
const nameSchema = z
  .string()
  .max(200)
  .refine((name) => wellFormedText(name) === name);

function parsedParams(
  endpoint: Endpoint,
  params: Readonly<Record<string, string>>,
): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(params).map(([name, value]) => {
      const schema = endpoint.params?.[name] ?? (name === 'id' ? z.uuid() : nameSchema);
      const parsed = schema.safeParse(value);
      if (!parsed.success) throw notFound(nounAt(endpoint, name));
      return [name, parsed.data];
    }),
  );
}
