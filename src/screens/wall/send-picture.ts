import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  importEventSchema,
  MAX_BYTES,
  STAGES,
  type ImportEvent,
  type Stage,
} from '@/contracts/picture-import';
import { RefusedError } from '@/ui/api';

export type Outcome = Extract<ImportEvent, { event: 'done' | 'known' }>;

export interface Progress {
  stage: Stage;
  /** 0–1 of the whole way. */
  done: number;
}

/**
 * Sends a picture and follows the server's stages. Throws a RefusedError with the server's sentence,
 * or an AbortError when `signal` stops it.
 */
export function sendPicture(
  file: File,
  onProgress: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<Outcome> {
  if (file.size > MAX_BYTES)
    return Promise.reject(
      new RefusedError(
        'too-many-bytes',
        `The file is larger than ${MAX_BYTES / 1024 / 1024} MB. Nothing was stored. Save it as a JPEG or make it smaller first.`,
        413,
      ),
    );
  return new Promise((resolve, reject) => {
    // XMLHttpRequest, because fetch does not report upload progress.
    const request = new XMLHttpRequest();
    let read = 0;
    const takeLines = () => {
      const end = request.responseText.lastIndexOf('\n') + 1;
      const lines = request.responseText.slice(read, end).split('\n').filter(Boolean);
      read = end;
      for (const line of lines) take(importEventSchema.parse(JSON.parse(line)));
    };
    const take = (event: ImportEvent) => {
      if (event.event === 'stage')
        onProgress({ stage: event.stage, done: STAGES.indexOf(event.stage) / STAGES.length });
      else if (event.event === 'refused')
        reject(new RefusedError(event.error.code, event.error.message, event.error.status));
      else resolve(event);
    };
    request.upload.onprogress = ({ loaded, total }) =>
      onProgress({ stage: 'sending', done: loaded / total / STAGES.length });
    request.onprogress = takeLines;
    request.onload = () => {
      if (request.status === 200) {
        takeLines();
        reject(
          new RefusedError(
            'unforeseen',
            'The server stopped before it was done. Please try again.',
            500,
          ),
        );
      } else reject(refusalIn(request));
    };
    request.onerror = () =>
      reject(
        new RefusedError(
          'unreachable',
          'Bold Prism does not answer, so nothing was stored. Is the server running?',
          0,
        ),
      );
    request.onabort = () => reject(new DOMException('stopped', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.open(endpoints.importPicture.method, hrefOf(endpoints.importPicture, {}));
    request.setRequestHeader('x-file-name', encodeURIComponent(file.name));
    onProgress({ stage: 'sending', done: 0 });
    request.send(file);
  });
}

function refusalIn(request: XMLHttpRequest): RefusedError {
  try {
    const { error } = JSON.parse(request.responseText);
    return new RefusedError(error.code, error.message, request.status);
  } catch {
    return new RefusedError(
      'unforeseen',
      `The server answered ${request.status}. Please try again.`,
      request.status,
    );
  }
}
