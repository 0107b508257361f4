'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { greyOfValue } from '@/core/picture/value-map';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/core/colour/value-scale';
import { capital, percent, valueWords } from '@/ui/words';
import { useAnswer } from '../../use-answer';
import { Finding, Section } from '../../panel/panel-parts';
import { greysSentence } from './greys-sentence';
import { Pointing } from '../../panel/pointing';

const MIN_LISTED = 0.0005;

/** Lightness is not brightness: which colours a brightness number would mislead about. */
export function GreysTab() {
  const { settings } = useSettings();
  const step = stepOf(settings.scale);
  const { value: reading, stale } = useAnswer<'brightness'>({ kind: 'brightness', steps: step });
  if (!reading) return <Finding>Comparing the two greys …</Finding>;
  const causes = reading.causes.filter(({ share }) => share >= MIN_LISTED);
  return (
    <>
      <Finding
        stale={stale}
        focus={causes[0] ? { kind: 'misled', family: causes[0].family } : null}
      >
        {greysSentence(reading, settings.scale)}
      </Finding>
      <p className="mb-3 text-[15px] text-soft">
        True grey is how light a colour looks; misleading grey is its largest channel, which many
        programs show. Where the two differ by more than a step they are hatched.
      </p>
      {causes.length > 0 && (
        <Section title="What causes it" aside="true grey, misleading grey">
          {causes.map(({ family, share, colour, value, byBrightness }) => (
            <Pointing
              key={family}
              focus={{ kind: 'misled', family }}
              className="flex items-center gap-2 border-b text-[15px]"
            >
              <span className="h-8 w-8 shrink-0" style={{ background: hexFromOklab(colour) }} />
              <span className="grow leading-tight">
                {capital(family)} <span className="text-soft">{percent(share)}</span>
              </span>
              {[value, byBrightness].map((one, i) => {
                const grey = greyOfValue(one);
                return (
                  <span key={i} className="flex shrink-0 items-center gap-1">
                    <span
                      className="h-8 w-5"
                      style={{ background: `rgb(${grey} ${grey} ${grey})` }}
                    />
                    {valueWords(one, settings.scale)}
                  </span>
                );
              })}
            </Pointing>
          ))}
        </Section>
      )}
    </>
  );
}
