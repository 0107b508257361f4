'use client';

import { X } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { intensityShare, intensityWord } from '@/core/colour/intensity';
import { colourName, nameParts } from '@/core/colour/name';
import { oklchFromOklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, wheelOf } from '@/core/colour/wheel';
import type { Component } from '@/core/picture/components';
import type { Probe } from '@/core/picture/probe';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { capital, percent, valueWords } from '@/ui/words';
import { useDesk, useDeskStore } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { useMeasured } from '../../use-drawn';

/** The three questions of a place that was touched: which family, how light, how intense; and the colours that make it. */
export function AskedPlace() {
  const asked = useDesk((state) => state.view.asked);
  const { look } = useDeskStore().getState();
  const { settings } = useSettings();
  const room = usePicture();
  const key = asked && JSON.stringify([asked, settings.pickRadius, room.framing]);
  const found = useMeasured(key, async (desk) => {
    const place = room.framedArea({ x: asked?.x ?? 0, y: asked?.y ?? 0, radius: 0 });
    return {
      probe: await desk.probe(place, settings.pickRadius),
      components: await desk.components(place, settings.pickRadius),
    };
  });
  if (!asked)
    return (
      <p className="mb-3 text-[15px] text-soft">
        Touch a place in the picture to ask it three questions.
      </p>
    );
  return (
    <section aria-label="Three questions" className="mb-3 border border-ink bg-sheet p-3">
      <div className="flex items-start gap-3">
        {found?.probe && (
          <span
            className="h-10 w-10 shrink-0"
            style={{ background: hexFromOklab(found.probe.colour) }}
          />
        )}
        <p className="grow font-serif text-lg leading-tight">
          {!found && 'Asking …'}
          {found && !found.probe && 'There is no picture at this place now.'}
          {found?.probe && capital(colourName(found.probe.colour))}
        </p>
        <Button
          weight="quiet"
          aria-label="Done with this place"
          className="-mt-2 -mr-2"
          onClick={() => look({ asked: null })}
        >
          <X size={18} aria-hidden />
        </Button>
      </div>
      {found?.probe && <Answers probe={found.probe} />}
      {found?.components && found.components.length > 1 && (
        <Components components={found.components} />
      )}
    </section>
  );
}

function Answers({ probe: { colour, spread } }: { probe: Probe }) {
  const { settings } = useSettings();
  const oklch = oklchFromOklab(colour);
  const family = familyOf(colour, wheelOf(settings.wheel));
  const parts = nameParts(colour);
  const answers = [
    [
      'Which family?',
      `${intensityWord(oklch.C) === 'neutral' ? 'a grey, leaning ' : ''}${family.name}${family.lean > 0.3 ? `, toward ${family.leaning}` : ''}`,
    ],
    ['How light?', `${parts.value}, ${valueWords(valueOfOklab(colour), settings.scale)}`],
    ['How intense?', `${intensityWord(oklch.C)}, ${percent(intensityShare(oklch))} of the most`],
    ['How even?', `spread ${spread.toFixed(1)}`],
  ];
  return (
    <dl className="mt-1 text-[15px]">
      {answers.map(([question, answer]) => (
        <div key={question} className="flex justify-between gap-3 border-t py-1">
          <dt className="text-soft">{question}</dt>
          <dd className="text-right">{answer}</dd>
        </div>
      ))}
    </dl>
  );
}

/** The colours that make the average, as wide as their shares. */
function Components({ components }: { components: readonly Component[] }) {
  return (
    <>
      <div className="mt-1 flex h-7">
        {components.map(({ colour, share }, i) => (
          <span key={i} style={{ background: hexFromOklab(colour), width: `${share * 100}%` }} />
        ))}
      </div>
      <ul className="mt-1 text-sm leading-snug">
        {components.map(({ colour, share }, i) => (
          <li key={i}>
            {capital(colourName(colour))}, {percent(share)}
          </li>
        ))}
      </ul>
    </>
  );
}
