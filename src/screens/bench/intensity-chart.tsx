'use client';

import { useMemo, useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { oklchFromOklab } from '@/core/colour/oklab';
import { adjustersOf } from '@/core/mixing/at-value';
import { kindOf } from '@/core/mixing/tube';
import { bestMuting, valueByIntensity, type IntensityCell } from '@/core/mixing/value-intensity';
import { dabChart } from '@/core/plan/dab-chart';
import type { MixingTube } from '@/study/shelf';
import { Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { list, percent, valueWords } from '@/ui/words';
import { PrintButton } from './print-button';
import { TubeSelect } from './tube-select';

/** Munsell values of the rows, light above. */
const VALUES = [9, 8, 7, 6, 5, 4, 3, 2];
/** As many as stand side by side on the sheet. */
const STEPS = 6;

/** One family of colour, value down and intensity across. */
export function IntensityChart({ tubes }: { tubes: readonly MixingTube[] }) {
  const { scale } = useSettings().settings;
  const [familyId, setFamily] = useState('');
  const [mutingId, setMuting] = useState('');
  const colours = tubes.filter((tube) => kindOf(tube) === 'colour');
  const find = (id: string) => tubes.find((tube) => tube.id === id);
  const family = find(familyId) ?? colours[0] ?? tubes[0];
  const own = useMemo(
    () => bestMuting(family, tubes, adjustersOf(tubes))?.id ?? tubes[0].id,
    [family, tubes],
  );
  const muting = find(mutingId || own) ?? tubes[0];
  const rows = useMemo(
    () => valueByIntensity(family, muting, adjustersOf(tubes), VALUES, STEPS),
    [family, muting, tubes],
  );
  const nameOf = (id: string) => find(id)?.name ?? '';
  const words = ({ parts }: IntensityCell) =>
    parts
      .toSorted((one, other) => other.share - one.share)
      .filter(({ share }) => share > 0.0005)
      .map(({ tube, share }) => `${percent(share)} ${nameOf(tube.id)}`);
  const title = `${family.name} dulled by ${muting.name}`;
  return (
    <Section
      title="Value by intensity"
      aside={
        rows.length > 0 && (
          <PrintButton
            name="chart of value by intensity"
            drawing={() =>
              dabChart(
                title,
                rows.map(({ value, cells }) => ({
                  title: `value ${valueWords(value, scale)}`,
                  cells: cells.map((cell) => ({
                    hex: hexFromOklab(cell.colour),
                    words: words(cell),
                  })),
                })),
              )
            }
          />
        )
      }
    >
      <div className="mb-2 grid gap-2 sm:grid-cols-2">
        <TubeSelect label="Family of" tubes={tubes} value={family.id} onChange={setFamily} />
        <TubeSelect label="Dulled by" tubes={tubes} value={muting.id} onChange={setMuting} />
      </div>
      {rows.length === 0 ? (
        <p className="text-[15px]">
          A white or a dark is missing: neither of the two can be brought to a value without.
        </p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={title}>
          <table className="w-full table-fixed text-left text-sm">
            <thead>
              <tr>
                <th scope="col" className="w-14 font-normal text-soft">
                  value
                </th>
                <th scope="col" className="font-normal text-soft">
                  strongest
                </th>
                <td colSpan={STEPS - 2} />
                <th scope="col" className="text-right font-normal text-soft">
                  dullest
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ value, cells }) => (
                <tr key={value}>
                  <th scope="row" className="font-semibold">
                    {valueWords(value, scale)}
                  </th>
                  {cells.map((cell, i) => (
                    <td key={i} className="h-11 p-0">
                      <span
                        role="img"
                        aria-label={`chroma ${oklchFromOklab(cell.colour).C.toFixed(2)}: ${list(words(cell))}`}
                        title={list(words(cell))}
                        className="block h-11"
                        style={{ background: hexFromOklab(cell.colour) }}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Section>
  );
}
