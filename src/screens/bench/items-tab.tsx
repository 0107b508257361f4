'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { gapWords, stickGaps } from '@/core/mixing/stick-plan';
import {
  ITEM_STANDINGS,
  type ItemKind,
  type ShelfContent,
  type ShelfItem,
} from '@/contracts/shelf';
import { TechniqueCautions } from '@/materials/caution-lines';
import { newId } from '@/study/edits';
import {
  addItems,
  editItem,
  ITEM_NOUN,
  itemName,
  itemsHere,
  removeItem,
} from '@/study/shelf-items';
import { ITEM_STANDING_WORDS, itemsOfTable, tableOfItems } from '@/study/items-table';
import { Button } from '@/ui/button';
import { CsvForm } from '@/ui/csv-form';
import { offerUndo, say, showError } from '@/ui/notices';
import { Finding, Section } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';
import { capital, count, list, several, valueWords } from '@/ui/words';
import { AddItem } from './add-item';
import { SheetPhoto } from './sheet-photo';
import type { TabProps } from './tab-props';

/** A set of fixed colours: what lies to hand, what it lacks, and how it gets here. */
function ItemsTab({ kind, shelf, store }: Pick<TabProps, 'shelf' | 'store'> & { kind: ItemKind }) {
  const noun = ITEM_NOUN[kind];
  const { scale } = useSettings().settings;
  const { change } = store.getState();
  const [find, setFind] = useState('');
  const here = itemsHere(shelf, kind);
  const found = shelf[kind]
    .filter(({ name, set, number }) =>
      `${number} ${name} ${set}`.toLowerCase().includes(find.trim().toLowerCase()),
    )
    .toSorted((one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour));
  const add = (items: readonly ShelfItem[]) => {
    try {
      change((was) => addItems(was, kind, items));
    } catch (error) {
      showError(error);
    }
  };
  const remove = (item: ShelfItem) => {
    change((was) => removeItem(was, kind, item.id));
    offerUndo(`“${itemName(item)}” was taken off the shelf.`, () => add([item]));
  };
  return (
    <div className="mx-auto grid max-w-[100rem] gap-x-8 gap-y-4 px-4 py-4 sm:px-6 md:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0">
        <Finding>{itemsSentence(shelf, kind)}</Finding>
        {here.length > 0 && (
          <div className="mb-3 bg-sheet">
            <Stave
              swatches={here.map(({ id, name, colour }) => ({ id, name, colour, share: null }))}
              scale={scale}
              height={120}
              label={`${capital(several(here.length, noun))} to hand, by value`}
            />
          </div>
        )}
        {shelf[kind].length > 0 && (
          <input
            type="search"
            aria-label={`Find ${kind}`}
            placeholder="Name, number, set"
            value={find}
            maxLength={100}
            onChange={(event) => setFind(event.target.value)}
            className="mb-1 h-10 w-full border border-line bg-sheet px-2.5 placeholder:text-soft"
          />
        )}
        {shelf[kind].length > 0 && found.length === 0 && (
          <p className="py-3 text-[15px]">No {noun} has these words.</p>
        )}
        <ul
          aria-label={capital(kind)}
          className="grid grid-cols-[minmax(0,1fr)] gap-x-6 border-t border-ink lg:grid-cols-2"
        >
          {found.map((item) => (
            <li
              key={item.id}
              className="flex min-h-14 min-w-0 flex-wrap items-center gap-x-3 gap-y-1 border-b py-1"
            >
              <span
                aria-hidden
                className="block h-10 w-10 shrink-0"
                style={{ background: hexFromOklab(item.colour) }}
              />
              <span
                className={`min-w-0 grow basis-40 leading-snug ${item.standing === 'here' ? '' : 'text-soft italic'}`}
              >
                <span className="block truncate text-[15px]" title={itemName(item)}>
                  {itemName(item)}
                </span>
                <span className="block truncate text-sm text-soft">
                  {`value ${valueWords(valueOfOklab(item.colour), scale)}${item.set ? `, ${item.set}` : ''}`}
                </span>
              </span>
              <span className="ml-auto flex shrink-0 items-center">
                <Select
                  label={`Where ${itemName(item)} is`}
                  value={item.standing}
                  options={ITEM_STANDINGS.map((value) => ({
                    value,
                    title: ITEM_STANDING_WORDS[value],
                  }))}
                  onChange={(standing) =>
                    change((was) => editItem(was, kind, item.id, { standing }))
                  }
                />
                <Button
                  weight="quiet"
                  aria-label={`Take ${itemName(item)} off the shelf`}
                  onClick={() => remove(item)}
                >
                  ×
                </Button>
              </span>
            </li>
          ))}
        </ul>
      </div>
      <div className="min-w-0">
        {here.length > 0 && kind !== 'inks' && (
          <Section title="What lies to hand lacks">
            <p className="text-[15px] leading-snug" data-testid="gaps">
              {gapsSentence(here)}
            </p>
          </Section>
        )}
        <SheetPhoto kind={kind} onAdd={add} />
        <AddItem kind={kind} onAdd={(item) => add([item])} />
        <CsvForm
          fileName={`${capital(kind)}.csv`}
          columns="name, set, number, colour (#4c5c75), where"
          write={shelf[kind].length > 0 ? () => tableOfItems(shelf[kind]) : null}
          read={(text) => {
            const { items, problems } = itemsOfTable(text, newId);
            if (items.length > 0) {
              change((was) => addItems(was, kind, items));
              say(`${capital(several(items.length, noun))} added.`);
            }
            return problems;
          }}
        />
        <TechniqueCautions medium={kind} />
      </div>
    </div>
  );
}

export const SticksTab = (props: TabProps) => <ItemsTab kind="sticks" {...props} />;
export const PencilsTab = (props: TabProps) => <ItemsTab kind="pencils" {...props} />;
export const InksTab = (props: TabProps) => <ItemsTab kind="inks" {...props} />;

function itemsSentence(shelf: ShelfContent, kind: ItemKind): string {
  const items = shelf[kind];
  const noun = ITEM_NOUN[kind];
  if (items.length === 0)
    return `No ${kind} yet: bring a set in as a photographed sheet, as a table, or one by one.`;
  const of = (standing: ShelfItem['standing']) =>
    items.filter((item) => item.standing === standing).length;
  const parts = [
    `${several(of('here'), noun)} to hand`,
    ...(of('away') > 0 ? [`${count(of('away'))} not here today`] : []),
    ...(of('gone') > 0 ? [`${count(of('gone'))} worn down or lost`] : []),
  ];
  return `${capital(list(parts))}.`;
}

function gapsSentence(here: readonly ShelfItem[]): string {
  const gaps = stickGaps(here).map(gapWords);
  return gaps.length > 0
    ? `${capital(list(gaps))}.`
    : 'Nothing: warm, cool and neutral at every value.';
}
