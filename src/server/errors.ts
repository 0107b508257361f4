import { ZodError } from 'zod';
import type { ErrorBody } from '@/contracts/errors';
import { isClosing } from './closing';

/**
 * The one kind of error that services throw: a code for programs, a sentence for the person (what
 * happened, what was kept, what to do) and the HTTP status it becomes.
 */
export class ServiceError extends Error {
  readonly code: string;
  readonly status: number;
  /** What the client needs to go on, such as the document that is newer. */
  readonly detail: unknown;

  constructor(code: string, sentence: string, status: number, detail?: unknown) {
    super(sentence);
    this.name = 'ServiceError';
    this.code = code;
    this.status = status;
    this.detail = detail;
  }
}

export function notFound(what: string): ServiceError {
  return new ServiceError(
    'not-found',
    `That ${what} isn’t here. It may have been deleted in another window.`,
    404,
  );
}

/** What PostgreSQL's error codes mean to the person. */
const STORE_REFUSALS: Readonly<Record<string, ErrorBody>> = {
  '23503': {
    code: 'gone',
    message: 'Something that this belongs to is no longer here. Nothing was changed.',
    status: 409,
  },
  '23505': {
    code: 'double',
    message: 'This is here already. Nothing was changed.',
    status: 409,
  },
};

/** Values that no column holds: out of range, not of its type, or not text (classes 22 and 54). */
const OUT_OF_BOUNDS: ErrorBody = {
  code: 'not-as-agreed',
  message: 'Something that was sent is out of bounds. Nothing was changed.',
  status: 400,
};

const NO_ROOM: ErrorBody = {
  code: 'no-room',
  message: 'There is no room left on the disk. Nothing was changed; free some space and try again.',
  status: 507,
};

/** What a refusal of the store or of the disk means; null for anything else. */
function storeRefusal(error: unknown): ErrorBody | null {
  const { code, cause } = (error ?? {}) as { code?: unknown; cause?: unknown };
  if (code === 'ENOSPC' || code === 'EDQUOT' || code === '53100') return NO_ROOM;
  if (typeof code === 'string' && /^[0-9][0-9A-Z]{4}$/.test(code))
    return STORE_REFUSALS[code] ?? (/^(?:22|54)/.test(code) ? OUT_OF_BOUNDS : null);
  return cause ? storeRefusal(cause) : null;
}

/** The body of the answer to any thrown value; an unforeseen error is logged, and answered without its message. */
export function errorBodyOf(error: unknown): ErrorBody & { detail?: unknown } {
  if (error instanceof ServiceError)
    return { code: error.code, message: error.message, status: error.status, detail: error.detail };
  if (error instanceof ZodError) {
    const issue = error.issues[0];
    const where = issue.path.join(' › ');
    return {
      code: 'not-as-agreed',
      message: where ? `${where}: ${issue.message}` : issue.message,
      status: 400,
    };
  }
  const refused = storeRefusal(error);
  if (refused) return refused;
  // By name: a body is parsed in another realm under some runtimes.
  if ((error as { name?: unknown } | null)?.name === 'SyntaxError')
    return { code: 'not-json', message: 'What was sent is not JSON.', status: 400 };
  if (isClosing())
    return {
      code: 'closing',
      message:
        'Bold Prism is closing, so this was not done. Nothing of it was stored; try again when it runs.',
      status: 503,
    };
  console.error(error);
  return {
    code: 'unforeseen',
    message:
      'Something went wrong that we did not foresee. What was saved before is kept; please try again.',
    status: 500,
  };
}
