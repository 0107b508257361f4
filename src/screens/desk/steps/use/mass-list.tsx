'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { placeWords } from '@/core/picture/place-words';
import { freeMass, holdMass, withTransfer } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { showError } from '@/ui/notices';
import { Section } from '@/ui/panel-parts';
import { capital, percent, several } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { roundPlace } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import { transferView } from './transfer-view';
import type { Transfer } from './use-transfer';

/** Masses smaller than this are not listed; a touch opens them all the same. */
const LISTED = 0.015;

/** The masses, the largest first: each with its colour; opened, the colours that it could have. */
export function MassList({ transfer: { masses, colours, of, heldOf } }: { transfer: Transfer }) {
  const [{ mass: open }, look] = useStepView(transferView);
  const held = useDocument((document) => document.use.transfer.held.length);
  const { change, slide } = useDeskStore().getState();
  const { originalArea } = usePicture();
  if (!of) return null;
  const listed = masses
    .map((mass, i) => ({ ...mass, i, held: heldOf(i) }))
    .filter((mass) => mass.share >= LISTED || mass.i === open || mass.held.length > 0)
    .sort((one, other) => other.share - one.share);
  const hold = (mass: (typeof listed)[number], colour: string) => {
    try {
      const where = roundPlace(originalArea(mass.place, 0));
      slide();
      change((was) => holdMass(was, where, colour, mass.held));
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Section
      title="Masses"
      aside={
        held > 0 ? (
          <Button
            weight="quiet"
            className="-mb-2 underline"
            onClick={() => change((was) => withTransfer(was, { held: [] }))}
          >
            {`Free ${several(held, 'mass', 'masses')}`}
          </Button>
        ) : (
          'touch one in the picture'
        )
      }
    >
      <ul aria-label="Masses">
        {listed.map((mass) => {
          const { i, share, colour, place } = mass;
          const own = of[i];
          const isOpen = i === open;
          const isHeld = mass.held.length > 0;
          return (
            <li key={i} className="border-b">
              <button
                type="button"
                aria-expanded={isOpen}
                onClick={() => look({ mass: isOpen ? null : i })}
                className="flex min-h-12 w-full items-center gap-3 py-1 text-left hover:bg-faint"
              >
                <span aria-hidden className="flex shrink-0">
                  <span className="block h-9 w-9" style={{ background: hexFromOklab(colour) }} />
                  <span
                    className="block h-9 w-9"
                    style={{ background: hexFromOklab(colours[own].colour) }}
                  />
                </span>
                <span className="min-w-0 text-[15px] leading-snug">
                  <span className="block truncate">
                    {colours[own].name}
                    {isHeld && ', held'}
                  </span>
                  <span className="block text-sm text-soft">
                    {`${capital(placeWords(place))}, ${percent(share)}`}
                  </span>
                </span>
              </button>
              {isOpen && (
                <div className="flex flex-wrap gap-1 pb-2">
                  {colours.map((one, c) => (
                    <button
                      key={one.id}
                      type="button"
                      aria-label={`${one.name} for it`}
                      aria-pressed={isHeld && own === c}
                      title={one.name}
                      onClick={() => hold(mass, one.id)}
                      className={`h-10 w-10 border-2 ${own === c ? 'border-ink' : 'border-transparent'}`}
                      style={{ background: hexFromOklab(one.colour) }}
                    />
                  ))}
                  {isHeld ? (
                    <Button onClick={() => change((was) => freeMass(was, mass.held))}>
                      Free it
                    </Button>
                  ) : (
                    <Button onClick={() => hold(mass, colours[own].id)}>Hold it</Button>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
