'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { PARTS, readProportion, suggestedRoles, withTarget } from '@/core/palette/proportion';
import type { TraySwatch } from '@/contracts/study';
import { withRoles } from '@/study/palette-edits';
import { Button } from '@/ui/button';
import { Slider } from '@/ui/slider';
import { capital, percent } from '@/ui/words';
import { Finding, Section } from '@/ui/panel-parts';
import { proportionSentence } from './palette-sentence';
import { usePaletteHost, usePaletteState } from './host';
import { SwatchPointing } from './swatch-pointing';

/** Swatches whose weight is listed. */
const MAX_LISTED = 100;

/** Shares against a target, and how heavy each swatch is. */
export function ProportionsTab() {
  const host = usePaletteHost();
  const { swatches, target } = usePaletteState(({ document }) => document.palette);
  // Where no share is known each counts alike.
  const isUnknown = swatches.every(({ share }) => share === null);
  const shareOf = ({ share }: TraySwatch) => share ?? (isUnknown ? 1 / swatches.length : 0);
  const weighed = swatches.map((swatch) => ({ ...swatch, share: shareOf(swatch) }));
  const proportion = readProportion(weighed, target);
  const hasRoles = proportion.parts.some(({ share }) => share > 0);
  return (
    <>
      <Finding>
        {isUnknown && swatches.length > 0
          ? 'No share is known: each counts alike until it is given one.'
          : proportionSentence(swatches, proportion)}
      </Finding>
      <Section title="Main, second, accent" aside="as it is, and as it is to be">
        {proportion.parts.map(({ part, share, target: wanted }) => (
          <div key={part} className="border-b pb-1">
            <div className="flex items-center gap-2 text-[15px]">
              <span className="w-16">{capital(part)}</span>
              <span className="relative h-4 grow border border-line">
                <span
                  className="absolute inset-y-0 left-0 bg-ink"
                  style={{ width: `${share * 100}%` }}
                />
                <span
                  className="absolute -inset-y-1 w-0.5 bg-ink outline-1 outline-sheet"
                  style={{ left: `${wanted * 100}%` }}
                />
              </span>
              <span className="w-11 text-right">{percent(share)}</span>
            </div>
            <Slider
              label="Target"
              said={`Target of ${part}`}
              words={percent(wanted)}
              min={0.01}
              max={0.98}
              step={0.01}
              value={wanted}
              onChange={(next) =>
                host.change(
                  (document) => ({
                    ...document,
                    palette: {
                      ...document.palette,
                      target: withTarget(document.palette.target, part, next),
                    },
                  }),
                  `target ${part}`,
                )
              }
            />
          </div>
        ))}
        <Button
          className="mt-2 w-full"
          onClick={() => host.change((document) => withRoles(document, suggestedRoles(weighed)))}
        >
          {hasRoles ? 'Give the roles anew' : 'Give roles by size and strength'}
        </Button>
      </Section>
      <Section title="Weight" aside="share, weight">
        {swatches.slice(0, MAX_LISTED).map((swatch, i) => (
          <SwatchPointing
            key={swatch.id}
            id={swatch.id}
            className="flex items-center gap-2 border-b text-[15px]"
          >
            <span
              className="h-7 w-7 shrink-0"
              style={{ background: hexFromOklab(swatch.colour) }}
            />
            <span className="line-clamp-1 grow">{swatch.name}</span>
            {swatch.role && PARTS.some((part) => part === swatch.role) && (
              <em className="shrink-0 font-serif">{swatch.role}</em>
            )}
            <span className="w-22 shrink-0 text-right">
              {percent(shareOf(swatch))}, {percent(proportion.weights[i])}
            </span>
          </SwatchPointing>
        ))}
        {swatches.length > MAX_LISTED && (
          <p className="mt-2 text-soft">
            And {swatches.length - MAX_LISTED} more, not listed here.
          </p>
        )}
      </Section>
    </>
  );
}
