'use client';

import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { CHROMA_COLUMNS, VALUE_ROWS } from '@/core/measure/chroma';
import type { ColourStudy } from '@/core/measure/colour-study';
import { placeWords } from '@/core/picture/place-words';
import { shortName } from '@/core/colour/name';
import { capital, percent } from '@/ui/words';
import { Finding, Section } from '../panel-parts';
import { Pointing } from '../pointing';
import { chromaSentence } from './colour-sentences';
import { SwatchLine } from './swatch-line';

/** How strong it is, and where the saturation lives. */
export function ChromaAspect({ reading }: { reading: ColourStudy['chroma'] }) {
  const { words, byLight, accents } = reading;
  const [accent] = accents;
  const parts = [
    ['light', byLight.light],
    ['half-tone', byLight.halfTone],
    ['edge of shadow', byLight.shadowEdge],
    ['shadow', byLight.shadow],
  ] as const;
  return (
    <>
      <Finding focus={accent ? { kind: 'place', x: accent.x, y: accent.y, radius: 0.06 } : null}>
        {chromaSentence(reading)}
      </Finding>
      <Section title="By intensity" aside="share">
        {INTENSITY_WORDS.map((word) => (
          <Pointing
            key={word}
            focus={{ kind: 'word', word }}
            className="flex items-center gap-2 border-b text-[15px]"
          >
            <span className="w-20">{capital(word)}</span>
            <span className="h-3 grow">
              <span className="block h-3 bg-ink" style={{ width: `${words[word] * 100}%` }} />
            </span>
            <span className="w-18 text-right">{percent(words[word])}</span>
          </Pointing>
        ))}
      </Section>
      <Section title="Along the turn of the light" aside="mean chroma">
        <table className="w-full text-center text-sm">
          <thead>
            <tr>
              {parts.map(([title]) => (
                <th key={title} className="font-normal text-soft">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              {parts.map(([title, chroma]) => (
                <td key={title}>{chroma === null ? 'none' : chroma.toFixed(3)}</td>
              ))}
            </tr>
          </tbody>
        </table>
      </Section>
      <Section title="Chroma against value" aside={`median chroma ${reading.p50.toFixed(3)}`}>
        <Density density={reading.density} />
      </Section>
      {accents.length > 0 && (
        <Section title="Accents" aside="share">
          {accents.map(({ x, y, share, colour }, i) => (
            <SwatchLine
              key={i}
              focus={{ kind: 'place', x, y, radius: 0.06 }}
              colours={[colour]}
              aside={percent(share)}
            >
              {capital(shortName(colour))}, {placeWords({ x, y })}
            </SwatchLine>
          ))}
        </Section>
      )}
    </>
  );
}

const CELL = 25;
const ROW = 9;

/** How much of the picture there is at each value (light at the top) and chroma (neutral to the left). */
function Density({ density }: { density: readonly (readonly number[])[] }) {
  const most = Math.max(1e-9, ...density.flat());
  return (
    <svg
      role="img"
      aria-label="Chroma against value: light at the top, neutral to the left; the shares by intensity are listed above"
      viewBox={`0 0 ${CHROMA_COLUMNS * CELL} ${VALUE_ROWS * ROW}`}
      className="block w-full border"
    >
      {density.map((row, value) =>
        row.map((share, column) =>
          share === 0 ? null : (
            <rect
              key={`${value} ${column}`}
              x={column * CELL}
              y={(VALUE_ROWS - 1 - value) * ROW}
              width={CELL}
              height={ROW}
              fill="var(--ink)"
              opacity={Math.max(0.04, Math.sqrt(share / most))}
            />
          ),
        ),
      )}
    </svg>
  );
}
