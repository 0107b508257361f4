'use client';

import { ChevronDown, Crosshair, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { Swatch } from '@/contracts/library';
import { Button } from '@/ui/button';
import { placeHref } from '@/ui/place';
import { useSettings } from '@/ui/settings';
import { percent, valueWords } from '@/ui/words';
import { useMedia } from '@/ui/use-media';
import { NARROW } from './library-panel';
import { SwatchDetails, type SwatchPart } from './swatch-details';

interface Props {
  libraryId: string;
  swatch: Swatch;
  open: boolean;
  chosen: boolean;
  onOpen: (open: boolean) => void;
  onChoose: () => void;
  onChange: (part: SwatchPart) => void;
  onDelete: () => void;
}

/** A swatch to rename, annotate, read closely, and follow back to its place. */
export function SwatchRow({ swatch, open, chosen, onOpen, onChoose, ...rest }: Props) {
  const { settings } = useSettings();
  // Where there is room its details stand beside the list.
  const isNarrow = useMedia(NARROW);
  const { libraryId, onChange, onDelete } = rest;
  const [name, setName] = useState<string | null>(null);
  const { provenance } = swatch;
  const unnamed = name !== null && name.trim() === '';
  return (
    <div className={`border-b ${open ? 'bg-sheet' : ''}`}>
      <div className="flex items-center gap-2 py-2">
        <label className="flex h-10 w-8 shrink-0 items-center">
          <input
            type="checkbox"
            aria-label={`Choose ${swatch.name}`}
            checked={chosen}
            onChange={onChoose}
            className="h-5 w-5 accent-ink"
          />
        </label>
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
            {swatch.role && ` · ${swatch.role}`}
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
            className="flex h-10 w-10 shrink-0 items-center justify-center hover:bg-faint"
            aria-label={`To the place of ${swatch.name} in “${provenance.studyTitle}”`}
            title={`Taken from “${provenance.studyTitle}”`}
          >
            <Crosshair size={20} aria-hidden />
          </Link>
        )}
        <Button
          weight="quiet"
          aria-expanded={open}
          aria-label={`Figures and note of ${swatch.name}`}
          onClick={() => onOpen(!open)}
        >
          <ChevronDown size={20} aria-hidden className={open ? 'rotate-180' : ''} />
        </Button>
        <Button weight="quiet" aria-label={`Delete ${swatch.name}`} onClick={onDelete}>
          <Trash2 size={18} aria-hidden />
        </Button>
      </div>
      {open && isNarrow && (
        <div className="bg-sheet p-3">
          <SwatchDetails libraryId={libraryId} swatch={swatch} onChange={onChange} />
        </div>
      )}
    </div>
  );
}
