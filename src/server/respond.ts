import contentDisposition from 'content-disposition';
import { safeFileName } from '@/core/file-name';
import { FILE_NAME_HEADER, type ErrorBody } from '@/contracts/errors';
import { requireOwnSite } from './access';
import { errorBodyOf } from './errors';

type Handler = (request: Request) => Promise<Response>;

/** Wraps a route handler: whatever it throws becomes a response in one form. */
export function answering(handler: Handler): Handler {
  return async (request) => {
    try {
      requireOwnSite(request.headers);
      return await handler(request);
    } catch (error) {
      const body = errorBodyOf(error);
      return Response.json({ error: body }, { status: body.status });
    }
  };
}

/** The name that a file was sent under; what can't be read of it is as if there were none. */
export function fileNameOf(request: Request, otherwise: string): string {
  try {
    return decodeURIComponent(request.headers.get(FILE_NAME_HEADER) ?? otherwise);
  } catch {
    return otherwise;
  }
}

/**
 * An answer in JSON lines, one as soon as each is said: for work that is followed while it goes on.
 * `refused` makes the last line of whatever is thrown; nobody is told when the asker has gone.
 */
export function inLines<E>(
  request: Request,
  work: (say: (event: E) => void) => Promise<void>,
  refused: (error: ErrorBody) => E,
): Response {
  const encoder = new TextEncoder();
  const { signal } = request;
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (event: E) => {
        if (!signal.aborted) controller.enqueue(encoder.encode(JSON.stringify(event) + '\n'));
      };
      try {
        await work(say);
      } catch (error) {
        if (!signal.aborted) say(refused(errorBodyOf(error)));
      }
      try {
        controller.close();
      } catch {
        // The reader has gone and cancelled it.
      }
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson' } });
}

/** A file name for a download, in any script (RFC 6266). */
export function attachment(fileName: string): string {
  return contentDisposition(safeFileName(fileName, 'file'));
}

/** A file to be kept, never shown by the browser as something of ours. */
export function download(bytes: Uint8Array, mediaType: string, fileName: string): Response {
  const text = mediaType.startsWith('text/') || /json|xml/.test(mediaType);
  return new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': text ? `${mediaType}; charset=utf-8` : mediaType,
      'content-disposition': attachment(fileName),
      'x-content-type-options': 'nosniff',
    },
  });
}

/** Reads a body whole, and stops reading as soon as it is larger than it may be. */
export async function readBody(
  request: Request,
  most: number,
  tooLarge: () => Error,
): Promise<Uint8Array> {
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge();
  const parts: Uint8Array[] = [];
  let size = 0;
  for await (const part of request.body ?? []) {
    size += part.byteLength;
    if (size > most) throw tooLarge();
    parts.push(part);
  }
  return Buffer.concat(parts);
}
