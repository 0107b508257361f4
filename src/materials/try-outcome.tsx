'use client';

import type { ShelfContent, ShelfTry } from '@/contracts/shelf';
import { missesOf } from '@/study/shelf';
import { useSettings } from '@/ui/settings';
import { missWords } from '@/ui/miss-words';

/** What came of a mixture beside what it was for, and how much nearer it is foretold since. */
export function TryOutcome({
  shelf,
  made,
}: {
  shelf: ShelfContent;
  made: Pick<ShelfTry, 'parts' | 'target' | 'result'>;
}) {
  const { scale } = useSettings().settings;
  if (made.result === null) return <p className="text-sm text-soft">Not tried yet.</p>;
  const misses = missesOf(shelf, made.parts, made.result);
  const words = made.target ? `It came ${missWords(made.target, made.result, scale)}. ` : '';
  return (
    <p className="text-sm text-soft" data-testid="outcome">
      {words}
      {misses &&
        `Foretold within ΔE ${misses.now.toFixed(1)}; ${misses.before.toFixed(1)} before your mixtures corrected the tubes.`}
    </p>
  );
}
