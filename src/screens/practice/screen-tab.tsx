'use client';

import { formatDistance } from 'date-fns';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import type { CheckedScreen } from './screen-store';
import { screenSentence } from './screen-words';

/** What this screen shows in its room, and what is left out of questions for it. */
export function ScreenTab({
  screen,
  openedAt,
  onCheck,
}: {
  screen: CheckedScreen | null;
  openedAt: number;
  onCheck: () => void;
}) {
  const { settings } = useSettings();
  return (
    <section aria-label="This screen" className="flex max-w-2xl flex-col items-start gap-3">
      {screen === null ? (
        <p>
          This screen wasn’t checked yet. It is, before the first round: near black and near white
          screens show no steps, the brighter the room the fewer.
        </p>
      ) : (
        <>
          <p>{screenSentence(screen, settings.scale)}</p>
          <p className="text-soft">
            Checked {formatDistance(Math.min(screen.at, openedAt), openedAt, { addSuffix: true })}.
          </p>
        </>
      )}
      <p className="text-soft">
        Check it again when the room gets lighter or darker, or on another screen: it is kept in
        this browser alone.
      </p>
      <Button onClick={onCheck}>Check the screen</Button>
    </section>
  );
}
