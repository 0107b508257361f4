'use client';

import { formatDistance } from 'date-fns';
import { DARK_STEPS, LIGHT_STEPS } from '@/core/drills/screen-check';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { valueWords } from '@/ui/words';
import type { CheckedScreen } from './screen-store';

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
  const words = (value: number) => valueWords(value, settings.scale);
  return (
    <section aria-label="This screen" className="flex max-w-2xl flex-col items-start gap-3">
      {screen === null ? (
        <p>
          This screen wasn’t checked yet. It is, before the first round: near black and near white
          screens show no steps, the brighter the room the fewer.
        </p>
      ) : (
        <>
          <p>
            Checked {formatDistance(Math.min(screen.at, openedAt), openedAt, { addSuffix: true })}{' '}
            in a {screen.room} room. It shows steps from value {words(screen.darkest)} to{' '}
            {words(screen.lightest)}.
          </p>
          <p>
            {screen.darkest <= DARK_STEPS[0] && screen.lightest >= LIGHT_STEPS[0]
              ? 'All that was tried could be told apart: nothing is left out.'
              : 'What is darker or lighter than that is in no question.'}
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
