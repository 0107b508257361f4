'use client';

import { X } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { intensityShare, intensityWord } from '@/core/colour/intensity';
import { colourName, nameParts } from '@/core/colour/name';
import { oklchFromOklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, wheelOf } from '@/core/colour/wheel';
import type { ColourCluster } from '@/core/picture/colour-clusters';
import type { Probe } from '@/core/picture/probe';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { capital, percent, valueWords } from '@/ui/words';
import { useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { useAnswer } from '../../use-answer';
import { placeOf } from '../../view';
import { coloursView } from './colours-view';
import { Guess } from '../../guess/guess';
import { guessSentence, recordSentence } from '../../guess/guess-sentences';
import { useGuessing } from '../../guess/use-guessing';

/** The three questions of a place that was touched: which family, how light, how intense; and the colours that make it. */
export function PlaceQuestions() {
  const [{ place }, look] = useStepView(coloursView);
  const { settings } = useSettings();
  const { framedArea } = usePicture();
  const area = place && {
    place: placeOf(framedArea({ ...place, radius: 0 })),
    radius: settings.pickRadius,
  };
  const probe = useAnswer<'probe'>(area && { kind: 'probe', ...area });
  const clusters = useAnswer<'clusters'>(area && { kind: 'clusters', ...area });
  const isKnown = !probe.stale && !clusters.stale && clusters.isThere && probe.isThere;
  const found = isKnown ? { probe: probe.value, clusters: clusters.value } : null;
  const guessing = useGuessing(place);
  if (!place)
    return (
      <div className="-mt-1 mb-2 flex items-center justify-between gap-3 text-[15px] leading-tight text-soft">
        <p>Touch a place in the picture to ask it three questions.</p>
        <AskFirst onTurn={guessing.skip} />
      </div>
    );
  return (
    <section aria-label="Three questions" className="mb-3 border border-ink bg-sheet p-3">
      <div className="flex items-start gap-3">
        {!guessing.waits && found?.probe && (
          <span
            className="h-10 w-10 shrink-0"
            style={{ background: hexFromOklab(found.probe.colour) }}
          />
        )}
        <p className="grow font-serif text-lg leading-tight">
          {guessing.waits && 'What do you see there?'}
          {!guessing.waits && !found && 'Asking …'}
          {found && !found.probe && 'There is no picture at this place now.'}
          {!guessing.waits && found?.probe && capital(colourName(found.probe.colour))}
        </p>
        <Button
          weight="quiet"
          aria-label="Done with this place"
          className="-mt-2 -mr-2"
          onClick={() => look({ place: null })}
        >
          <X size={18} aria-hidden />
        </Button>
      </div>
      {guessing.waits && (
        <Guess
          key={`${place.x} ${place.y}`}
          ready={Boolean(found?.probe)}
          onGuess={(answers) => found?.probe && guessing.guess(found.probe.colour, answers)}
          onSkip={guessing.skip}
        />
      )}
      {!guessing.waits && found?.probe && (
        <>
          {guessing.scores && (
            <p className="mt-1 font-serif text-[17px] leading-tight" role="status">
              {guessSentence(guessing.scores, settings.scale)}
            </p>
          )}
          <Answers probe={found.probe} />
          {found.clusters && found.clusters.length > 1 && <Clusters clusters={found.clusters} />}
          {guessing.record && (
            <p className="mt-1 border-t pt-1 text-sm text-soft">
              {recordSentence(guessing.record, settings.scale)}
            </p>
          )}
        </>
      )}
      <AskFirst onTurn={guessing.skip} />
    </section>
  );
}

/** The switch for guessing before a reading. */
function AskFirst({ onTurn }: { onTurn: () => void }) {
  const { settings, change } = useSettings();
  return (
    <label className="flex min-h-10 shrink-0 items-center gap-2 text-[15px] text-ink">
      <input
        type="checkbox"
        className="h-5 w-5 accent-ink"
        checked={settings.askFirst}
        onChange={(event) => {
          // What has been read already is no test any more.
          onTurn();
          change({ askFirst: event.target.checked });
        }}
      />
      Guess first
    </label>
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
function Clusters({ clusters }: { clusters: readonly ColourCluster[] }) {
  return (
    <>
      <div className="mt-1 flex h-7">
        {clusters.map(({ colour, share }, i) => (
          <span key={i} style={{ background: hexFromOklab(colour), width: `${share * 100}%` }} />
        ))}
      </div>
      <ul className="mt-1 text-sm leading-snug">
        {clusters.map(({ colour, share }, i) => (
          <li key={i}>
            {capital(colourName(colour))}, {percent(share)}
          </li>
        ))}
      </ul>
    </>
  );
}
