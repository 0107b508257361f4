'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { MoodSettings } from '@/core/transfer/moods';
import { unbroken } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { capital } from '@/ui/words';
import { useMoodEffect } from './use-mood-effect';
import { moodClause } from './use-sentences';

/** The palette of a mood, and what it changes, below its picture. */
export function MoodFacts({ settings }: { settings: MoodSettings }) {
  const { scale } = useSettings().settings;
  const { value } = useMoodEffect(settings);
  return (
    <div className="h-[5.75rem] overflow-hidden bg-panel" data-testid="mood-facts">
      <span aria-hidden className="flex h-4">
        {value?.palette.map(({ colour, share }, i) => (
          <span
            key={i}
            style={{ background: hexFromOklab(colour), flexGrow: Math.max(0.04, share) }}
          />
        ))}
      </span>
      <p className="px-2 py-1 text-sm leading-tight">
        {value ? unbroken(capital(moodClause(value, scale))) : 'Changing the light …'}
      </p>
    </div>
  );
}
