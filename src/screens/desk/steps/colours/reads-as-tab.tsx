'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import type { ColourStudy } from '@/core/measure/colour-study';
import { placeWords } from '@/core/picture/place-words';
import { capital } from '@/ui/words';
import { Finding, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { renamed, readsAsSentence } from './colour-sentences';

const MAX_SHOWN = 6;
/** The grey that a patch is shown in beside its surround. */
const GREY = '#777777';

/** What near-neutrals read as in their surround: an estimate. */
export function ReadsAsTab({ reading: { readsAs } }: { reading: ColourStudy }) {
  const reading = renamed(readsAs);
  const [first] = reading;
  return (
    <>
      <Finding focus={first ? { kind: 'masses', which: [first.mass] } : null}>
        {readsAsSentence(reading)}
      </Finding>
      {reading.length > 0 && (
        <Section title="In its surround, and in grey" aside="estimates">
          {reading.slice(0, MAX_SHOWN).map(({ mass, place, colour, surround, reads }) => (
            <Pointing
              key={mass}
              focus={{ kind: 'masses', which: [mass] }}
              className="flex items-center gap-2 border-b py-1.5 text-[15px] leading-tight"
            >
              {[hexFromOklab(surround), GREY].map((ground) => (
                <span
                  key={ground}
                  className="flex h-12 w-12 shrink-0 items-center justify-center"
                  style={{ background: ground }}
                >
                  <span className="h-5 w-5" style={{ background: hexFromOklab(colour) }} />
                </span>
              ))}
              <span>
                {capital(colourName(colour))}, {placeWords(place)}, reads as{' '}
                <em>{colourName(reads)}</em>
              </span>
            </Pointing>
          ))}
        </Section>
      )}
    </>
  );
}
