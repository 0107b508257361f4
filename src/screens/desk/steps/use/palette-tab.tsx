'use client';

import { useQuery } from '@tanstack/react-query';
import { hexFromOklab } from '@/core/colour/hex';
import { placeWords } from '@/core/picture/place-words';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { USE_MODES, type TransferFigures } from '@/contracts/desk-query/transfer-queries';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Finding, Section } from '@/ui/panel-parts';
import { queryFor } from '@/ui/queries';
import { Select } from '@/ui/select';
import { capital, percent, several } from '@/ui/words';
import { useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { SavePicture } from './save-picture';
import { transferView } from './transfer-view';
import { useTransfer, type Transfer } from './use-transfer';

const MODE_TITLES = { held: 'values held', strict: 'palette only' };
/** Masses smaller than this are not listed; a touch opens them all the same. */
const LISTED = 0.015;

/** Colours from elsewhere on the picture's masses: whose, how, which way, and each mass by hand. */
export function PaletteTab() {
  const [view, look] = useStepView(transferView);
  const transfer = useTransfer();
  const { colours, state, proposals, made, isStale } = transfer;
  const libraries = useQuery(queryFor(endpoints.listLibraries, {}));
  const figures = useAnswer<'transferFigures'>(made && { kind: 'transferFigures', ...made });
  return (
    <>
      <Finding stale={isStale || figures.stale || (made !== null && !figures.value)}>
        {state === 'gone'
          ? 'The library is not in the Drawers any more.'
          : state === 'loading'
            ? 'Fetching the palette …'
            : colours.length === 0
              ? 'No colours to put on it yet: choose a library, or extract some.'
              : figures.value && made
                ? figureSentence(figures.value, made.mode)
                : 'Putting the colours on its masses …'}
      </Finding>
      <div className="mb-2 flex items-center justify-between gap-3 text-[15px]">
        <span aria-hidden className="shrink-0">
          Colours of
        </span>
        <Select
          label="Colours of"
          value={view.of}
          options={[
            { value: '', title: 'this study' },
            ...(libraries.data ?? []).map(({ id, name }) => ({ value: id, title: name })),
          ]}
          onChange={(of) => look({ of, locks: {}, mass: null })}
        />
      </div>
      <div className="mb-2">
        <Choice
          label="How"
          showLabel={false}
          fill
          value={view.mode}
          options={USE_MODES.map((value) => ({ value, title: MODE_TITLES[value] }))}
          onChange={(mode) => look({ mode })}
        />
      </div>
      {proposals.length > 0 && (
        <div className="mb-3">
          <Choice
            label="Which way"
            showLabel={false}
            columns={proposals.length}
            value={
              proposals.some(({ kind }) => kind === view.proposal)
                ? view.proposal
                : proposals[0].kind
            }
            options={proposals.map(({ kind }) => ({ value: kind, title: kind }))}
            onChange={(proposal) => look({ proposal })}
          />
        </div>
      )}
      {made && <MassList transfer={transfer} />}
      <SavePicture
        about={view.mode === 'held' ? 'other colours' : 'palette only'}
        query={made && { kind: 'transferred', ...made, quick: false }}
      />
    </>
  );
}

function figureSentence({ mean, zones, missed }: TransferFigures, mode: string): string {
  if (mode === 'held')
    return `Values hold: L* is off by ${mean.toFixed(1)} on the mean, and ${percent(zones)} stays in its zone.`;
  return missed > 0.005
    ? `For ${percent(missed)} of it this palette has no such value; ${percent(zones)} stays in its zone.`
    : `Nothing but these colours, and ${percent(zones)} stays in its zone of value.`;
}

/** The masses, the largest first: each with its colour; opened, the colours that it could have. */
function MassList({ transfer: { masses, colours, made } }: { transfer: Transfer }) {
  const [{ locks, mass: open }, look] = useStepView(transferView);
  if (!made) return null;
  const listed = masses
    .map((mass, i) => ({ ...mass, i }))
    .filter(({ share, i }) => share >= LISTED || i === open || locks[i] !== undefined)
    .sort((one, other) => other.share - one.share);
  const lock = (mass: number, colour: number | null) => {
    const { [mass]: _, ...rest } = locks;
    look({ locks: colour === null ? rest : { ...rest, [mass]: colour } });
  };
  const held = Object.keys(locks).length;
  return (
    <Section
      title="Masses"
      aside={
        held > 0 ? (
          <Button weight="quiet" className="underline" onClick={() => look({ locks: {} })}>
            {`Free ${several(held, 'mass', 'masses')}`}
          </Button>
        ) : (
          'touch one in the picture'
        )
      }
    >
      <ul aria-label="Masses">
        {listed.map(({ i, share, colour, place }) => {
          const own = made.of[i];
          const isOpen = i === open;
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
                    {locks[i] !== undefined && ', held'}
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
                      aria-pressed={locks[i] === c}
                      title={one.name}
                      onClick={() => lock(i, c)}
                      className={`h-10 w-10 border-2 ${own === c ? 'border-ink' : 'border-transparent'}`}
                      style={{ background: hexFromOklab(one.colour) }}
                    />
                  ))}
                  {locks[i] !== undefined && <Button onClick={() => lock(i, null)}>Free it</Button>}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
