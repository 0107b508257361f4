'use client';

import Link from 'next/link';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { laidOut, STICK_STAGES } from '@/core/mixing/stick-plan';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { ShelfContent, ShelfStick } from '@/contracts/shelf';
import { StickCautions } from '@/materials/caution-lines';
import { stickName, sticksHere } from '@/study/sticks';
import { Finding, Section } from '@/ui/panel-parts';
import { capital, count, several } from '@/ui/words';
import { useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { StickRow } from './stick-row';
import { TickRow } from './tick-row';

/** A colour that costs more than this is another one: half a value step, or as much beside it. */
const NEAR = 0.5;

/** Each colour beside the stick that comes nearest, alone or lightly laid over, and what to lay out for the day. */
export function SticksPanel({ shelf }: { shelf: ShelfContent }) {
  const here = sticksHere(shelf);
  const all = useDocument((document) => document.palette.swatches);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const swatches = all.toSorted(
    (one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
  const { value, stale } = useAnswer<'stickRecipes'>(
    here.length > 0 && swatches.length > 0
      ? {
          kind: 'stickRecipes',
          colours: swatches.map(({ colour }) => colour),
          sticks: here.map(({ id, colour }) => ({ id, colour })),
        }
      : null,
  );
  if (here.length === 0)
    return (
      <>
        <Finding>No stick lies to hand.</Finding>
        <Link
          href="/bench?tab=sticks"
          className="inline-flex min-h-10 items-center border border-ink bg-ink px-3 font-semibold text-sheet"
        >
          Bring a set in, at the Bench
        </Link>
      </>
    );
  const recipes = value?.length === swatches.length ? value : null;
  const nameOf = (id: string) => nameIn(here, id);
  const planned = swatches.flatMap(({ colour, share, role }, i) => {
    const recipe = recipes?.[i]?.[0];
    return recipe ? [{ colour, share: share ?? 0, role, recipe }] : [];
  });
  const plan = laidOut(planned);
  const tick = (id: string) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    setTicked(next);
  };
  return (
    <>
      <Finding stale={stale || !recipes}>
        {swatches.length === 0
          ? 'No colours to lay yet: extract some, or pick them.'
          : recipes
            ? nearSentence(recipes, here.length)
            : 'Holding your sticks against the palette …'}
      </Finding>
      <ul aria-label="Sticks for each colour" className="mb-3 border-t border-ink">
        {swatches.map((swatch, i) => (
          <StickRow
            key={swatch.id}
            swatch={swatch}
            recipes={recipes?.[i] ?? null}
            nameOf={nameOf}
          />
        ))}
      </ul>
      {plan.length > 0 && (
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
          <StickCautions />
        </Section>
      )}
    </>
  );
}

function nameIn(sticks: readonly ShelfStick[], id: string): string {
  const found = sticks.find((stick) => stick.id === id);
  return found ? stickName(found) : '';
}

function nearSentence(recipes: readonly (readonly StickRecipe[])[], sticks: number): string {
  const near = recipes.filter(([best]) => best.cost <= NEAR).length;
  const alone = recipes.filter(([best]) => best.over === null).length;
  const is = near === 1 ? 'is' : 'are';
  return `${capital(count(near))} of ${several(recipes.length, 'colour')} ${is} near what ${several(sticks, 'stick')} can lay; ${count(alone)} by one stick alone.`;
}
