'use client';

import { ChevronDown, Crosshair, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { Swatch } from '@/contracts/library';
import { Button } from '@/ui/button';
import { ColourDetails } from '@/ui/colour-details';
import { placeHref } from '@/ui/place';
import { useSettings } from '@/ui/settings';
import { percent, valueWords } from '@/ui/words';

interface Props {
  swatch: Swatch;
  onChange: (part: Partial<Pick<Swatch, 'name' | 'note'>>) => void;
  onDelete: () => void;
}

/** A swatch to rename, annotate, read closely, and follow back to its place. */
export function SwatchRow({ swatch, onChange, onDelete }: Props) {
  const { settings } = useSettings();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState<string | null>(null);
  const { provenance } = swatch;
  const unnamed = name !== null && name.trim() === '';
  return (
    <li className="border-b">
      <div className="flex items-center gap-3 py-2">
        <span className="h-14 w-16 shrink-0" style={{ background: hexFromOklab(swatch.colour) }} />
        <div className="min-w-0 grow">
          <input
            aria-label="Name of the swatch"
            aria-invalid={unnamed || undefined}
            maxLength={200}
            value={name ?? swatch.name}
            onChange={(event) => {
              setName(event.target.value);
              if (event.target.value.trim()) onChange({ name: event.target.value.trim() });
            }}
            onBlur={() => setName(null)}
            className="h-10 w-full border border-transparent bg-transparent px-1 font-serif text-lg hover:border-line focus:border-line focus:bg-sheet"
          />
          <p className="truncate px-1 text-sm text-soft">
            value {valueWords(valueOfOklab(swatch.colour), settings.scale)}
            {swatch.share !== null && ` · ${percent(swatch.share)}`}
            {swatch.note && ` · ${swatch.note}`}
          </p>
          {unnamed && (
            <p className="px-1 text-sm font-semibold">
              A swatch needs a name; the old one stays until there is one.
            </p>
          )}
        </div>
        {provenance?.studyId && (
          <Link
            href={placeHref(provenance.studyId, provenance)}
            aria-label={`To the place of ${swatch.name} in ${provenance.studyTitle}`}
            title={`To its place in ${provenance.studyTitle}`}
            className="flex h-10 w-10 items-center justify-center hover:bg-faint"
          >
            <Crosshair size={20} aria-hidden />
          </Link>
        )}
        <Button
          weight="quiet"
          aria-expanded={open}
          aria-label={`Figures and note of ${swatch.name}`}
          onClick={() => setOpen(!open)}
        >
          <ChevronDown size={20} aria-hidden className={open ? 'rotate-180' : ''} />
        </Button>
        <Button weight="quiet" aria-label={`Delete ${swatch.name}`} onClick={onDelete}>
          <Trash2 size={20} aria-hidden />
        </Button>
      </div>
      {open && (
        <div className="grid gap-4 pb-4 sm:grid-cols-2">
          <ColourDetails colour={swatch.colour} />
          <label className="flex flex-col gap-0.5">
            <span className="text-sm text-soft">Note</span>
            <textarea
              rows={4}
              maxLength={4000}
              value={swatch.note}
              onChange={(event) => onChange({ note: event.target.value })}
              className="grow border border-line bg-sheet p-2 text-[15px]"
            />
          </label>
        </div>
      )}
    </li>
  );
}
