'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import {
  MIN_DUPLICATE_THRESHOLD,
  mergedColour,
  MAX_DUPLICATE_THRESHOLD,
  nearDuplicates,
  DEFAULT_DUPLICATE_THRESHOLD,
} from '@/core/palette/near-duplicates';
import type { TraySwatch } from '@/contracts/study';
import { mergeSwatches } from '@/study/palette-edits';
import { Button } from '@/ui/button';
import { Slider } from '@/ui/slider';
import { capital, list } from '@/ui/words';
import { Finding, Section } from '@/ui/panel-parts';
import { duplicatesSentence } from './palette-sentence';
import { usePaletteHost, useSwatches } from './host';
import { SwatchPointing } from './swatch-pointing';
import { newId } from '@/study/edits';

/** Groups that are shown one by one: of a library of thousands more would only be scrolled past. */
const MAX_LISTED = 60;

/** Near-duplicates, and what they would become. */
export function DuplicatesTab() {
  const host = usePaletteHost();
  const swatches = useSwatches();
  const [threshold, setThreshold] = useState(DEFAULT_DUPLICATE_THRESHOLD);
  const groups = nearDuplicates(
    swatches.map(({ colour }) => colour),
    threshold,
  ).map((group) => group.map((i) => swatches[i]));
  const merge = (some: readonly TraySwatch[][]) =>
    host.change((document) =>
      some.reduce(
        (was, group) => mergeSwatches(was, new Set(group.map(({ id }) => id)), newId),
        document,
      ),
    );
  return (
    <>
      <Finding>
        {duplicatesSentence(
          swatches.length,
          groups.map((group) => group.length),
        )}
      </Finding>
      <Slider
        label="As near as"
        words={threshold.toFixed(1)}
        min={MIN_DUPLICATE_THRESHOLD}
        max={MAX_DUPLICATE_THRESHOLD}
        step={0.5}
        value={threshold}
        onChange={setThreshold}
      />
      {groups.slice(0, MAX_LISTED).map((group) => {
        const merged = mergedColour(
          group.map(({ colour }) => colour),
          group.map(({ share }) => share ?? 0),
        );
        return (
          <Section
            key={group.map(({ id }) => id).join()}
            title={capital(list(group.map((swatch) => String(swatches.indexOf(swatch) + 1))))}
            aside="are nearly one"
          >
            <div className="flex items-stretch gap-2">
              <div className="grow">
                {group.map((swatch) => (
                  <SwatchPointing
                    key={swatch.id}
                    id={swatch.id}
                    className="flex items-center gap-2 text-[15px]"
                  >
                    <span
                      className="h-7 w-9 shrink-0"
                      style={{ background: hexFromOklab(swatch.colour) }}
                    />
                    <span className="line-clamp-1">{swatch.name}</span>
                  </SwatchPointing>
                ))}
              </div>
              <div className="flex w-24 shrink-0 flex-col">
                <span
                  className="grow"
                  style={{ background: hexFromOklab(merged) }}
                  role="img"
                  aria-label={`Merged: ${hexFromOklab(merged)}`}
                />
                <Button onClick={() => merge([group])}>Merge</Button>
              </div>
            </div>
          </Section>
        );
      })}
      {groups.length > MAX_LISTED && (
        <p className="mb-2 text-soft">
          And {groups.length - MAX_LISTED} groups more; they are merged with all.
        </p>
      )}
      {groups.length > 1 && (
        <Button weight="strong" className="w-full" onClick={() => merge(groups)}>
          Merge all of them
        </Button>
      )}
    </>
  );
}
