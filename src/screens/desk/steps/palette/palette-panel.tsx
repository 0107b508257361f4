'use client';

import { Lock, LockOpen, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { FEWEST_SWATCHES, MOST_SWATCHES } from '@/core/palette/extract';
import { hexFromOklab } from '@/core/colour/hex';
import type { TraySwatch } from '@/contracts/study';
import { Button } from '@/ui/button';
import { ColourDetails } from '@/ui/colour-details';
import { NoteField, TextField } from '@/ui/field';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { percent, valueWords } from '@/ui/words';
import { editSwatch, staysOnExtraction } from '@/study/edits';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import type { usePalette } from '../../use-palette';
import { Finding, Fold, Section } from '../panel-parts';
import { paletteSentence, widestGap } from './palette-sentence';
import { SwatchList } from './swatch-list';

/** Extract, pick, and look closely at one swatch. */
export function PalettePanel({ palette }: { palette: ReturnType<typeof usePalette> }) {
  const { count, swatches } = useDocument((document) => document.palette);
  const selected = useDesk((state) => state.selected);
  const { settings, change: changeSettings } = useSettings();
  const [wanted, setWanted] = useState<number | null>(null);
  const swatch = swatches.find(({ id }) => id === selected);
  const gap = widestGap(swatches);
  const staying = swatches.filter(staysOnExtraction).length;
  const shown = wanted ?? count;
  return (
    <>
      <Finding>
        {paletteSentence(swatches, settings.scale)}
        {gap && (
          <em>
            {' '}
            Nothing lies between {valueWords(gap.from, settings.scale)} and{' '}
            {valueWords(gap.to, settings.scale)}.
          </em>
        )}
      </Finding>
      <Section
        title="Extract"
        aside={staying > 0 ? `${staying} picked or locked will stay` : 'small accents are kept'}
      >
        <Slider
          label="Colours"
          words={String(shown)}
          min={FEWEST_SWATCHES}
          max={MOST_SWATCHES}
          value={shown}
          onChange={setWanted}
          onCommit={(next) => {
            setWanted(null);
            void palette.extract(next);
          }}
        />
      </Section>
      <Section title="Pick by area" aside="click the picture; % of its diagonal">
        <Slider
          label="Radius"
          words={`${(settings.pickRadius * 100).toFixed(1)} %`}
          min={0}
          max={0.1}
          step={0.001}
          value={settings.pickRadius}
          onChange={(pickRadius) => changeSettings({ pickRadius })}
        />
      </Section>
      {swatch ? (
        <OneSwatch key={swatch.id} swatch={swatch} onDelete={() => palette.remove(swatch.id)} />
      ) : (
        swatches.length > 0 && <SwatchList swatches={swatches} />
      )}
    </>
  );
}

function OneSwatch({ swatch, onDelete }: { swatch: TraySwatch; onDelete: () => void }) {
  const { change } = useDeskStore().getState();
  const [name, setName] = useState<string | null>(null);
  const edit = (part: Parameters<typeof editSwatch>[2], key: string) =>
    change((document) => editSwatch(document, swatch.id, part), `${key} ${swatch.id}`);
  return (
    <Section
      title="Swatch"
      aside={`${swatch.origin}${swatch.share === null ? '' : `, ${percent(swatch.share)}`}${swatch.spread === null ? '' : `, spread ${swatch.spread.toFixed(1)}`}`}
    >
      <div className="flex flex-col gap-2">
        <TextField
          label="Name"
          maxLength={200}
          value={name ?? swatch.name}
          fault={
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
            onClick={() =>
              change((document) => editSwatch(document, swatch.id, { locked: !swatch.locked }))
            }
          >
            {swatch.locked ? <Lock size={18} aria-hidden /> : <LockOpen size={18} aria-hidden />}
            {swatch.locked ? 'Locked' : 'Lock'}
          </Button>
          <Button className="grow" onClick={onDelete}>
            <Trash2 size={18} aria-hidden /> Delete
          </Button>
        </div>
      </div>
      <Fold title="Figures" aside={hexFromOklab(swatch.colour)}>
        <ColourDetails colour={swatch.colour} />
      </Fold>
    </Section>
  );
}
