'use client';

import { ArrowDownUp, ListChecks } from 'lucide-react';
import { ordered, ORDERS } from '@/study/palette-edits';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { several } from '@/ui/words';
import { usePaletteHost, usePaletteState, useSwatches } from './host';

/** How many colours there are, in what order they stand, and whether a tap adds to what is chosen. */
export function StaveHead() {
  const host = usePaletteHost();
  const swatches = useSwatches();
  const choosing = usePaletteState((state) => state.choosing);
  const locked = swatches.filter((swatch) => swatch.locked).length;
  return (
    <div className="flex w-37 shrink-0 flex-col justify-between border-r px-4.5 py-3 max-[1000px]:w-30 max-[1000px]:px-3 max-sm:w-13 max-sm:px-1.5">
      <div>
        <h2 className="font-serif text-lg italic max-sm:sr-only">Palette</h2>
        <p className="text-sm leading-snug text-soft max-sm:sr-only">
          {swatches.length === 0 ? 'empty' : several(swatches.length, 'colour')}
          {locked > 0 && `, ${locked} locked`}
        </p>
        <p aria-hidden className="text-center font-serif text-lg italic sm:hidden">
          {swatches.length}
        </p>
      </div>
      {swatches.length > 1 && (
        <div className="-mx-2 flex flex-col items-start max-sm:mx-0">
          <Menu
            side="top"
            trigger={
              <Button weight="quiet" className="px-2 text-sm">
                <ArrowDownUp size={16} aria-hidden /> <span className="max-sm:sr-only">Order</span>
              </Button>
            }
            items={ORDERS.map((order) => ({
              title: `By ${order}`,
              onSelect: () => host.change((document) => ordered(document, order)),
            }))}
          />
          <div className="flex max-sm:flex-col">
            <Button
              weight="quiet"
              className="px-2 text-sm aria-pressed:bg-ink aria-pressed:text-sheet"
              aria-pressed={choosing}
              onClick={() => host.select({ choosing: !choosing })}
            >
              <ListChecks size={16} aria-hidden className={choosing ? 'sm:hidden' : ''} />
              <span className="max-sm:sr-only">Several</span>
            </Button>
            {choosing && (
              <Button
                weight="quiet"
                className="px-1.5 text-sm"
                aria-label="All of them"
                onClick={() =>
                  host.select({ selected: swatches[0].id, chosen: swatches.map(({ id }) => id) })
                }
              >
                All
              </Button>
            )}
          </div>
        </div>
      )}
    </div>
  );
}
