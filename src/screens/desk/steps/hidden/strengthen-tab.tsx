'use client';

import { useState } from 'react';
import { CASTS, WAYS, type Way } from '@/core/amplify/push';
import { withPush } from '@/study/hidden-edits';
import { Choice } from '@/ui/choice';
import { Slider } from '@/ui/slider';
import { percent, several } from '@/ui/words';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { usePushSettings } from '../../push-settings';
import { useAnswer } from '../../use-answer';
import { Finding, Section } from '../../panel/panel-parts';
import { unbroken } from '@/ui/panel-parts';
import { ExportPicture } from './export-picture';
import { calmSentence, guardSentence, lockSentence } from './hidden-sentences';
import { Looks } from './looks';

const TITLES: Record<Way, string> = {
  spread: 'Part the hues',
  quiet: 'Strengthen greys',
  lift: 'Strengthen all',
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
              change((document) => withPush(document, { [way]: strength }), `strengthen ${way}`);
            }}
          />
        ))}
        <Choice
          label="Hues are parted from"
          value={push.cast}
          options={CASTS.map((value) => ({
            value,
            title: { global: 'the overall tint', local: 'the tint around' }[value],
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
  // During a drag only the picture follows: the sentences here change when it rests, so that nothing moves.
  const [rested, setRested] = useState(settings);
  if (!sliding && rested !== settings) setRested(settings);
  const { value: reading, stale } = useAnswer<'guards'>({ kind: 'guards', settings: rested });
  if (!reading) return <Finding>Looking at what it does to the whole …</Finding>;
  const { guards, lock } = reading;
  const [gravest, ...others] = guards.warnings;
  return (
    <Section
      title="In bounds"
      aside={gravest ? several(guards.warnings.length, 'warning') : 'no warnings'}
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
