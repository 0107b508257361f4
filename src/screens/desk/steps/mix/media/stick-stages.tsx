'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { laidOut, STICK_STAGES } from '@/core/mixing/stick-plan';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { ShelfItem } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import { TechniqueCautions } from '@/materials/caution-lines';
import { itemName } from '@/study/shelf-items';
import { Section } from '@/ui/panel-parts';
import { several } from '@/ui/words';
import { TickRow } from '../tick-row';

interface Props {
  swatches: readonly TraySwatch[];
  recipes: readonly (readonly StickRecipe[])[];
  sticks: readonly ShelfItem[];
}

/** The sticks of a picture in the order they are used, as a list to tick. */
export function StickStages({ swatches, recipes, sticks }: Props) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const plan = laidOut(
    swatches.map(({ colour, share, role }, i) => ({
      colour,
      share: share ?? 0,
      role,
      recipe: recipes[i][0],
    })),
  );
  const nameOf = (id: string) => {
    const found = sticks.find((stick) => stick.id === id);
    return found ? itemName(found) : '';
  };
  const tick = (id: string) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    setTicked(next);
  };
  return (
    <Section title="Lay out, in this order" aside={several(plan.length, 'stick')}>
      {STICK_STAGES.map((stage) => {
        const own = plan.filter((one) => one.stage === stage);
        return (
          own.length > 0 && (
            <section key={stage} aria-label={stage}>
              <h3 className="pt-2 text-sm text-soft">{stage}</h3>
              <ul>
                {own.map(({ stick, share }) => (
                  <TickRow
                    key={stick.id}
                    hex={hexFromOklab(stick.colour)}
                    title={nameOf(stick.id)}
                    detail={share < 0.01 ? 'a touch' : `on ${Math.round(share * 100)} % of it`}
                    ticked={ticked.has(stick.id)}
                    onTick={() => tick(stick.id)}
                  />
                ))}
              </ul>
            </section>
          )
        );
      })}
      <TechniqueCautions medium="sticks" only={['pastel dust', 'fixative']} />
    </Section>
  );
}
