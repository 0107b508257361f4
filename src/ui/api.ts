import { z } from 'zod';
import { hrefOf, type AnswerOf, type Endpoint, type Given } from '@/contracts/endpoints/endpoint';
import { errorBodySchema, FILE_NAME_HEADER } from '@/contracts/errors';

const answerSchema = z.object({
  error: errorBodySchema.extend({ detail: z.unknown().optional() }),
});

/** What the server refused, or that it could not be reached (`code: 'unreachable'`, status 0). */
export class RefusedError extends Error {
  readonly code: string;
  readonly status: number;
  readonly detail: unknown;

  constructor(code: string, message: string, status: number, detail?: unknown) {
    super(message);
    this.name = 'RefusedError';
    this.code = code;
    this.status = status;
    this.detail = detail;
  }
}

/**
 * Calls an endpoint and checks the answer against its contract; null for an empty answer. Throws a
 * RefusedError.
 */
export async function call<E extends Endpoint>(
  endpoint: E,
  given: Given<E>,
  options: RequestInit = {},
): Promise<AnswerOf<E>> {
  const response = await send(endpoint, given, JSON.stringify(bodyIn(given)), options);
  const { answer } = endpoint;
  return (
    answer.kind === 'json' ? answer.schema.parse(await response.json()) : null
  ) as AnswerOf<E>;
}

/** Calls an endpoint that answers with a file. Throws a RefusedError. */
export async function callForFile<E extends Endpoint & { answer: { kind: 'file' } }>(
  endpoint: E,
  given: Given<E>,
  options: RequestInit = {},
): Promise<Blob> {
  const response = await send(endpoint, given, JSON.stringify(bodyIn(given)), options);
  return response.blob();
}

/** Sends a file as it is, its name beside it. */
export async function sendFile<E extends Endpoint & { body: 'bytes' }>(
  endpoint: E,
  given: Given<E>,
  file: File,
  options: RequestInit = {},
): Promise<AnswerOf<E>> {
  const response = await send(endpoint, given, file, {
    ...options,
    headers: { [FILE_NAME_HEADER]: encodeURIComponent(file.name) },
  });
  const { answer } = endpoint;
  return (
    answer.kind === 'json' ? answer.schema.parse(await response.json()) : null
  ) as AnswerOf<E>;
}

/**
 * Calls an endpoint and takes its answer line by line, each checked against its contract, as it comes.
 * Throws a RefusedError, or what `take` throws; the signal's reason when it is aborted.
 */
export async function callInLines<
  E extends Endpoint & { answer: { kind: 'lines'; schema: z.ZodType } },
>(
  endpoint: E,
  given: Given<E>,
  signal: AbortSignal,
  take: (event: AnswerOf<E>) => void,
): Promise<void> {
  const line = endpoint.answer.schema as z.ZodType<AnswerOf<E>>;
  const response = await send(endpoint, given, JSON.stringify(bodyIn(given)), { signal });
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value = '' } = (await reader?.read().catch((error: unknown) => {
      throw signal.aborted ? error : brokenOff();
    })) ?? { done: true };
    const lines = (rest + value).split('\n');
    rest = lines.pop() as string;
    for (const text of lines) if (text) take(line.parse(JSON.parse(text)));
    if (!done) continue;
    if (rest) take(line.parse(wholeJson(rest)));
    return;
  }
}

function bodyIn(given: unknown): unknown {
  return (given as { body?: unknown }).body;
}

/** The last line, which has no end of its own to tell that it is whole. */
function wholeJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw brokenOff();
  }
}

function brokenOff(): RefusedError {
  return new RefusedError(
    'unreachable',
    'Bold Prism stopped answering halfway. Your work is kept in this window; is the server running? Then try again.',
    0,
  );
}

async function send<E extends Endpoint>(
  endpoint: E,
  given: Given<E>,
  body: BodyInit | undefined,
  options: RequestInit,
): Promise<Response> {
  const json: HeadersInit = typeof body === 'string' ? { 'content-type': 'application/json' } : {};
  let response: Response;
  try {
    response = await fetch(hrefOf(endpoint, given), {
      ...options,
      method: endpoint.method,
      body,
      headers: { ...json, ...options.headers },
    });
  } catch {
    throw new RefusedError(
      'unreachable',
      'Bold Prism does not answer. Your work is kept in this window; is the server running?',
      0,
    );
  }
  if (response.ok) return response;
  const parsed = answerSchema.safeParse(await response.json().catch(() => null));
  if (!parsed.success)
    throw new RefusedError(
      'unforeseen',
      `The server answered ${response.status} without saying why. Please try again.`,
      response.status,
    );
  const { code, message, status, detail } = parsed.data.error;
  throw new RefusedError(code, message, status, detail);
}
