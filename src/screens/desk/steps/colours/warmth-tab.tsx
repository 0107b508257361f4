'use client';

import type { ColourStudy } from '@/core/measure/colour-study';
import { placeWords } from '@/core/picture/place-words';
import { Button } from '@/ui/button';
import { capital } from '@/ui/words';
import { useStepView } from '../../desk-store';
import { Finding, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { zoneNames } from '../../zone-names';
import { coloursView } from './colours-view';
import { warmthSentence } from './colour-sentences';
import { SwatchLine } from '../../panel/swatch-line';

/** How wide the clear place is that an extreme is shown with, as a share of the diagonal. */
const SHOWN = 0.07;

export function temperatureWords(temperature: number): string {
  return `${temperature < 0 ? 'cool' : 'warm'} ${Math.abs(temperature).toFixed(2)}`;
}

/** Where it is warm and where cool; the light against the shadow. */
export function WarmthTab({ reading: { temperature: reading } }: { reading: ColourStudy }) {
  const { mean, light, shadow, warmest, coolest, zones } = reading;
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
        {map ? 'Back to the picture' : 'Map of temperature: the lighter, the warmer'}
      </Button>
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
