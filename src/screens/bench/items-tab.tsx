'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { gapWords, stickGaps } from '@/core/mixing/stick-plan';
import { STICK_STANDINGS, type ShelfContent, type ShelfStick } from '@/contracts/shelf';
import { StickCautions } from '@/materials/caution-lines';
import { newId } from '@/study/edits';
import { addSticks, editStick, removeStick, stickName, sticksHere } from '@/study/sticks';
import { STICK_STANDING_WORDS, sticksOfTable, tableOfSticks } from '@/study/sticks-table';
import { Button } from '@/ui/button';
import { CsvForm } from '@/ui/csv-form';
import { offerUndo, say, showError } from '@/ui/notices';
import { Finding, Section } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';
import { capital, count, list, several, valueWords } from '@/ui/words';
import { AddStick } from './add-stick';
import type { TabProps } from './tab-props';

/** Sticks: what lies to hand, what a set lacks, and how they get here. */
export function SticksTab({ shelf, store }: TabProps) {
  const { scale } = useSettings().settings;
  const { change } = store.getState();
  const [find, setFind] = useState('');
  const here = sticksHere(shelf);
  const found = shelf.sticks
    .filter(({ name, set, number }) =>
      `${number} ${name} ${set}`.toLowerCase().includes(find.trim().toLowerCase()),
    )
    .toSorted((one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour));
  const add = (sticks: readonly ShelfStick[]) => {
    try {
      change((was) => addSticks(was, sticks));
    } catch (error) {
      showError(error);
    }
  };
  const remove = (stick: ShelfStick) => {
    change((was) => removeStick(was, stick.id));
    offerUndo(`“${stickName(stick)}” was taken off the shelf.`, () => add([stick]));
  };
  return (
    <div className="mx-auto grid max-w-[100rem] gap-x-8 gap-y-4 px-4 py-4 sm:px-6 md:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0">
        <Finding>{sticksSentence(shelf)}</Finding>
        {here.length > 0 && (
          <div className="mb-3 bg-sheet">
            <Stave
              swatches={here.map(({ id, name, colour }) => ({ id, name, colour, share: null }))}
              scale={scale}
              height={120}
              label={`${capital(several(here.length, 'stick'))} to hand, by value`}
            />
          </div>
        )}
        {shelf.sticks.length > 0 && (
          <input
            type="search"
            aria-label="Find sticks"
            placeholder="Name, number, set"
            value={find}
            maxLength={100}
            onChange={(event) => setFind(event.target.value)}
            className="mb-1 h-10 w-full border border-line bg-sheet px-2.5 placeholder:text-soft"
          />
        )}
        {shelf.sticks.length > 0 && found.length === 0 && (
          <p className="py-3 text-[15px]">No stick has these words.</p>
        )}
        <ul
          aria-label="Sticks"
          className="grid grid-cols-[minmax(0,1fr)] gap-x-6 border-t border-ink lg:grid-cols-2"
        >
          {found.map((stick) => (
            <li
              key={stick.id}
              className="flex min-h-14 min-w-0 flex-wrap items-center gap-x-3 gap-y-1 border-b py-1"
            >
              <span
                aria-hidden
                className="block h-10 w-10 shrink-0"
                style={{ background: hexFromOklab(stick.colour) }}
              />
              <span
                className={`min-w-0 grow basis-40 leading-snug ${stick.standing === 'here' ? '' : 'text-soft italic'}`}
              >
                <span className="block truncate text-[15px]" title={stickName(stick)}>
                  {stickName(stick)}
                </span>
                <span className="block truncate text-sm text-soft">
                  {`value ${valueWords(valueOfOklab(stick.colour), scale)}${stick.set ? `, ${stick.set}` : ''}`}
                </span>
              </span>
              <span className="ml-auto flex shrink-0 items-center">
                <Select
                  label={`Where ${stickName(stick)} is`}
                  value={stick.standing}
                  options={STICK_STANDINGS.map((value) => ({
                    value,
                    title: STICK_STANDING_WORDS[value],
                  }))}
                  onChange={(standing) => change((was) => editStick(was, stick.id, { standing }))}
                />
                <Button
                  weight="quiet"
                  aria-label={`Take ${stickName(stick)} off the shelf`}
                  onClick={() => remove(stick)}
                >
                  ×
                </Button>
              </span>
            </li>
          ))}
        </ul>
      </div>
      <div className="min-w-0">
        {here.length > 0 && (
          <Section title="What lies to hand lacks">
            <p className="text-[15px] leading-snug" data-testid="stick-gaps">
              {gapsSentence(here)}
            </p>
          </Section>
        )}
        <AddStick onAdd={(stick) => add([stick])} />
        <CsvForm
          fileName="Sticks.csv"
          columns="name, set, number, colour (#4c5c75), where"
          write={shelf.sticks.length > 0 ? () => tableOfSticks(shelf.sticks) : null}
          read={(text) => {
            const { sticks, problems } = sticksOfTable(text, newId);
            if (sticks.length > 0) {
              change((was) => addSticks(was, sticks));
              say(`${capital(several(sticks.length, 'stick'))} added.`);
            }
            return problems;
          }}
        />
        <StickCautions />
      </div>
    </div>
  );
}

function sticksSentence({ sticks }: ShelfContent): string {
  if (sticks.length === 0) return 'No sticks yet: bring a set in as a table, or stick by stick.';
  const of = (standing: ShelfStick['standing']) =>
    sticks.filter((stick) => stick.standing === standing).length;
  const parts = [
    `${several(of('here'), 'stick')} to hand`,
    ...(of('away') > 0 ? [`${count(of('away'))} not here today`] : []),
    ...(of('gone') > 0 ? [`${count(of('gone'))} worn down or lost`] : []),
  ];
  return `${capital(list(parts))}.`;
}

function gapsSentence(here: readonly ShelfStick[]): string {
  const gaps = stickGaps(here).map(gapWords);
  return gaps.length > 0
    ? `${capital(list(gaps))}.`
    : 'Nothing: warm, cool and neutral at every value.';
}
