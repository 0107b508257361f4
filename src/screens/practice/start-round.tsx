'use client';

import Link from 'next/link';
import { useState } from 'react';
import { addressOf } from '@/ui/address';
import { Button } from '@/ui/button';
import { ChooseStudy } from '@/ui/choose-study';
import { Dialog } from '@/ui/dialog';
import { useSettings } from '@/ui/settings';
import { Tick } from '@/ui/tick';
import { practiceCodec } from './practice-view';
import type { CheckedScreen } from './screen-store';

/** What a round is made of, and the button that begins it. */
export function StartRound({
  screen,
  own,
  warmUp,
  minutes,
  onBegin,
}: {
  screen: CheckedScreen | null;
  own: { title: string | null; colours: readonly unknown[] };
  warmUp: { title: string; aim: string } | null;
  minutes: number;
  onBegin: () => void;
}) {
  const { settings, change } = useSettings();
  const [isChoosing, setChoosing] = useState(false);
  const of =
    own.title !== null
      ? `the palette of “${own.title}”`
      : own.colours.length > 0
        ? 'your palettes, and colours like them'
        : 'made-up colours, until there is a palette';
  return (
    <section aria-label="A round" className="flex flex-col gap-2 border border-ink p-4">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Button weight="strong" className="min-h-12 px-8 text-lg" onClick={onBegin}>
          {warmUp ? `Warm up, ${minutes} minutes` : `Begin, ${minutes} minutes`}
        </Button>
        <p className="grow">
          {warmUp && (
            <>
              For “{warmUp.title}”, whose aim is {warmUp.aim}.{' '}
            </>
          )}
          Made of {of}.{screen === null && ' The screen is checked once before it.'}
        </p>
        <Button onClick={() => setChoosing(true)}>Another study …</Button>
      </div>
      <Tick
        checked={settings.eyes === 'no red and green'}
        onChange={(on) => change({ eyes: on ? 'no red and green' : 'all hues' })}
      >
        My eyes don’t part red and green: ask of value and intensity, in colours that I see
      </Tick>
      <Dialog
        open={isChoosing}
        onClose={() => setChoosing(false)}
        title="Whose colours are asked about?"
      >
        <Link
          href="/practice"
          className="mb-2 flex min-h-11 items-center border border-line px-3 underline underline-offset-4"
        >
          All my palettes
        </Link>
        <ChooseStudy
          to={(study) =>
            `/practice?${addressOf(practiceCodec, { ...practiceCodec.initial, study })}`
          }
        />
      </Dialog>
    </section>
  );
}
