'use client';

import type { ColourStudy } from '@/core/measure/colour-study';
import { placeWords } from '@/core/picture/place-words';
import { Button } from '@/ui/button';
import { capital } from '@/ui/words';
import { hexFromOklab } from '@/core/colour/hex';
import { shortName } from '@/core/colour/name';
import { useStepView } from '../../desk-store';
import { useColourAt } from '../../pair-of-places';
import { Finding, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { zoneNames } from '../../zone-names';
import { coloursView } from './colours-view';
import { leanWords, pairSentence, warmthSentence } from './colour-sentences';
import { SwatchLine } from '../../panel/swatch-line';

const MAX_PAIRS = 4;
/** How wide the clear place is that an extreme is shown with, as a share of the diagonal. */
const SHOWN = 0.07;

export function temperatureWords(temperature: number): string {
  return `${temperature < 0 ? 'cool' : 'warm'} ${Math.abs(temperature).toFixed(2)}`;
}

/** Where it is warm and where cool; the light against the shadow. */
export function WarmthTab({ reading: { temperature: reading } }: { reading: ColourStudy }) {
  const { mean, light, shadow, warmest, coolest, zones, pairs } = reading;
  const [{ warmthMap: map }, look] = useStepView(coloursView);
  const names = zoneNames(zones.length);
  const sides = [
    ['light', light],
    ['shadow', shadow],
  ] as const;
  return (
    <>
      <Finding>{warmthSentence(reading)}</Finding>
      <Button
        aria-pressed={map}
        className="mb-3 w-full aria-pressed:bg-ink aria-pressed:text-sheet"
        onClick={() => look({ warmthMap: !map })}
      >
        {map ? 'Back to the picture' : 'Map of temperature'}
      </Button>
      {map && (
        <p className="-mt-1 mb-3 text-[15px] leading-tight text-soft">
          Orange is warmer than the picture’s mean, blue cooler; all of it is of one value.
        </p>
      )}
      {pairs.length > 0 && (
        <Section title="One colour in both lights" aside="the light is">
          {pairs.slice(0, MAX_PAIRS).map(({ light, shadow, masses, lean }) => (
            <SwatchLine
              key={masses.join()}
              focus={{ kind: 'masses', which: masses }}
              colours={[light.colour, shadow.colour]}
              aside={leanWords(lean)}
            >
              {capital(shortName(light.colour))}, {placeWords(light)}
            </SwatchLine>
          ))}
        </Section>
      )}
      <OwnPair />
      <Section title="The ends" aside="temperature">
        {[warmest, coolest].map(({ x, y, colour, temperature }, i) => (
          <SwatchLine
            key={i}
            focus={{ kind: 'place', x, y, radius: SHOWN }}
            colours={[colour]}
            aside={temperatureWords(temperature)}
          >
            {i === 0 ? 'Warmest' : 'Coolest'}, {placeWords({ x, y })}
          </SwatchLine>
        ))}
      </Section>
      <Section title="Light and shadow" aside={`all of it: ${temperatureWords(mean)}`}>
        {sides.map(
          ([side, temperature]) =>
            temperature !== null && (
              <Pointing
                key={side}
                focus={{ kind: 'side', side }}
                className="flex items-center justify-between border-b text-[15px]"
              >
                <span>{capital(side)}</span>
                <span>{temperatureWords(temperature)}</span>
              </Pointing>
            ),
        )}
      </Section>
      <Section title="By value zone" aside="dark at the foot">
        {zones
          .map((temperature, index) => ({ temperature, index }))
          .reverse()
          .map(({ temperature, index }) => (
            <Pointing
              key={index}
              focus={{ kind: 'zone', index }}
              className="flex items-center justify-between border-b text-[15px]"
            >
              <span>{capital(names[index])}</span>
              <span>{temperature === null ? 'empty' : temperatureWords(temperature)}</span>
            </Pointing>
          ))}
      </Section>
    </>
  );
}

/** Two places that a person holds to be one colour, in the light and in the shadow. */
function OwnPair() {
  const [{ choosesPair, pair }, look] = useStepView(coloursView);
  const colours = [useColourAt(pair[0]), useColourAt(pair[1])].slice(0, pair.length);
  if (!choosesPair)
    return (
      <Button className="mb-3 w-full" onClick={() => look({ choosesPair: true, pair: [] })}>
        A pair of your own …
      </Button>
    );
  const [one, other] = colours;
  return (
    <Section title="A pair of your own">
      {colours.map((colour, i) => (
        <p key={i} className="flex min-h-10 items-center gap-2 border-b text-[15px] leading-tight">
          <b>{i === 0 ? 'A' : 'B'}</b>
          {colour && (
            <span className="h-8 w-8 shrink-0" style={{ background: hexFromOklab(colour) }} />
          )}
          <span>{colour ? capital(shortName(colour)) : '…'}</span>
        </p>
      ))}
      <p className="py-2 font-serif text-lg leading-snug" data-testid="own-pair">
        {one && other
          ? pairSentence(one, other)
          : pair.length === 0
            ? 'Touch one colour where it is lit, then where it is in shadow.'
            : pair.length === 1
              ? 'Now touch it on the other side of the light.'
              : '…'}
      </p>
      <Button weight="quiet" onClick={() => look({ choosesPair: false, pair: [] })}>
        Leave the pair
      </Button>
    </Section>
  );
}
