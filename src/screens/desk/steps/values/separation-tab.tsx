'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { colourName, shortName } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { separationOf, type Merging } from '@/core/measure/separation';
import { placeWords } from '@/core/picture/place-words';
import { greyOfValue } from '@/core/picture/value-map';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Button } from '@/ui/button';
import { stepOf } from '@/core/colour/value-scale';
import { capital, stepWords, valueWords } from '@/ui/words';
import { useDocument, useStepView } from '../../desk-store';
import { useColourAt } from '../../pair-of-places';
import { useAnswer } from '../../use-answer';
import { valuesView } from './values-view';
import { Finding, Section } from '../../panel/panel-parts';
import { LensChoice } from './lens-choice';
import { mergingSentence, separationSentence } from './separation-sentence';
import { Pointing } from '../../panel/pointing';
import { zoneNames } from '../../zone-names';

const MAX_LISTED = 8;

/** Whether neighbours hold apart, in colour and in grey. */
export function SeparationTab() {
  const squint = useDocument((document) => document.values.squint);
  const { settings } = useSettings();
  const { value: reading, stale } = useAnswer<'separation'>({
    kind: 'separation',
    squint,
    steps: stepOf(settings.scale) / 2,
  });
  const [between, setBetween] = useState<'places' | 'zones'>('places');
  return (
    <>
      <Finding
        stale={stale}
        focus={reading?.merging[0] ? { kind: 'masses', which: reading.merging[0].pair } : null}
      >
        {reading ? mergingSentence(reading.merging, reading.masses) : 'Looking for the masses …'}
      </Finding>
      <LensChoice />
      <Section
        title="Are these two separate?"
        aside={
          <Choice
            label="Between"
            showLabel={false}
            value={between}
            options={[
              { value: 'places', title: 'places' },
              { value: 'zones', title: 'zones' },
            ]}
            onChange={setBetween}
          />
        }
      >
        {between === 'places' ? <TwoPlaces /> : <TwoZones />}
      </Section>
      {reading && reading.merging.length > 0 && <MergingList merging={reading.merging} />}
    </>
  );
}

function TwoPlaces() {
  const [{ pair }, look] = useStepView(valuesView);
  const { settings } = useSettings();
  const colours = [useColourAt(pair[0]), useColourAt(pair[1])].slice(0, pair.length);
  if (pair.length === 0)
    return <p className="py-2 text-soft">Touch two places in the picture, one after the other.</p>;
  const [one, other] = colours;
  return (
    <>
      {pair.map((_, i) => (
        <Place key={i} letter={i === 0 ? 'A' : 'B'} colour={colours[i] ?? null} />
      ))}
      {one && other ? (
        <p className="py-2 font-serif text-lg leading-snug" data-testid="separation">
          {separationSentence(separationOf(one, other), settings.scale)}
        </p>
      ) : (
        <p className="py-2 text-soft">{pair.length === 1 ? 'Touch the second place.' : '…'}</p>
      )}
      <Button weight="quiet" onClick={() => look({ pair: [] })}>
        Two other places
      </Button>
    </>
  );
}

function Place({ letter, colour }: { letter: string; colour: Oklab | null }) {
  const { settings } = useSettings();
  if (!colour)
    return <p className="flex min-h-10 items-center border-b">{letter}: no picture here</p>;
  const value = valueOfOklab(colour);
  const grey = greyOfValue(value);
  return (
    <p className="flex min-h-10 items-center gap-2 border-b text-[15px] leading-tight">
      <b>{letter}</b>
      <span className="h-8 w-8 shrink-0" style={{ background: hexFromOklab(colour) }} />
      <span className="h-8 w-8 shrink-0" style={{ background: `rgb(${grey} ${grey} ${grey})` }} />
      <span className="min-w-0 grow">{colourName(colour)}</span>
      <span>{valueWords(value, settings.scale)}</span>
    </p>
  );
}

function TwoZones() {
  const values = useDocument((document) => document.values);
  const { settings } = useSettings();
  const reading = useAnswer<'values'>({ kind: 'values', settings: values, quick: false }).value;
  const bodies = useAnswer<'zoneBodies'>({ kind: 'zoneBodies', settings: values }).value;
  const [chosen, setChosen] = useState<number[]>([]);
  if (!reading || bodies?.length !== reading.zones.length)
    return <p className="py-2 text-soft">Reading the zones …</p>;
  const names = zoneNames(bodies.length);
  const [one, other] = chosen.map((index) => bodies[index]?.colour ?? null);
  return (
    <>
      {bodies.map(({ colour }, index) => (
        <button
          key={index}
          type="button"
          aria-pressed={chosen.includes(index)}
          disabled={!colour}
          onClick={() =>
            setChosen((was) =>
              was.includes(index) ? was.filter((i) => i !== index) : [...was, index].slice(-2),
            )
          }
          className={`flex min-h-10 w-full items-center gap-2 border-b text-left text-[15px] hover:bg-faint ${chosen.includes(index) ? 'font-semibold underline' : ''}`}
        >
          <span
            className="h-7 w-10 shrink-0 border border-line"
            style={{ background: colour ? hexFromOklab(colour) : undefined }}
          />
          <span className="grow">{names[index]}</span>
          <span>{valueWords(reading.zones[index].mean, settings.scale)}</span>
        </button>
      ))}
      <p className="py-2 font-serif text-lg leading-snug" data-testid="separation">
        {one && other
          ? separationSentence(separationOf(one, other), settings.scale)
          : 'Choose two zones.'}
      </p>
    </>
  );
}

function MergingList({ merging }: { merging: readonly Merging[] }) {
  const { settings } = useSettings();
  return (
    <Section title="Merging in value" aside="under half a step">
      {merging.slice(0, MAX_LISTED).map(({ one, other, pair, steps, place }) => (
        <Pointing
          key={pair.join()}
          focus={{ kind: 'masses', which: pair }}
          className="flex items-center gap-2 border-b py-1"
        >
          <span className="flex shrink-0">
            <span className="h-9 w-6" style={{ background: hexFromOklab(one.colour) }} />
            <span className="h-9 w-6" style={{ background: hexFromOklab(other.colour) }} />
          </span>
          <span className="text-[15px] leading-tight">
            {capital(shortName(one.colour))} and {shortName(other.colour)}, {placeWords(place)}:{' '}
            {stepWords(steps, settings.scale)}
          </span>
        </Pointing>
      ))}
      {merging.length > MAX_LISTED && (
        <p className="py-2 text-sm text-soft">and {merging.length - MAX_LISTED} smaller ones</p>
      )}
    </Section>
  );
}
