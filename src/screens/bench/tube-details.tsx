'use client';

import { pigmentOf, PIGMENTS } from '@/core/mixing/pigments/pigments';
import { MAX_PIGMENTS, MAX_STRENGTH, type ShelfTube } from '@/contracts/shelf';
import { OPACITIES } from '@/core/mixing/pigment';
import { opacityOf } from '@/core/mixing/tube';
import { CautionLines } from '@/materials/caution-lines';
import { plainTube, type MixingTube } from '@/study/shelf';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { Section } from '@/ui/panel-parts';
import { Slider } from '@/ui/slider';
import { CardForm } from './card-form';
import { capital, list, several } from '@/ui/words';

interface Props {
  tube: ShelfTube;
  mixing: MixingTube;
  onChange: (part: Partial<Omit<ShelfTube, 'id'>>) => void;
  onRemove: () => void;
}

const OPTIONS = PIGMENTS.map(({ id, names }) => ({ id, title: `${id}, ${names[0]}` }));

/** All that is known of a tube, to be put right. */
export function TubeDetails({ tube, mixing, onChange, onRemove }: Props) {
  const pigments = tube.pigments.flatMap((id) => pigmentOf(id) ?? []);
  const setPigment = (at: number, id: string) =>
    onChange({
      pigments:
        id === '' ? tube.pigments.filter((_, i) => i !== at) : tube.pigments.toSpliced(at, 1, id),
    });
  const rows = Math.min(MAX_PIGMENTS, tube.pigments.length + 1);
  const usual = opacityOf(pigments);
  const strength = [...new Set(pigments.map((one) => one.strength))];
  return (
    <Section title={tube.name.trim() || 'A tube'}>
      <p className="mb-2 text-[15px] leading-snug">
        {capital(tube.opacity ?? usual)}, {list(strength)} in tints.{' '}
        {pigments.length === 1 ? pigments[0].known : ''}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <div className="col-span-2">
          <TextField
            label="Name"
            value={tube.name}
            maxLength={120}
            error={tube.name.trim() ? undefined : 'A tube needs a name.'}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        </div>
        <TextField
          label="Maker"
          value={tube.maker}
          maxLength={120}
          onChange={(event) => onChange({ maker: event.target.value })}
        />
        <TextField
          label="Number"
          value={tube.number}
          maxLength={40}
          onChange={(event) => onChange({ number: event.target.value })}
        />
      </div>
      <div className="mt-2 flex flex-col gap-1">
        {Array.from({ length: rows }, (_, at) => (
          <select
            key={at}
            aria-label={at === 0 ? 'Pigment' : `Pigment ${at + 1}`}
            value={tube.pigments[at] ?? ''}
            onChange={(event) => setPigment(at, event.target.value)}
            className="h-10 w-full border border-line bg-sheet px-2 text-[15px]"
          >
            {at > 0 && <option value="">no other pigment</option>}
            {OPTIONS.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        ))}
      </div>
      <Slider
        label="Strength"
        said="How many times as strong as usual"
        min={-2}
        max={2}
        step={0.1}
        value={Math.log2(tube.strength)}
        words={`${tube.strength.toFixed(2)} ×`}
        onChange={(power) => onChange({ strength: boundedStrength(2 ** power) })}
      />
      <label className="flex flex-col gap-0.5">
        <span className="text-sm text-soft">Opacity, by its label</span>
        <select
          value={tube.opacity ?? ''}
          onChange={({ target }) =>
            onChange({ opacity: OPACITIES.find((one) => one === target.value) ?? null })
          }
          className="h-10 w-full border border-line bg-sheet px-2 text-[15px]"
        >
          <option value="">as its pigments: {usual}</option>
          {OPACITIES.map((opacity) => (
            <option key={opacity}>{opacity}</option>
          ))}
        </select>
      </label>
      {mixing.correctedBy > 0 && (
        <p className="text-sm text-soft">
          Corrected by {several(mixing.correctedBy, 'mixture')} of yours.
        </p>
      )}
      <CardForm
        plain={plainTube(tube).optics}
        card={tube.card}
        onCard={(card) => onChange({ card })}
      />
      <PriceField price={tube.pricePerMl} onChange={(pricePerMl) => onChange({ pricePerMl })} />
      <CautionLines pigments={pigments} />
      <div className="mt-3">
        <Button onClick={onRemove}>Take off the shelf</Button>
      </div>
    </Section>
  );
}

const boundedStrength = (times: number) =>
  Math.min(MAX_STRENGTH, Math.max(1 / MAX_STRENGTH, times));

function PriceField({
  price,
  onChange,
}: {
  price: number | null;
  onChange: (price: number | null) => void;
}) {
  return (
    <TextField
      label="Price of a millilitre, if you like"
      type="number"
      min={0}
      max={1000}
      step={0.01}
      value={price ?? ''}
      onChange={(event) => {
        const typed = event.target.value === '' ? null : Number(event.target.value);
        if (typed === null || (typed >= 0 && typed <= 1000)) onChange(typed);
      }}
    />
  );
}
