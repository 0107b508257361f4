'use client';

import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { MAX_INKS } from '@/core/mixing/inks';
import { PLATE_LOOKS } from '@/core/mixing/plates';
import { ofInks } from '@/study/medium-recipes';
import { itemName, itemsHere } from '@/study/shelf-items';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/field';
import { Finding, Fold, Section } from '@/ui/panel-parts';
import { Tick } from '@/ui/tick';
import { capital, count, list, several } from '@/ui/words';
import { useStepView } from '../../../desk-store';
import { useAnswer } from '../../../use-answer';
import { INK_LENSES, mixView } from '../mix-view';
import { DEFAULT_PAPER, inkSet } from '@/study/ink-set';
import { LayeredList } from './layered-list';
import type { MediumProps } from './medium-props';
import { NothingHere } from './nothing-here';
import { PlatesForm } from './plates-form';
import { useLightFirst } from './use-light-first';

/** A colour that is missed by more than this, CIEDE2000, is lost in the print. */
const LOST = 6;
const LOOK_TITLES = { tones: 'with tones', flat: 'flat' };

/** Each colour as inks cover the paper; the overprints, the plates, and what is lost. */
export function InksPanel({ shelf, store }: MediumProps) {
  const [view, look] = useStepView(mixView);
  const here = itemsHere(shelf, 'inks');
  const swatches = useLightFirst();
  const set = inkSet(shelf, view);
  const { value, stale } = useAnswer<'separations'>(
    set
      ? {
          kind: 'separations',
          colours: swatches.map(({ colour }) => colour),
          paper: set.paper,
          inks: set.inks,
          strengths: set.strengths,
        }
      : null,
  );
  if (!set)
    return (
      <NothingHere
        kind="inks"
        need={
          here.length === 1 ? 'One ink alone makes no overprint: two are the fewest.' : undefined
        }
      />
    );
  const found = value?.colours.length === swatches.length ? value : null;
  const ids = set.items.map(({ id }) => id);
  const recipes =
    found?.colours
      .map((one) => ofInks(shelf, ids, set.paper, one))
      .map((one) => (one ? [one] : [])) ?? null;
  const lost = swatches.filter(
    ({ colour }, i) =>
      found && ciede2000(labFromOklab(colour), labFromOklab(found.colours[i].colour)) > LOST,
  );
  const choose = (id: string, on: boolean) => {
    const next = here.map((item) => item.id).filter((one) => (one === id ? on : ids.includes(one)));
    look({ inks: next.slice(0, MAX_INKS).join(), ink: 'none' });
  };
  return (
    <>
      <Finding stale={stale || !found}>
        {found
          ? `${capital(several(set.items.length, 'ink'))} make ${count(found.overprints.length - 1)} colours and the paper; ${lostWords(lost)}`
          : 'Printing your inks over one another …'}
      </Finding>
      {found && (
        <div
          className="mb-3 grid h-14 grid-flow-col auto-cols-fr border border-ink"
          role="img"
          aria-label={`The overprints: ${count(found.overprints.length - 1)} colours and the paper`}
        >
          {found.overprints.map(({ colour }, i) => (
            <span key={i} style={{ background: hexFromOklab(colour) }} />
          ))}
        </div>
      )}
      <Fold title="Inks and paper" aside={several(set.items.length, 'ink')}>
        {here.map((item) => {
          const isOn = ids.includes(item.id);
          return (
            <div key={item.id} className="flex items-center gap-2">
              <span
                aria-hidden
                className="block h-7 w-7 shrink-0"
                style={{ background: hexFromOklab(item.colour) }}
              />
              <Tick checked={isOn} onChange={(on) => choose(item.id, on)}>
                {itemName(item)}
              </Tick>
            </div>
          );
        })}
        <p className="text-sm text-soft">Two to five print together, in this order.</p>
        <TextField
          label="Paper, as hex"
          value={view.paper || DEFAULT_PAPER}
          error={
            view.paper && !oklabFromHex(view.paper) ? 'Not a colour yet: try #f4efe3.' : undefined
          }
          maxLength={40}
          onChange={(event) => look({ paper: event.target.value })}
        />
      </Fold>
      <Section title="Over the picture">
        <Choice
          label="What of the plates lies over the picture"
          showLabel={false}
          fill
          value={view.ink}
          options={INK_LENSES.slice(0, 2 + set.items.length).map((value) => ({
            value,
            title: value === 'none' ? 'nothing' : value,
            said: Number(value) > 0 ? `plate ${value}` : undefined,
          }))}
          onChange={(ink) => look({ ink })}
        />
        <div className="mt-2">
          <Choice
            label="Plates"
            value={view.look}
            options={PLATE_LOOKS.map((value) => ({ value, title: LOOK_TITLES[value] }))}
            onChange={(next) => look({ look: next })}
          />
        </div>
      </Section>
      <PlatesForm set={set} />
      <LayeredList
        medium="inks"
        label="Inks for each colour"
        swatches={swatches}
        recipes={recipes}
        isStale={stale}
        shelf={shelf}
        store={store}
      />
    </>
  );
}

function lostWords(lost: readonly { name: string }[]): string {
  return lost.length === 0
    ? 'no colour of the palette is lost.'
    : `${list(lost.map(({ name }) => name))} ${lost.length === 1 ? 'is' : 'are'} lost.`;
}
