'use client';

import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { CHROMA_COLUMNS, toneTable, VALUE_ROWS } from '@/core/measure/chroma';
import type { ColourStudy } from '@/core/measure/colour-study';
import { placeWords } from '@/core/picture/place-words';
import { shortName } from '@/core/colour/name';
import { useSettings } from '@/ui/settings';
import { capital, percent, valueWords } from '@/ui/words';
import { Finding, Fold, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { chromaSentence } from './colour-sentences';
import { SwatchLine } from '../../panel/swatch-line';

/** How strong it is, and where the saturation lives. */
export function ChromaTab({ reading: { chroma: reading } }: { reading: ColourStudy }) {
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
      <Tones density={reading.density} />
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

/** The same as a table; each cell leads to its part of the picture. */
function Tones({ density }: { density: readonly (readonly number[])[] }) {
  const { settings } = useSettings();
  const rows = toneTable(density);
  return (
    <Fold title="As a table" aside="share of the picture">
      <table className="w-full table-fixed text-center text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">value</th>
            {rows[0].map(({ chroma: [from, to] }) => (
              <th key={from} className="font-normal">
                {to === Infinity ? `${from}+` : `to ${to.toFixed(2)}`}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows
            .map((tones, row) => (
              <tr key={row} className="border-t">
                <th className="text-left font-normal">
                  {valueWords(2 * row, settings.scale)}–{valueWords(2 * row + 2, settings.scale)}
                </th>
                {tones.map(({ value, chroma, share }) => (
                  <td key={chroma[0]}>
                    {share > 0 && (
                      <Pointing
                        focus={{ kind: 'tone', value, chroma: [chroma[0], finite(chroma[1])] }}
                        className="!text-center"
                      >
                        {percent(share).replace('under 1', '<1')}
                      </Pointing>
                    )}
                  </td>
                ))}
              </tr>
            ))
            .reverse()}
        </tbody>
      </table>
    </Fold>
  );
}

const finite = (n: number) => (n === Infinity ? null : n);

const CELL = 25;
const ROW = 9;

/** How much of the picture there is at each value (light at the top) and chroma (neutral to the left). */
function Density({ density }: { density: readonly (readonly number[])[] }) {
  const most = Math.max(1e-9, ...density.flat());
  return (
    <svg
      role="img"
      aria-label="Chroma against value: light at the top, neutral to the left; the table below has the shares"
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
