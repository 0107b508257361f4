'use client';

import { useState } from 'react';
import { CASTS, WAYS, type Way } from '@/core/amplify/push';
import { withPush } from '@/study/hidden-edits';
import { Choice } from '@/ui/choice';
import { Slider } from '@/ui/slider';
import { percent } from '@/ui/words';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { usePushSettings } from '../../push-settings';
import { useAnswer } from '../../use-answer';
import { Finding, Section, unbroken } from '../../panel/panel-parts';
import { ExportPicture } from './export-picture';
import { calmSentence, guardSentence, lockSentence } from './hidden-sentences';
import { Looks } from './looks';

const TITLES: Record<Way, string> = {
  spread: 'Spread',
  quiet: 'Lift the quiet',
  lift: 'Lift all',
};

/** The three ways to push, what they do to the whole, and what is kept of them. */
export function StrengthenTab() {
  const push = useDocument((document) => document.hidden.push);
  const { change, slide } = useDeskStore().getState();
  return (
    <>
      {/* Room for some warnings, so that the sliders stay under the hand. */}
      <div className="min-h-40">
        <Guards />
      </div>
      <div className="mb-3">
        {[...WAYS].reverse().map((way) => (
          <Slider
            key={way}
            label={TITLES[way]}
            words={percent(push[way])}
            min={0}
            max={1}
            step={0.01}
            value={push[way]}
            onChange={(strength) => {
              slide();
              change((document) => withPush(document, { [way]: strength }), `push ${way}`);
            }}
          />
        ))}
        <Choice
          label="Spread about the cast"
          value={push.cast}
          options={CASTS.map((value) => ({
            value,
            title: { global: 'of the whole', local: 'around each place' }[value],
          }))}
          onChange={(cast) => change((document) => withPush(document, { cast }))}
        />
      </div>
      <Looks />
      <ExportPicture />
    </>
  );
}

/** What the push has done, in sentences: warnings first, then the proof that values are held. */
function Guards() {
  const settings = usePushSettings();
  const sliding = useDesk((state) => state.sliding);
  // While a hand moves, only the picture follows: what is said here stays as it was, and where it was.
  const [rested, setRested] = useState(settings);
  if (!sliding && rested !== settings) setRested(settings);
  const { value: reading, stale } = useAnswer<'guards'>({ kind: 'guards', settings: rested });
  if (!reading) return <Finding>Weighing what the push does …</Finding>;
  const { guards, lock } = reading;
  const [gravest, ...others] = guards.warnings;
  return (
    <Section
      title="In bounds"
      aside={gravest ? `${guards.warnings.length} to mind` : 'nothing to mind'}
    >
      <p
        className="mb-1 font-serif text-[19px] leading-[1.18] text-pretty"
        data-testid="finding"
        data-stale={stale || undefined}
      >
        {unbroken(gravest ? guardSentence(gravest, guards) : calmSentence(guards))}
      </p>
      {others.map((guard) => (
        <p key={guard} className="border-t py-1 text-[15px] leading-snug">
          {unbroken(guardSentence(guard, guards))}
        </p>
      ))}
      <p className="border-t pt-1 text-sm leading-snug text-soft">{lockSentence(lock)}</p>
    </Section>
  );
}
