'use client';

import Link from 'next/link';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { pairUp, type Pair } from '@/core/palette/pair-up';
import type { Library, Swatch } from '@/contracts/library';
import { pointing } from '@/ui/pointing';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Stave, staveWords } from '@/ui/stave';
import { capital, count, list, several, valueWords } from '@/ui/words';
import { BackRoom } from '../back-room';
import { PairRow } from './pair-row';

interface Props {
  one: Library;
  other: Library;
}

type Part = 'shared' | 'near' | 'onlyOne' | 'onlyOther';

/** Two libraries side by side: what they share, what is near, and what only one has. */
export function CompareLibraries({ one, other }: Props) {
  const { settings } = useSettings();
  const [within, setWithin] = useState(5);
  const [part, setPart] = useState<Part | null>(null);
  const paired = pairUp(
    one.swatches.map(({ colour }) => colour),
    other.swatches.map(({ colour }) => colour),
    within,
  );
  const { shared, near, onlyOne, onlyOther } = paired;
  const pointed = (of: 'one' | 'other') => {
    if (!part) return undefined;
    const swatches = (of === 'one' ? one : other).swatches;
    const places =
      part === 'shared' || part === 'near'
        ? paired[part].map((pair) => pair[of])
        : (part === 'onlyOne') === (of === 'one')
          ? paired[part]
          : [];
    return new Set(places.map((at) => swatches[at].id));
  };
  const point = (next: Part) =>
    pointing(
      () => setPart(next),
      () => setPart(null),
    );
  return (
    <BackRoom wide>
      <h1 className="sr-only">
        {one.name} and {other.name}
      </h1>
      <p className="mb-3 font-serif text-2xl leading-tight" data-testid="finding">
        {sentence(shared.length, near.length, onlyOne.length, onlyOther.length)}
      </p>
      <div className="max-w-sm">
        <Slider
          label="near up to"
          said="How near counts as near, in CIEDE2000"
          value={within}
          min={1}
          max={15}
          step={0.5}
          words={`ΔE ${within.toFixed(1)}`}
          onChange={setWithin}
        />
      </div>
      <div className="mb-5 grid gap-x-8 gap-y-4 md:grid-cols-2">
        {([one, other] as const).map((library, i) => (
          <section key={library.id} aria-label={library.name} className="min-w-0">
            <h2 className="mb-1 font-serif text-xl leading-tight break-words">
              <Link href={`/drawers/${library.id}`} className="hover:underline">
                {library.name}
              </Link>
            </h2>
            <div className="bg-sheet p-2">
              <Stave
                swatches={library.swatches}
                scale={settings.scale}
                height={150}
                label={staveWords(library.swatches)}
                marked={pointed(i === 0 ? 'one' : 'other')}
              />
            </div>
          </section>
        ))}
      </div>
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2">
        <Pairs
          title="Shared"
          about="ΔE 1 and under"
          pairs={shared}
          {...{ one, other }}
          point={point('shared')}
        />
        <Pairs
          title="Near"
          about={`up to ΔE ${within.toFixed(1)}`}
          pairs={near}
          {...{ one, other }}
          point={point('near')}
        />
        <Only
          title={`Only in ${one.name}`}
          swatches={onlyOne.map((i) => one.swatches[i])}
          point={point('onlyOne')}
        />
        <Only
          title={`Only in ${other.name}`}
          swatches={onlyOther.map((i) => other.swatches[i])}
          point={point('onlyOther')}
        />
      </div>
    </BackRoom>
  );
}

function sentence(shared: number, near: number, onlyOne: number, onlyOther: number): string {
  const parts = [
    ...(shared > 0 ? [`share ${several(shared, 'swatch', 'swatches')}`] : []),
    ...(near > 0 ? [`have ${several(near, 'pair')} that ${near === 1 ? 'is' : 'are'} near`] : []),
  ];
  const own = `${onlyOne === 0 ? 'None' : capital(count(onlyOne))} ${onlyOne === 1 ? 'is' : 'are'} only in the first, ${onlyOther === 0 ? 'none' : count(onlyOther)} only in the second.`;
  return parts.length > 0
    ? `The two ${list(parts)}. ${own}`
    : `The two have nothing in common. ${own}`;
}

type Pointing = ReturnType<typeof pointing>;

function Pairs({
  title,
  about,
  pairs,
  one,
  other,
  point,
}: Props & { title: string; about: string; pairs: readonly Pair[]; point: Pointing }) {
  return (
    <section aria-label={title} tabIndex={0} {...point}>
      <h2 className="mb-1 border-b border-ink pb-1 font-semibold">
        {title}: {pairs.length} <span className="font-normal text-soft">{about}</span>
      </h2>
      <ul>
        {pairs.map((pair) => (
          <PairRow
            key={pair.one}
            one={one.swatches[pair.one]}
            other={other.swatches[pair.other]}
            apart={pair.apart}
          />
        ))}
      </ul>
    </section>
  );
}

function Only({
  title,
  swatches,
  point,
}: {
  title: string;
  swatches: readonly Swatch[];
  point: Pointing;
}) {
  const { settings } = useSettings();
  return (
    <section aria-label={title} tabIndex={0} {...point} className="min-w-0">
      <h2 className="mb-1 border-b border-ink pb-1 font-semibold break-words">
        {title}: {swatches.length}
      </h2>
      <ul>
        {swatches.map(({ id, name, colour }) => (
          <li key={id} className="flex items-center gap-3 border-b py-1.5">
            <span className="h-9 w-12 shrink-0" style={{ background: hexFromOklab(colour) }} />
            <span className="min-w-0 grow text-[15px] leading-tight">{name}</span>
            <span className="shrink-0 text-sm text-soft">
              value {valueWords(valueOfOklab(colour), settings.scale)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
