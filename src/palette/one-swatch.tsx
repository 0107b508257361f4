'use client';

import { Lock, LockOpen, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { paletteNames } from '@/core/colour/name';
import { ROLES, type Role } from '@/core/palette/proportion';
import type { TraySwatch } from '@/contracts/study';
import { moveColour, typeColour, undoColourChange } from '@/study/colour-edits';
import { editSwatch } from '@/study/edits';
import { replaceByComponents, takeApart } from '@/study/palette-edits';
import { unlink } from '@/study/set-edits';
import { Button } from '@/ui/button';
import { ChangeColour } from '@/ui/change-colour';
import { ColourDetails } from '@/ui/colour-details';
import { NoteField, TextField } from '@/ui/field';
import { Select } from '@/ui/select';
import { capital, percent } from '@/ui/words';
import { Fold, Section } from '@/ui/panel-parts';
import { usePaletteHost, useSwatches } from './host';
import { newId } from '@/study/edits';

const ORIGINS: Record<TraySwatch['origin'], string> = {
  extracted: 'extracted',
  picked: 'picked',
  'brought in': 'imported',
  built: 'built',
  merged: 'merged',
  end: 'end of the palette',
};

/** Everything about one swatch of the tray. */
export function OneSwatch({ swatch }: { swatch: TraySwatch }) {
  const host = usePaletteHost();
  const swatches = useSwatches();
  const [name, setName] = useState<string | null>(null);
  const edit = (part: Parameters<typeof editSwatch>[2], key?: string) =>
    host.change((document) => editSwatch(document, swatch.id, part), key && `${key} ${swatch.id}`);
  const others = swatches.filter(({ id }) => id !== swatch.id).map((other) => other.name);
  const [suggested] = paletteNames([swatch.colour], others);
  const facts = [
    ORIGINS[swatch.origin],
    swatch.share !== null && percent(swatch.share),
    swatch.spread !== null && `spread ${swatch.spread.toFixed(1)}`,
  ];
  return (
    <Section title="Swatch" aside={facts.filter(Boolean).join(', ')}>
      <div className="flex flex-col gap-2">
        <div className="flex items-end gap-2">
          <div className="grow">
            <TextField
              label="Name"
              maxLength={200}
              value={name ?? swatch.name}
              error={
                name !== null && name.trim() === ''
                  ? 'A swatch needs a name; the old one stays until there is one.'
                  : undefined
              }
              onChange={(event) => {
                const next = event.target.value;
                setName(next);
                if (next.trim()) edit({ name: next.trim() }, 'name');
              }}
              onBlur={() => setName(null)}
            />
          </div>
          <Select
            label="What it is for"
            value={swatch.role ?? ''}
            options={[
              { value: '', title: 'no role' },
              ...ROLES.map((role) => ({ value: role, title: role })),
            ]}
            onChange={(role) => edit({ role: role === '' ? null : (role as Role) })}
          />
        </div>
        {suggested !== swatch.name && (
          <button
            type="button"
            className="-my-1 min-h-10 text-left text-sm underline underline-offset-2"
            onClick={() => {
              setName(null);
              edit({ name: suggested });
            }}
          >
            Call it {suggested}
          </button>
        )}
        <NoteField
          label="Note"
          rows={1}
          className="min-h-10"
          maxLength={4000}
          value={swatch.note}
          onChange={(event) => edit({ note: event.target.value }, 'note')}
        />
        <div className="flex gap-2">
          <Button
            aria-pressed={swatch.locked}
            className="grow aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => edit({ locked: !swatch.locked })}
          >
            {swatch.locked ? <Lock size={18} aria-hidden /> : <LockOpen size={18} aria-hidden />}
            {swatch.locked ? 'Locked' : 'Lock'}
          </Button>
          <Button className="grow" onClick={() => host.remove([swatch.id])}>
            <Trash2 size={18} aria-hidden /> Delete
          </Button>
          <Button weight="quiet" onClick={() => host.select({ selected: null, chosen: [] })}>
            Done
          </Button>
        </div>
        {swatch.parts.length > 0 && (
          <Made
            colours={swatch.parts.map(({ swatch: part }) => ({
              hex: hexFromOklab(part.colour),
              name: part.name,
            }))}
            words="Merged from"
            action="Take apart"
            onAct={() => host.change((document) => takeApart(document, swatch.id))}
          />
        )}
        {swatch.components.length > 1 && (
          <Made
            colours={swatch.components.map(({ colour, share }) => ({
              hex: hexFromOklab(colour),
              name: percent(share),
            }))}
            words="The area is made of"
            action="Put these in its place"
            onAct={() => {
              host.change((document) => replaceByComponents(document, swatch.id, newId));
              host.select({ selected: null });
            }}
          />
        )}
        {swatch.follows && (
          <div className="flex items-center justify-between gap-2 text-[15px]">
            <span>{capital(followsWords(swatch, swatches))}</span>
            <Button onClick={() => host.change((document) => unlink(document, swatch.id))}>
              Unlink
            </Button>
          </div>
        )}
      </div>
      <Fold title="Change the colour" aside={swatch.change ? 'changed' : 'as it was'} open>
        <ChangeColour
          key={swatch.id}
          colour={swatch.colour}
          change={swatch.change}
          onMove={(moves) =>
            host.change((document) => moveColour(document, swatch.id, moves), `move ${swatch.id}`)
          }
          onType={(colour) =>
            host.change((document) => typeColour(document, swatch.id, colour), `type ${swatch.id}`)
          }
          onBack={() => host.change((document) => undoColourChange(document, swatch.id))}
        />
      </Fold>
      <Fold title="Figures" aside={hexFromOklab(swatch.colour)}>
        <ColourDetails colour={swatch.colour} />
      </Fold>
    </Section>
  );
}

function followsWords({ follows }: TraySwatch, swatches: readonly TraySwatch[]): string {
  if (follows?.kind === 'rule') {
    const parent = swatches.find(({ id }) => id === follows.from);
    return `${follows.rule} of ${parent?.name ?? 'a swatch'}`;
  }
  return 'moves with its set';
}

function Made({
  colours,
  words,
  action,
  onAct,
}: {
  colours: readonly { hex: string; name: string }[];
  words: string;
  action: string;
  onAct: () => void;
}) {
  return (
    <div className="flex items-center gap-2 text-sm">
      <span className="shrink-0 text-soft">{words}</span>
      <span className="flex grow">
        {colours.map(({ hex, name }, i) => (
          <span
            key={i}
            className="h-7 grow"
            style={{ background: hex }}
            role="img"
            aria-label={`${hex}, ${name}`}
            title={name}
          />
        ))}
      </span>
      <Button onClick={onAct}>{action}</Button>
    </div>
  );
}
