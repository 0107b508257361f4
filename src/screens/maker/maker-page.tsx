'use client';

import Link from 'next/link';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { TopLine } from '@/ui/shell';
import { list, percent } from '@/ui/words';
import {
  LIGHT_PARTS,
  limitsOf,
  mannerOf,
  mannerSentence,
  PART_WORDS,
  type Manner,
  type StudyOfMaker,
} from './manner';

/** All studies of one maker's pictures as one page. */
export function MakerPage({ maker, studies }: { maker: string; studies: readonly StudyOfMaker[] }) {
  const manner = mannerOf(studies);
  return (
    <div className="flex min-h-dvh flex-col bg-surround">
      <TopLine />
      <main className="mx-auto w-full max-w-6xl grow bg-panel px-6 py-5 max-sm:px-3">
        <h1 className="sr-only">{maker}</h1>
        {manner === null ? (
          <p className="font-serif text-2xl">No study has {maker || 'nobody'} for its maker.</p>
        ) : (
          <>
            <p
              className="mb-4 max-w-3xl font-serif text-2xl leading-tight text-pretty"
              data-testid="finding"
            >
              {mannerSentence(maker, manner)}
            </p>
            <div className="overflow-x-auto">
              <StudyTable studies={studies} manner={manner} />
            </div>
            <section aria-label="Paint within these limits" className="mt-6 max-w-3xl">
              <h2 className="mb-1 border-b pb-1 text-sm font-semibold">
                Paint within these limits
              </h2>
              <ul>
                {limitsOf(manner).map((limit) => (
                  <li key={limit} className="py-0.5">
                    {limit}
                  </li>
                ))}
              </ul>
              <p className="mt-2 flex flex-wrap gap-2">
                {studies.map(({ id, title }) => (
                  <Link
                    key={id}
                    href={`/desk/${id}?step=check&limits=${encodeURIComponent(limitsOf(manner).join('\n'))}`}
                    className="inline-flex min-h-10 items-center border border-ink px-3 font-semibold hover:bg-faint"
                  >
                    A session of “{title}”
                  </Link>
                ))}
              </p>
            </section>
          </>
        )}
      </main>
    </div>
  );
}

const value = (n: number | null) => (n === null ? '–' : n.toFixed(1));
const chroma = (n: number | null) => (n === null ? '–' : n.toFixed(3));

function StudyTable({ studies, manner }: { studies: readonly StudyOfMaker[]; manner: Manner }) {
  const rows: readonly (readonly [string, (of: StudyOfMaker) => string, string])[] = [
    ['key', ({ key }) => key, manner.key],
    ['range', ({ range }) => range, manner.range],
    ['darkest value', ({ darkest }) => value(darkest), value(manner.darkest)],
    ['lightest value', ({ lightest }) => value(lightest), value(manner.lightest)],
    ['value in the light', ({ light }) => value(light), value(manner.light)],
    ['value in the shadow', ({ shadow }) => value(shadow), value(manner.shadow)],
    ...LIGHT_PARTS.map(
      (part) =>
        [
          `intensity ${PART_WORDS[part]}`,
          ({ intensity }: StudyOfMaker) => chroma(intensity[part]),
          chroma(manner.intensity[part]),
        ] as const,
    ),
    [
      'families',
      ({ families }) => list(families.slice(0, 3).map(({ family }) => family)) || '–',
      list(manner.families.slice(0, 3)) || '–',
    ],
    [
      'edges lost',
      ({ edges }) => (edges ? percent(edges.lost) : 'not checked yet'),
      manner.edges ? percent(manner.edges.lost) : '–',
    ],
  ];
  return (
    <table className="w-full text-[15px]">
      <thead>
        <tr className="align-bottom">
          <th scope="col" className="text-left text-sm font-normal text-soft">
            <span className="sr-only">What</span>
          </th>
          {studies.map(({ id, title, pictureId }) => (
            <th key={id} scope="col" className="p-1 text-left font-normal">
              <img
                src={hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'thumbnail' })}
                alt=""
                className="mb-1 h-20 w-28 object-cover"
              />
              <Link href={`/desk/${id}`} className="underline underline-offset-4">
                {title}
              </Link>
            </th>
          ))}
          <th scope="col" className="p-1 text-left font-semibold">
            on the whole
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([title, of, whole]) => (
          <tr key={title} className="border-t">
            <th scope="row" className="py-1.5 pr-4 text-left font-normal text-soft">
              {title}
            </th>
            {studies.map((study) => (
              <td key={study.id} className="p-1">
                {of(study)}
              </td>
            ))}
            <td className="p-1 font-semibold">{whole}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
