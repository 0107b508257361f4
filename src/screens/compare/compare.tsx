'use client';

import { ArrowLeftRight } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { ComparedStudy } from '@/contracts/compare';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { TopLine } from '@/ui/shell';
import { Stave, staveWords } from '@/ui/stave';
import { mostOf, Tide } from '@/ui/tide';
import { percent } from '@/ui/words';
import { differences, namesOf } from './differences';
import { figures } from './figures';
import { GreyImage } from './grey-image';

/** Two studies' readings side by side, on the same scales, and how they differ. */
export function Compare({ one, other }: { one: ComparedStudy; other: ComparedStudy }) {
  const router = useRouter();
  const { scale } = useSettings().settings;
  const [look, setLook] = useState<Look>('picture');
  const studies = [one, other];
  const sentences = differences(one, other, scale);
  const most = mostOf(studies.flatMap(({ colours }) => colours.hues.families));
  return (
    <div className="flex min-h-screen flex-col bg-surround">
      <TopLine>
        <div className="ml-auto">
          <Choice
            label="Seen as"
            showLabel={false}
            value={look}
            options={LOOKS.map((value) => ({ value, title: value }))}
            onChange={setLook}
          />
        </div>
        <Button
          className="h-9 min-h-9"
          onClick={() => router.replace(`/compare?one=${other.id}&other=${one.id}`)}
        >
          <ArrowLeftRight size={18} aria-hidden /> Swap
        </Button>
      </TopLine>
      <main className="compare mx-auto w-full max-w-[1400px] grow gap-x-6 px-4 py-4 sm:px-6">
        <h1 className="sr-only">
          {one.title} beside {other.title}
        </h1>
        {studies.map((study, i) => (
          <section key={i} aria-label={i === 0 ? 'The first' : 'The second'} className="min-w-0">
            <Hung study={study} look={look} />
            <div className="mt-1 bg-sheet p-2">
              <Stave
                swatches={study.swatches}
                scale={scale}
                height={120}
                label={staveWords(study.swatches)}
              />
            </div>
            <div className="mt-1 bg-sheet px-2 py-1">
              <Tide families={study.colours.hues.families} most={most} high={54} />
            </div>
          </section>
        ))}
        <section aria-label="Differences" className="min-w-0 bg-panel px-4 py-3">
          <ul className="font-serif text-lg leading-snug">
            {sentences.map((sentence) => (
              <li key={sentence} className="mb-1.5" data-testid="difference">
                {sentence.replaceAll(' %', '\u00a0%')}
              </li>
            ))}
          </ul>
          <Figures studies={studies} />
        </section>
      </main>
    </div>
  );
}

const LOOKS = ['picture', 'greys'] as const;
type Look = (typeof LOOKS)[number];
const PICTURE = 'block h-[min(36vh,300px)] w-full object-contain';

function Hung({ study, look }: { study: ComparedStudy; look: Look }) {
  const { id, title, maker, pictureId } = study;
  const src = hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'working' });
  return (
    <Link href={`/desk/${id}`} className="block" aria-label={`Open ${title}`}>
      <span className="flex min-h-10 items-baseline gap-3">
        <span className="truncate font-serif text-xl" title={title}>
          {title}
        </span>
        <span className="ml-auto shrink-0 text-sm">{maker}</span>
      </span>
      {look === 'greys' ? (
        <GreyImage src={src} className={PICTURE} />
      ) : (
        <img src={src} alt="" className={PICTURE} />
      )}
    </Link>
  );
}

function Figures({ studies }: { studies: readonly ComparedStudy[] }) {
  const { settings } = useSettings();
  const names = namesOf(studies[0].title, studies[1].title);
  return (
    <>
      <table className="mt-3 w-full text-[15px]">
        <caption className="sr-only">The figures behind the differences</caption>
        <thead className="sr-only">
          <tr>
            <th>What</th>
            {names.map((name) => (
              <th key={name}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {figures(studies, settings).map(({ title, cells }) => (
            <tr key={title} className="border-t">
              <th className="py-1 pr-2 text-left font-normal text-soft">{title}</th>
              {cells.map((cell, i) => (
                <td key={i} className="w-[33%] py-1 pl-2">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <details className="mt-1 border-t">
        <summary className="flex min-h-10 items-center text-sm font-semibold">
          Hues in light and shadow as a table
        </summary>
        <table className="w-full text-right text-sm">
          <thead className="text-soft">
            <tr>
              <th className="text-left font-normal">family</th>
              {studies.map((_, i) => (
                <th key={i} className="font-normal">
                  {names[i]}: light, shadow
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {studies[0].colours.hues.families.map(({ family }, row) => (
              <tr key={family} className="border-t">
                <td className="text-left">{family}</td>
                {studies.map(({ colours }, i) => {
                  const { light, shadow } = colours.hues.families[row];
                  return (
                    <td key={i}>
                      {percent(light)}, {percent(shadow)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}
