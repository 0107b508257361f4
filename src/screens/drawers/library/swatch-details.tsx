'use client';

import Link from 'next/link';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { hexFromOklab } from '@/core/colour/hex';
import { ROLES } from '@/core/palette/proportion';
import { type Neighbours, type Swatch } from '@/contracts/library';
import { useFetched } from '@/ui/queries';
import { useSwatches } from '@/palette/host';
import { SwatchTools } from '@/palette/swatch-tools';
import { NoteField, TextField } from '@/ui/field';
import { placeHref } from '@/ui/place';
import { Select } from '@/ui/select';
import { Slider } from '@/ui/slider';
import { percent } from '@/ui/words';
import { splitTags } from '@/ui/tags';
import { nearHref } from '../find/search-address';

export type SwatchPart = Partial<Pick<Swatch, 'name' | 'otherNames' | 'note' | 'role' | 'share'>>;

interface Props {
  libraryId: string;
  swatch: Swatch;
  onChange: (part: SwatchPart) => void;
}

/** All of one swatch: what it is called and for, how it is changed, its figures, where it was taken, where else it is, what lies near it. */
export function SwatchDetails({ libraryId, swatch, onChange }: Props) {
  const [others, setOthers] = useState<string | null>(null);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-col gap-3">
        <TextField
          label="Other names, with commas between"
          value={others ?? swatch.otherNames.join(', ')}
          maxLength={2000}
          onChange={(event) => {
            setOthers(event.target.value);
            onChange({ otherNames: splitTags(event.target.value, 200).slice(0, 20) });
          }}
          onBlur={() => setOthers(null)}
        />
        <NoteField
          label={`Note on ${swatch.name}`}
          rows={2}
          maxLength={4000}
          value={swatch.note}
          onChange={(event) => onChange({ note: event.target.value })}
        />
        <label className="flex items-center justify-between gap-3 text-[15px]">
          What it is for
          <Select
            label="What it is for"
            value={swatch.role ?? ''}
            options={[
              { value: '', title: 'nothing said' },
              ...ROLES.map((role) => ({ value: role, title: role })),
            ]}
            onChange={(role) => onChange({ role: role || null })}
          />
        </label>
        <Slider
          label="Share"
          said={`Share of ${swatch.name}`}
          words={swatch.share === null ? 'none' : percent(swatch.share)}
          min={0}
          max={1}
          step={0.01}
          value={swatch.share ?? 0}
          onChange={(share) => onChange({ share })}
        />
        <Tools id={swatch.id} />
      </div>
      <div className="flex flex-col gap-4">
        <Provenance swatch={swatch} />
        <Elsewhere libraryId={libraryId} swatch={swatch} />
      </div>
    </div>
  );
}

function Tools({ id }: { id: string }) {
  const swatch = useSwatches().find((one) => one.id === id);
  return swatch ? <SwatchTools swatch={swatch} /> : null;
}

/** The picture it was taken from, with a ring around the place. */
function Provenance({ swatch: { provenance } }: { swatch: Swatch }) {
  const [gone, setGone] = useState(false);
  if (!provenance)
    return <p className="text-soft">Nothing is known of where this swatch was taken.</p>;
  const { studyId, studyTitle, pictureHash, x, y, radius } = provenance;
  const picture = (
    <>
      <img
        src={hrefOf(endpoints.getThumbnail, { hash: pictureHash ?? '' })}
        alt={`The picture of ${studyTitle}`}
        onError={() => setGone(true)}
        className="max-h-44 max-w-full"
      />
      <span
        aria-hidden
        className="absolute aspect-square -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white outline-2 outline-black"
        style={{
          left: `${x * 100}%`,
          top: `${y * 100}%`,
          width: `max(16px, ${radius * 200}%)`,
        }}
      />
    </>
  );
  const place = `${Math.round(x * 100)} % from the left, ${Math.round(y * 100)} % from the top`;
  return (
    <section aria-label="Where it was taken">
      <h2 className="mb-1 border-b pb-1 text-sm font-semibold">Taken from</h2>
      {!pictureHash || gone ? (
        <p className="text-soft">The picture is not here.</p>
      ) : studyId ? (
        <Link href={placeHref(studyId, provenance)} className="relative block w-fit">
          {picture}
        </Link>
      ) : (
        <div className="relative w-fit">{picture}</div>
      )}
      <p className="mt-1 text-[15px]">
        {studyTitle || 'A study without a title'}; {place}.
      </p>
    </section>
  );
}

/** The same colour in other libraries and studies, and its neighbours across all of them. */
function Elsewhere({ libraryId, swatch }: { libraryId: string; swatch: Swatch }) {
  const { id, colour } = swatch;
  const { L, a, b } = colour;
  const { data, error } = useFetched(endpoints.findNeighbours, {
    body: { libraryId, swatchId: id, colour: { L, a, b } },
  });
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p className="text-soft">Looking through all libraries …</p>;
  const { same, near, studies } = data;
  return (
    <>
      <section aria-label="Where else it is used">
        <h2 className="mb-1 border-b pb-1 text-sm font-semibold">Also used in</h2>
        {same.length === 0 && studies.length === 0 && <p className="text-soft">Nothing else.</p>}
        <ul>
          {studies.map(({ id: of, title }) => (
            <li key={of}>
              <Link
                href={`/desk/${of}?step=palette`}
                className="flex min-h-10 items-center hover:bg-faint"
              >
                {title} <span className="ml-2 text-soft">study</span>
              </Link>
            </li>
          ))}
          {same.map((one) => (
            <Neighbour key={`${one.libraryId} ${one.id}`} {...one} />
          ))}
        </ul>
      </section>
      <section aria-label="Its neighbours">
        <h2 className="mb-1 flex items-end justify-between border-b text-sm font-semibold">
          Its neighbours in all libraries
          <Link
            href={nearHref(hexFromOklab(colour))}
            className="inline-flex min-h-10 items-center font-normal underline"
          >
            all near it
          </Link>
        </h2>
        {near.length === 0 && <p className="text-soft">None within ΔE 8.</p>}
        <ul className="max-h-80 overflow-y-auto" tabIndex={0} aria-label="Neighbours">
          {near.map((one) => (
            <Neighbour key={`${one.libraryId} ${one.id}`} {...one} />
          ))}
        </ul>
      </section>
    </>
  );
}

function Neighbour({
  libraryId,
  libraryName,
  id,
  name,
  colour,
  distance,
}: Neighbours['near'][number]) {
  return (
    <li>
      <Link
        href={`/drawers/${libraryId}?swatch=${encodeURIComponent(id)}`}
        className="flex min-h-11 items-center gap-3 hover:bg-faint"
      >
        <span className="h-8 w-10 shrink-0" style={{ background: hexFromOklab(colour) }} />
        <span className="min-w-0 grow leading-tight">
          <span className="block truncate">{name}</span>
          <span className="block truncate text-sm text-soft">{libraryName}</span>
        </span>
        <span className="shrink-0 text-sm text-soft tabular-nums">ΔE {distance.toFixed(1)}</span>
      </Link>
    </li>
  );
}
