'use client';

import { useState } from 'react';
import { isPushed } from '@/core/amplify/push';
import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import type { FirstColour } from '@/core/mixing/underpainting';
import { TechniqueCautions } from '@/materials/caution-lines';
import type { ShelfContent } from '@/contracts/shelf';
import { newId } from '@/study/edits';
import { addSwatches } from '@/study/palette-edits';
import { itemName, itemsHere } from '@/study/shelf-items';
import { Button } from '@/ui/button';
import { changeBetween } from '@/ui/miss-words';
import { Fold } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { usePushSettings } from '../../../push-settings';
import { useAnswer } from '../../../use-answer';
import { usePalette } from '../../../use-palette';

/** How far quiet colours are brought up where the study strengthens nothing yet. */
const USUAL_PUSH = { lift: 0, quiet: 0.3, spread: 0.5, cast: 'global' } as const;

/** What hue and strength count against lightness, where a stick is chosen to lie under others. */
const LEAN_WEIGHT = 3;

interface Props {
  shelf: ShelfContent;
  medium: 'sticks' | 'paint';
}

/** A few first colours of middle value that lean against what covers them, from what hides in the picture. */
export function Underpainting({ shelf, medium }: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Fold title="Underpainting" aside="from what hides" onToggle={setOpen}>
      {isOpen && <FirstColours shelf={shelf} medium={medium} />}
    </Fold>
  );
}

function FirstColours({ shelf, medium }: Props) {
  const { scale } = useSettings().settings;
  const settings = usePushSettings();
  const palette = usePalette();
  const [count, setCount] = useState(4);
  const push = isPushed(settings.push) ? settings.push : USUAL_PUSH;
  const { value: found, stale } = useAnswer<'underpainting'>({
    kind: 'underpainting',
    settings: { ...settings, push },
    count,
  });
  const sticks = itemsHere(shelf, 'sticks');
  // Here the lean counts before the value.
  const away = ({ colour }: FirstColour, stick: Oklab) =>
    Math.hypot(
      stick.L - colour.L,
      LEAN_WEIGHT * (stick.a - colour.a),
      LEAN_WEIGHT * (stick.b - colour.b),
    );
  const stickFor = (first: FirstColour) =>
    sticks.reduce<(typeof sticks)[number] | null>(
      (best, one) => (best && away(first, best.colour) <= away(first, one.colour) ? best : one),
      null,
    );
  const add = () =>
    found &&
    palette.change((document) =>
      addSwatches(
        document,
        found.map(({ colour, share, lean }) => ({
          id: newId(),
          colour,
          share: null,
          locked: true,
          origin: 'built' as const,
          area: null,
          spread: null,
          role: 'ground' as const,
          note: `To lay first, under ${Math.round(share * 100)} % of the picture; it leans ${lean}.`,
        })),
      ),
    );
  return (
    <div aria-busy={stale} data-testid="underpainting">
      <Slider
        label="First colours"
        value={count}
        min={1}
        max={6}
        words={String(count)}
        onChange={setCount}
      />
      <ul aria-label="First colours" className="my-2 border-t">
        {found?.map((first, i) => {
          const { colour, cover, shows, share, lean, hides } = first;
          const stick = medium === 'sticks' ? stickFor(first) : null;
          return (
            <li key={i} className="flex items-center gap-3 border-b py-1.5">
              <span aria-hidden className="flex shrink-0">
                {[colour, cover, shows].map((one, j) => (
                  <span
                    key={j}
                    className="block h-11 w-8"
                    style={{ background: hexFromOklab(one) }}
                  />
                ))}
              </span>
              <span className="min-w-0 text-sm leading-snug">
                <span className="block text-[15px]">
                  {stick ? itemName(stick) : colourName(colour)}, {lean}, under{' '}
                  {Math.round(share * 100)}&nbsp;%
                </span>
                <span className="block text-soft">
                  {hides ? 'Its hue hides there. ' : 'Against what hides there. '}
                  Where a quarter shows, the {colourName(cover)} over it gets{' '}
                  {changeBetween(cover, shows, scale)}.
                </span>
              </span>
            </li>
          );
        })}
      </ul>
      <Button disabled={!found || found.length === 0} onClick={add}>
        Add them to the palette
      </Button>
      {medium === 'sticks' && (
        <>
          <p className="mt-2 text-sm leading-snug">
            Set them with an alcohol wash, or rub them into the tooth.
          </p>
          <TechniqueCautions medium="sticks" only={['alcohol wash', 'sanded paper']} />
        </>
      )}
    </div>
  );
}
