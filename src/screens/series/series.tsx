'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import { readSeries } from '@/core/palette/series';
import { useSettings } from '@/ui/settings';
import { TopLine } from '@/ui/shell';
import { Stave, staveWords } from '@/ui/stave';
import { valueWords } from '@/ui/words';
import { rangeSentence, seriesSentence, straySentence } from './series-sentences';

interface Member {
  id: string;
  title: string;
  /** Null for a library. */
  pictureId: string | null;
  swatches: { name: string; colour: Oklab; share: number | null }[];
}

const MAX_STRAYS = 3;

/** How consistently several studies or libraries hold together, and what to change. */
export function Series({ members }: { members: readonly Member[] }) {
  const query = useSearchParams();
  const { settings } = useSettings();
  const [chosen, setChosen] = useState(() => query.getAll('of'));
  useEffect(() => {
    const next = chosen.map((id) => `of=${id}`).join('&');
    if (next !== window.location.search.slice(1))
      window.history.replaceState(null, '', next ? `/series?${next}` : '/series');
  }, [chosen]);
  const wheel = wheelOf(settings.wheel);
  const series = chosen.flatMap((id) => members.find((member) => member.id === id) ?? []);
  const reading = series.length > 1 ? readSeries(series, wheel) : null;
  const titles = series.map(({ title }) => title);
  const range = reading && rangeSentence(reading, titles, settings.scale);
  return (
    <div className="flex min-h-screen flex-col bg-surround">
      <TopLine />
      <main className="series grow">
        <section aria-label="Which" className="bg-panel px-4 py-3">
          <h1 className="mb-1 font-serif text-2xl">A series</h1>
          <p className="mb-2 text-soft">Which studies and libraries are to look like one hand?</p>
          <ul>
            {members.map(({ id, title, pictureId, swatches }) => (
              <li key={id} className="border-t">
                <label className="flex min-h-12 items-center gap-2.5">
                  <input
                    type="checkbox"
                    className="h-5 w-5 shrink-0 accent-ink"
                    checked={chosen.includes(id)}
                    onChange={() =>
                      setChosen(
                        chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id],
                      )
                    }
                  />
                  <span className="min-w-0 grow">
                    <span className="line-clamp-1">{title}</span>
                    <span className="text-sm text-soft">{pictureId ? 'study' : 'library'}</span>
                  </span>
                  <span className="flex h-6 w-24 shrink-0">
                    {swatches.slice(0, 16).map(({ colour }, i) => (
                      <span key={i} className="grow" style={{ background: hexFromOklab(colour) }} />
                    ))}
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="How they hold together" className="wall min-w-0 px-6 py-4">
          <p className="mb-4 max-w-3xl font-serif text-2xl leading-tight" data-testid="finding">
            {reading
              ? seriesSentence(reading, wheel)
              : 'Choose two or more to hold against each other.'}
          </p>
          {range && <p className="mb-4 max-w-3xl font-serif text-xl leading-tight">{range}</p>}
          <ul className="grid grid-cols-1 gap-5 xl:grid-cols-2">
            {series.map(({ id, title, pictureId, swatches }, i) => {
              const member = reading?.members[i];
              return (
                <li key={id} className="min-w-0 bg-sheet p-3 text-ink">
                  <div className="mb-1 flex items-baseline gap-3">
                    <h2 className="truncate font-serif text-lg" title={title}>
                      {title}
                    </h2>
                    {member && (
                      <span className="ml-auto shrink-0 text-sm">
                        {Math.round(member.holds)} of 100
                      </span>
                    )}
                  </div>
                  <div className="flex items-stretch gap-2">
                    {pictureId && (
                      <img
                        src={hrefOf(endpoints.getPicture, {
                          id: pictureId,
                          rendition: 'thumbnail',
                        })}
                        alt=""
                        className="h-24 w-28 shrink-0 object-cover"
                      />
                    )}
                    <div className="min-w-0 grow">
                      <Stave
                        swatches={swatches.map((swatch, k) => ({ ...swatch, id: String(k) }))}
                        scale={settings.scale}
                        height={96}
                        label={staveWords(
                          swatches.map((swatch, k) => ({ ...swatch, id: String(k) })),
                        )}
                      />
                    </div>
                  </div>
                  {member && (
                    <>
                      <p className="mt-1 text-sm text-soft">
                        Value {valueWords(member.value[0], settings.scale)} to{' '}
                        {valueWords(member.value[1], settings.scale)}, chroma{' '}
                        {member.chroma[0].toFixed(2)} to {member.chroma[1].toFixed(2)};{' '}
                        {member.families.length === 0
                          ? 'neutrals alone'
                          : member.families.map((family) => wheel.families[family]).join(', ')}
                      </p>
                      {member.strays.slice(0, MAX_STRAYS).map((stray) => (
                        <p
                          key={stray.name}
                          className="mt-1 flex items-start gap-2 text-[15px] leading-snug"
                        >
                          <span className="flex h-8 w-10 shrink-0">
                            {[stray.colour, ...(stray.kin ? [stray.kin.colour] : [])].map(
                              (colour, k) => (
                                <span
                                  key={k}
                                  className="grow"
                                  style={{ background: hexFromOklab(colour) }}
                                />
                              ),
                            )}
                          </span>
                          {straySentence(stray, i, titles, wheel)}
                        </p>
                      ))}
                    </>
                  )}
                </li>
              );
            })}
          </ul>
        </section>
      </main>
    </div>
  );
}
