'use client';

import { Lock } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { TraySwatch } from '@/contracts/study';
import { pointingByMouse } from '@/ui/pointing';
import { useSettings } from '@/ui/settings';
import { percent, valueWords } from '@/ui/words';
import { usePaletteHost, usePaletteState } from './host';

/** The stave's table: every swatch with its whole name and figures; a click takes it up. */
export function SwatchList({ swatches }: { swatches: readonly TraySwatch[] }) {
  const { settings } = useSettings();
  const { select } = usePaletteHost();
  const hovered = usePaletteState((state) => state.hovered);
  return (
    <table className="w-full table-fixed text-[15px]">
      <thead className="text-sm text-soft">
        <tr>
          <th className="text-left font-normal">swatch</th>
          <th className="w-11 text-right font-normal">value</th>
          <th className="w-14 text-right font-normal">share</th>
        </tr>
      </thead>
      <tbody>
        {swatches.map((swatch, i) => {
          const pointed = hovered === swatch.id;
          return (
            <tr
              key={swatch.id}
              className={`border-t ${pointed ? 'bg-faint' : ''}`}
              {...pointingByMouse(
                () => select({ hovered: swatch.id }),
                () => select({ hovered: null }),
              )}
            >
              <td>
                <button
                  type="button"
                  onFocus={() => select({ hovered: swatch.id })}
                  onBlur={() => select({ hovered: null })}
                  onClick={() => select({ selected: swatch.id })}
                  className="flex h-10 w-full items-center gap-2 text-left"
                >
                  <span
                    className="h-7 w-7 shrink-0"
                    style={{ background: hexFromOklab(swatch.colour) }}
                  />
                  <span className="w-5 shrink-0 text-right font-semibold">{i + 1}</span>
                  <span className="truncate" title={swatch.name}>
                    {swatch.name}
                  </span>
                  {swatch.locked && <Lock size={14} className="shrink-0" aria-label="locked" />}
                </button>
              </td>
              <td className="text-right">
                {valueWords(valueOfOklab(swatch.colour), settings.scale)}
              </td>
              <td className="text-right">{swatch.share === null ? '' : percent(swatch.share)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
