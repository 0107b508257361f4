'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Colourway } from '@/core/pattern/colourway';
import { holdPaint } from '@/study/pattern-edits';
import { Button } from '@/ui/button';
import { Section } from '@/ui/panel-parts';
import { pointing } from '@/ui/pointing';
import { percent } from '@/ui/words';
import { dropOn, useHand } from './hand';
import { useDrawing } from './drawing-room';
import { useChange, useContent } from './use-pattern';

const FREE = 'free';
const OWN = 'own';
/** More colours than these are listed when somebody asks. */
const LISTED = 40;

interface Props {
  tried: Colourway;
  onPoint: (paint: string | null) => void;
}

/** The drawing's own colours by value, each with what it becomes; any can be held on a colour, or keep its own. */
export function PaintList({ tried, onPoint }: Props) {
  const { painted, nameOf } = useDrawing();
  const change = useChange();
  const hand = useHand();
  const held = useContent(({ choice }) => choice.held);
  const heldBy = new Map(held.map(({ paint, colour }) => [paint, colour]));
  const paints = painted.paints.toSorted((one, other) => other.value - one.value);
  const [isWhole, setWhole] = useState(false);
  const listed = isWhole ? paints : paints.slice(0, LISTED);
  const colours = tried.inks?.colours ?? tried.palette;
  return (
    <Section title="The drawing’s colours" aside="from light to dark">
      <ul aria-label="The drawing’s colours">
        {listed.map(({ hex, area }) => {
          const now = tried.map.get(hex) ?? hex;
          const hold = heldBy.get(hex);
          return (
            <li
              key={hex}
              {...dropOn(`paint:${hex}`)}
              {...pointing(
                () => onPoint(hex),
                () => onPoint(null),
              )}
              className="grid grid-cols-[2.25rem_1rem_2.25rem_1fr] items-center gap-1 border-b py-1 text-[15px]"
            >
              <span className="h-8 w-9" style={{ background: hex }} />
              <span aria-hidden className="text-center">
                →
              </span>
              <button
                type="button"
                aria-label={
                  hand.colour
                    ? `Put the colour in hand on ${nameOf(hex)}`
                    : `${nameOf(hex)} becomes ${now}`
                }
                disabled={!hand.colour}
                onClick={() => hand.putOnPaint(hex)}
                className={`h-10 w-9 ${hand.colour ? 'outline-1 outline-offset-1 outline-ink' : ''}`}
                style={{ background: now }}
              />
              <span className="flex min-w-0 items-center gap-1">
                <span className="min-w-0 grow leading-tight">
                  <span className="block truncate">{nameOf(hex)}</span>
                  <span className="block text-sm text-soft">{percent(area)}</span>
                </span>
                <select
                  aria-label={`${nameOf(hex)} becomes`}
                  value={hold === undefined ? FREE : (hold ?? OWN)}
                  onChange={({ target: { value } }) =>
                    change(
                      holdPaint(hex, value === FREE ? undefined : value === OWN ? null : value),
                    )
                  }
                  className={`h-10 w-28 border bg-sheet px-1 text-sm ${hold === undefined ? 'border-line' : 'border-ink font-semibold'}`}
                >
                  <option value={FREE}>as it comes</option>
                  <option value={OWN}>its own colour</option>
                  {colours.map(({ id, name, colour }) => (
                    <option key={id} value={id}>{`${name} ${hexFromOklab(colour)}`}</option>
                  ))}
                </select>
              </span>
            </li>
          );
        })}
      </ul>
      {listed.length < paints.length && (
        <Button weight="quiet" onClick={() => setWhole(true)}>
          {`Show all ${paints.length}`}
        </Button>
      )}
    </Section>
  );
}
