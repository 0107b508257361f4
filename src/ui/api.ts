import { z } from 'zod';
import { errorBodySchema } from '@/contracts/bring-in';

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

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** Calls the server and checks the answer against its contract. Throws a RefusedError. */
export async function call<T extends z.ZodType>(
  method: Method,
  path: string,
  answer: T,
  body?: unknown,
  options: RequestInit = {},
): Promise<z.infer<T>> {
  const response = await send(method, path, JSON.stringify(body), {
    ...options,
    headers: { ...(body !== undefined && { 'content-type': 'application/json' }) },
  });
  return answer.parse(response.status === 204 ? null : await response.json());
}

/** Sends a file as it is, its name beside it. */
export async function sendFile<T extends z.ZodType>(
  path: string,
  file: File,
  answer: T,
): Promise<z.infer<T>> {
  const response = await send('POST', path, file, {
    headers: { 'x-file-name': encodeURIComponent(file.name) },
  });
  return answer.parse(await response.json());
}

/**
 * Calls the server and takes its answer line by line, each checked against its contract, as it
 * comes. Throws a RefusedError, or what `take` throws; the signal's reason when it is aborted.
 */
export async function callInLines<T extends z.ZodType>(
  method: Method,
  path: string,
  line: T,
  signal: AbortSignal,
  take: (event: z.infer<T>) => void,
  body?: unknown,
): Promise<void> {
  const response = await send(method, path, body === undefined ? undefined : JSON.stringify(body), {
    signal,
    headers: { ...(body !== undefined && { 'content-type': 'application/json' }) },
  });
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

async function send(
  method: Method,
  path: string,
  body: BodyInit | undefined,
  options: RequestInit,
): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { ...options, method, body });
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

export const nothing = z.null();
