'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { placeWords } from '@/core/picture/place-words';
import { MAX_MOVE, NO_MOVES, type MassMoves } from '@/core/transfer/what-if';
import { moveMass, withoutMoves } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { showError } from '@/ui/notices';
import { Finding, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { capital, percent, several } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { roundPlace } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import { useAnswer } from '../../use-answer';
import { ExportMade } from './export-made';
import { KeepVariant } from './keep-variant';
import { LeftAlone } from './left-alone';
import { LooksChoice } from './looks-choice';
import { transferView } from './transfer-view';
import { whatIfSentence } from './use-sentences';

const PAIRS: readonly [keyof MassMoves, string, string][] = [
  ['value', 'darker', 'lighter'],
  ['warmth', 'cooler', 'warmer'],
  ['chroma', 'duller', 'stronger'],
  ['distance', 'further', 'nearer'],
];

/** One mass lighter, warmer, further …: shown in place, with what that does to the whole. */
export function WhatIfTab() {
  const { scale } = useSettings().settings;
  const [{ mass }, look] = useStepView(transferView);
  const { change, slide } = useDeskStore().getState();
  const { originalArea } = usePicture();
  const squint = useDocument((document) => document.values.squint);
  const moves = useDocument((document) => document.use.whatIf);
  const parts = useDocument((document) => document.use.parts);
  const { value: masses } = useAnswer<'subject'>({ kind: 'subject', squint });
  const at = useAnswer<'massesAt'>(
    moves.length > 0
      ? { kind: 'massesAt', squint, places: moves.map(({ x, y }) => ({ x, y })) }
      : null,
  );
  const open = mass === null ? undefined : masses?.[mass];
  const own = moves.filter((_, i) => at.value?.[i] === mass);
  const is = own.at(-1)?.moves ?? NO_MOVES;
  const where = own.at(-1) ?? (open && roundPlace(originalArea(open.place, 0)));
  const effect = useAnswer<'whatIfEffect'>(
    open && where && own.length > 0
      ? {
          kind: 'whatIfEffect',
          moves,
          squint,
          parts,
          place: { x: where.x, y: where.y },
        }
      : null,
  );
  const move = (key: keyof MassMoves, by: number) => {
    if (!where) return;
    try {
      slide();
      change((was) => moveMass(was, where, { [key]: by }, own));
    } catch (error) {
      showError(error);
    }
  };
  return (
    <>
      <Finding stale={own.length > 0 && (effect.stale || !effect.value)}>
        {!open
          ? 'Touch a mass in the picture: what if it were lighter, or further?'
          : own.length === 0
            ? `${capital(placeWords(open.place))}, ${percent(open.share)} of the picture: as it is.`
            : effect.value
              ? whatIfSentence(effect.value, scale)
              : 'Looking at what that does …'}
      </Finding>
      {open && (
        <Section
          title={
            <span className="flex items-center gap-2">
              <span
                aria-hidden
                className="block h-6 w-8"
                style={{ background: hexFromOklab(open.colour) }}
              />
              This mass
            </span>
          }
          aside={
            own.length > 0 && (
              <Button
                weight="quiet"
                className="-mb-2 underline"
                onClick={() => change((was) => withoutMoves(was, own))}
              >
                As it was
              </Button>
            )
          }
        >
          <ul className="pt-1">
            {PAIRS.map(([key, less, more]) => (
              <li key={key} className="mb-1 grid grid-cols-[1fr_4rem_1fr] items-center gap-1">
                <Button disabled={is[key] <= -MAX_MOVE} onClick={() => move(key, -1)}>
                  {capital(less)}
                </Button>
                <span className="text-center text-[15px] tabular-nums" aria-live="polite">
                  {is[key] === 0 ? '—' : `${is[key] > 0 ? '+' : '−'}${Math.abs(is[key])}`}
                </span>
                <Button disabled={is[key] >= MAX_MOVE} onClick={() => move(key, 1)}>
                  {capital(more)}
                </Button>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {moves.length > 0 && (
        <Section
          title="Changed"
          aside={
            <Button
              weight="quiet"
              className="-mb-2 underline"
              onClick={() => change((was) => withoutMoves(was, null))}
            >
              {moves.length === 1
                ? 'Put it back'
                : `Put all ${several(moves.length, 'mass', 'masses')} back`}
            </Button>
          }
        >
          <ul aria-label="Changed masses">
            {moves.map(({ x, y, moves: steps }, i) => {
              const number = at.value?.[i] ?? null;
              const changed = number === null ? undefined : masses?.[number];
              return (
                <li key={`${x} ${y}`}>
                  <button
                    type="button"
                    aria-pressed={number !== null && number === mass}
                    disabled={number === null}
                    onClick={() => look({ mass: number })}
                    className="flex min-h-10 w-full items-center gap-3 border-b text-left text-[15px] hover:bg-faint"
                  >
                    {changed && (
                      <span
                        aria-hidden
                        className="block h-6 w-8 shrink-0"
                        style={{ background: hexFromOklab(changed.colour) }}
                      />
                    )}
                    <span>
                      {changed
                        ? capital(placeWords(changed.place))
                        : at.value
                          ? 'Outside the frame'
                          : '…'}
                      {`: ${movesWords(steps)}`}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
        </Section>
      )}
      {moves.length > 0 && <LooksChoice beside="before and after" />}
      <LeftAlone />
      {moves.length > 0 && (
        <div className="mt-3 flex flex-wrap gap-2">
          <KeepVariant kind="what if" />
          <ExportMade kind="what if" about="what if" />
        </div>
      )}
    </>
  );
}

function movesWords(moves: MassMoves): string {
  return PAIRS.filter(([key]) => moves[key] !== 0)
    .map(([key, less, more]) => {
      const steps = Math.abs(moves[key]);
      return `${moves[key] < 0 ? less : more}${steps > 1 ? ` by ${steps}` : ''}`;
    })
    .join(', ');
}
