import { ServiceError } from '../errors';

/** PostgreSQL's codes for what is damaged on the disk: data_corrupted, index_corrupted, and files that are missing. */
const DAMAGED = ['XX000', 'XX001', 'XX002', '58P01', '58030'];

/** Whether an error says that the store's own files are damaged. */
export function isUnreadable(error: unknown): boolean {
  const { code, cause } = (error ?? {}) as { code?: unknown; cause?: unknown };
  return DAMAGED.includes(String(code)) || (cause ? isUnreadable(cause) : false);
}

export function unreadable(tables: readonly string[]): ServiceError {
  return new ServiceError(
    'unreadable',
    `What is stored of ${tables.join(' and ')} is damaged and can’t be read.`,
    500,
  );
}
