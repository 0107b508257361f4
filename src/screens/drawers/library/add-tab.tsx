'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { coloursIn } from '@/core/formats/colour-text';
import type { Swatch } from '@/contracts/library';
import { Button } from '@/ui/button';
import { NoteField } from '@/ui/field';
import { Finding, Section } from '@/ui/panel-parts';
import { typedColour } from '@/ui/typed-colour';
import { several } from '@/ui/words';
import { FromLibraries } from '@/ui/from-libraries';

/** The middle of the value scale: what a colour is made from by moving it. */
const GREY: Oklab = { L: 0.6, a: 0, b: 0 };

interface Props {
  libraryId: string;
  isEmpty: boolean;
  onAddColours: (colours: readonly Oklab[]) => void;
  onAddSwatches: (swatches: readonly Swatch[]) => void;
}

/** The ways that colours come into a palette without a picture. */
export function AddTab({ libraryId, isEmpty, onAddColours, onAddSwatches }: Props) {
  const [text, setText] = useState('');
  const [well, setWell] = useState('#8a7a66');
  const colours = coloursOf(text);
  const add = () => {
    onAddColours(colours);
    setText('');
  };
  return (
    <>
      <Finding>
        {isEmpty
          ? 'Nothing in it yet. Type a colour, paste many, take some from other libraries, or make one from a grey.'
          : 'Each colour goes to its place by value, and can be changed there.'}
      </Finding>
      <Section title="Type or paste" aside="hex, oklch(), lab(), hsl(), a value">
        <NoteField
          label="Colours, one or many"
          rows={3}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey || colours.length === 0) return;
            event.preventDefault();
            add();
          }}
        />
        {colours.length > 0 && (
          <div className="mt-2 flex h-9" role="img" aria-label={`${colours.length} to be added`}>
            {colours.slice(0, 40).map((colour, i) => (
              <span key={i} className="grow" style={{ background: hexFromOklab(colour) }} />
            ))}
          </div>
        )}
        {text.trim() !== '' && colours.length === 0 && (
          <p className="mt-1 text-sm font-semibold">
            Not a colour yet: try #8a6f4d, oklch(0.6 0.05 70) or 6.5.
          </p>
        )}
        <Button
          weight="strong"
          className="mt-2 w-full"
          disabled={colours.length === 0}
          onClick={add}
        >
          {colours.length > 1 ? `Add ${several(colours.length, 'colour')}` : 'Add it'}
        </Button>
      </Section>
      <Section title="Or make one" aside="then change it by value, warmth, strength">
        <div className="flex gap-2">
          <Button className="grow" onClick={() => onAddColours([GREY])}>
            Begin from a grey
          </Button>
          <label className="flex h-10 items-center gap-2 border bg-sheet px-2 text-[15px]">
            Pick
            <input
              type="color"
              aria-label="Pick a colour"
              value={well}
              onChange={(event) => setWell(event.target.value)}
              className="h-8 w-10"
            />
          </label>
          <Button
            aria-label={`Add ${well}`}
            onClick={() => onAddColours(coloursIn(well).map(({ colour }) => colour))}
          >
            <Plus size={18} aria-hidden />
          </Button>
        </div>
      </Section>
      <FromLibraries except={libraryId} onAdd={onAddSwatches} />
    </>
  );
}

/** All colours of a text, or the one that it is by itself: hex without its sign, a Munsell value of a grey. */
function coloursOf(text: string): Oklab[] {
  const found = coloursIn(text).map(({ colour }) => colour);
  if (found.length > 0) return found;
  return text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .flatMap((word) => typedColour(word, GREY) ?? []);
}
