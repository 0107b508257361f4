'use client';

import { Lock, LockOpen, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { paletteNames } from '@/core/colour/name';
import { ROLES, type Role } from '@/core/palette/proportion';
import type { TraySwatch } from '@/contracts/study';
import { editSwatch } from '@/study/edits';
import { Button } from '@/ui/button';
import { NoteField, TextField } from '@/ui/field';
import { Select } from '@/ui/select';
import { percent } from '@/ui/words';
import { Section } from '@/ui/panel-parts';
import { usePaletteHost, useSwatches } from '@/palette/host';
import { SwatchTools } from '@/palette/swatch-tools';

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
      </div>
      <SwatchTools swatch={swatch} />
    </Section>
  );
}
