import { mistakesOf, type Mistake } from '@/core/session/mistakes';
import type { SessionContent } from '@/contracts/session';

/** What the newest check of a session against its model found, without what was excused; null without such a check. */
export function sessionMistakes({ checks }: SessionContent): Mistake[] | null {
  const check = checks.findLast(
    ({ finding, against }) => finding !== null && against.kind === 'model',
  );
  if (!check?.finding) return null;
  return mistakesOf(
    check.finding,
    check.excused.map(({ id }) => id),
  );
}
