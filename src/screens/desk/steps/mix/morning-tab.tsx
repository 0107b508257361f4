'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { morningPlan } from '@/core/mixing/morning-plan';
import { paintColour } from '@/core/mixing/paint';
import type { Tube } from '@/core/mixing/tube';
import { ml, morningDrawing, pileAmount } from '@/core/plan/morning-drawing';
import { CautionLines } from '@/materials/caution-lines';
import { Button } from '@/ui/button';
import { Finding, Section } from '@/ui/panel-parts';
import { usePrinted } from '@/ui/use-printed';
import { count } from '@/ui/words';
import { useDocument, useStepView } from '../../desk-store';
import { CanvasForm } from './canvas-form';
import { Underpainting } from './media/underpainting';
import { mixView } from './mix-view';
import { TickRow } from './tick-row';
import type { MixTabProps } from './use-mix';

/** How thick paint lies, in millimetres. */
const FILM_MM = { thin: 0.1, usual: 0.2, thick: 0.5 };
const SPARE = 0.25;

/** What to squeeze out for a canvas, and in which order its piles are mixed; a checklist, and a sheet to print. */
export function MorningTab({ mix: { swatches, recipes, tubes }, shelf }: MixTabProps) {
  const [{ width, height, film, nozzle }] = useStepView(mixView);
  const title = useDocument((document) => document.title);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const { printing, print } = usePrinted();
  if (swatches.length === 0)
    return <Finding>No colours to plan for yet: extract some, or pick them.</Finding>;
  if (!recipes) return <Finding stale>Mixing …</Finding>;
  const planned = swatches.flatMap(({ id, colour, share }, i) => {
    const parts = (recipes[i][0]?.parts ?? []).flatMap(({ tube, parts: amount }) => {
      const found = tubes.find((one) => one.id === tube);
      return found ? [{ tube: found, parts: amount }] : [];
    });
    return parts.length > 0 ? [{ id, colour, share: share || 0.01, parts }] : [];
  });
  if (planned.length === 0) return <Finding>Every tube of the palette is left out.</Finding>;
  const canvas = {
    width: width * 10,
    height: height * 10,
    film: FILM_MM[film],
    spare: SPARE,
    nozzle,
  };
  const plan = morningPlan(planned, canvas);
  const tubeNamed = (tube: Tube) => ({
    name: tubes.find(({ id }) => id === tube.id)?.name ?? tube.id,
    hex: hexFromOklab(paintColour(tube.optics)),
  });
  const pileNamed = (id: string) => {
    const swatch = swatches.find((one) => one.id === id);
    return { name: swatch?.name ?? '', hex: swatch ? hexFromOklab(swatch.colour) : '#ffffff' };
  };
  const tick = (key: string) => {
    const next = new Set(ticked);
    if (!next.delete(key)) next.add(key);
    setTicked(next);
  };
  const save = () =>
    void print(
      [
        morningDrawing(plan, {
          title: `${title}: ${width} × ${height} cm, ${ml(plan.millilitres)}`,
          tube: tubeNamed,
          pile: pileNamed,
        }),
      ],
      title,
      'morning’s plan',
    );
  return (
    <>
      <Finding>
        {`${ml(plan.millilitres)} of paint from ${count(plan.squeezes.length)} tubes, in ${count(plan.mixings)} mixings${plan.mixings < plan.mixingsFromTubes ? ` for ${count(plan.mixingsFromTubes)} from tubes alone` : ''}.`}
      </Finding>
      <CanvasForm />
      <Section
        title="Squeeze out"
        aside={
          <Button onClick={save} disabled={printing}>
            {printing ? 'Printing …' : 'Save PDF'}
          </Button>
        }
      >
        <ul aria-label="Tubes to squeeze out">
          {plan.squeezes.map(({ tube, millilitres, strip }) => {
            const { name, hex } = tubeNamed(tube);
            return (
              <TickRow
                key={tube.id}
                hex={hex}
                title={name}
                detail={`${ml(millilitres)}, a strip of ${strip < 10 ? '1 cm or less' : `${(strip / 10).toFixed(strip < 100 ? 1 : 0)} cm`}`}
                ticked={ticked.has(tube.id)}
                onTick={() => tick(tube.id)}
              />
            );
          })}
        </ul>
      </Section>
      <Section title="Piles, in this order">
        <ol aria-label="Piles">
          {plan.piles.map((pile) => {
            const { name, hex } = pileNamed(pile.id);
            const from = pile.from
              ? [`${ml(pile.from.millilitres)} of “${pileNamed(pile.from.id).name}”`]
              : [];
            const added = pile.added.map(
              ({ tube, millilitres }) => `${ml(millilitres)} ${tubeNamed(tube).name}`,
            );
            return (
              <TickRow
                key={pile.id}
                hex={hex}
                title={`${name}, ${pileAmount(pile)}`}
                detail={[...from, ...added].join(' + ')}
                ticked={ticked.has(pile.id)}
                onTick={() => tick(pile.id)}
              />
            );
          })}
        </ol>
      </Section>
      <Underpainting shelf={shelf} medium="paint" />
      <CautionLines pigments={plan.squeezes.flatMap(({ tube }) => tube.pigments)} studio />
    </>
  );
}
