'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { shortName } from '@/core/colour/name';
import { wheelOf } from '@/core/colour/wheel';
import { MIN_LIMITED, FIELD_ROWS, MAX_LIMITED, type Reach } from '@/core/palette/reach';
import { useSettings } from '@/ui/settings';
import { initials } from '@/ui/tide';
import { percent, valueWords } from '@/ui/words';
import { Finding, Section } from '@/ui/panel-parts';
import { usePaletteHost, useSwatches, type ReachAnswer } from './host';

/** Swatches that are offered to choose among. */
const MAX_OFFERED = 120;

/** What three to eight colours of the tray can make, and what of the picture that reaches. */
export function LimitedForm({
  chosen,
  onChoose,
}: {
  chosen: readonly string[];
  onChoose: (ids: readonly string[]) => void;
}) {
  const swatches = useSwatches();
  const { settings } = useSettings();
  const { useReach } = usePaletteHost();
  const members = swatches.filter(({ id }) => chosen.includes(id));
  const colours = members.map(({ colour }) => colour);
  const isEnough = colours.length >= MIN_LIMITED && colours.length <= MAX_LIMITED;
  const { value: reach, stale } = useReach(isEnough ? colours : null, settings.wheel);
  return (
    <>
      <Finding stale={stale}>{limitedSentence(members.length, reach)}</Finding>
      <Section
        title="Which"
        aside={`${MIN_LIMITED} to ${MAX_LIMITED}, and white${swatches.length > MAX_OFFERED ? `; the first ${MAX_OFFERED}` : ''}`}
      >
        <div className="grid grid-cols-6 gap-1.5">
          {swatches.slice(0, MAX_OFFERED).map(({ id, name, colour }, i) => {
            const isChosen = chosen.includes(id);
            return (
              <button
                key={id}
                type="button"
                aria-pressed={isChosen}
                aria-label={`${i + 1}, ${name}`}
                title={name}
                disabled={!isChosen && chosen.length >= MAX_LIMITED}
                onClick={() =>
                  onChoose(isChosen ? chosen.filter((one) => one !== id) : [...chosen, id])
                }
                className="flex h-12 flex-col disabled:opacity-45"
              >
                <span className="grow" style={{ background: hexFromOklab(colour) }} />
                <span className={`text-xs ${isChosen ? 'bg-ink font-semibold text-sheet' : ''}`}>
                  {isChosen ? `${i + 1} ✓` : i + 1}
                </span>
              </button>
            );
          })}
        </div>
      </Section>
      {reach && isEnough && (
        <Section title="The strongest mixes" aside="the wider, the stronger">
          <Field reach={reach} />
        </Section>
      )}
    </>
  );
}

function limitedSentence(chosen: number, reach: ReachAnswer['value']): string {
  if (chosen < MIN_LIMITED)
    return `Choose ${MIN_LIMITED} colours or more: what can they make between them?`;
  if (!reach) return 'Mixing …';
  const beyond =
    reach.beyond && reach.beyond.share >= 0.01
      ? ` Out of reach is ${percent(reach.beyond.share)}, on average ${shortName(reach.beyond.colour)}.`
      : '';
  const mixes = `${reach.mixes} mixes of two and three`;
  const reached =
    reach.reached === null
      ? `They give ${mixes}.`
      : `${mixes} reach ${percent(reach.reached)} of the picture.${beyond}`;
  return `${reached} An estimate: paints mix by more than three bands of light.`;
}

/** The chroma of a mix that fills its place. */
const STRONGEST = 0.2;

function Field({ reach: { field } }: { reach: Pick<Reach, 'field'> }) {
  const { settings } = useSettings();
  const { families } = wheelOf(settings.wheel);
  const step = 10 / FIELD_ROWS;
  return (
    <table className="w-full table-fixed text-center text-xs">
      <tbody>
        {field
          .map((row, i) => (
            <tr key={i}>
              <th className="w-12 text-right font-normal text-soft">
                {valueWords((i + 0.5) * step, settings.scale)}
              </th>
              {row.map((mix, family) => (
                <td key={family} className="h-8 p-px">
                  {mix && (
                    <span
                      className="mx-auto block h-full"
                      style={{
                        background: hexFromOklab(mix.colour),
                        width: `${Math.min(100, 20 + (mix.chroma / STRONGEST) * 80)}%`,
                      }}
                      role="img"
                      aria-label={`${families[family]}: chroma ${mix.chroma.toFixed(2)}`}
                      title={`${families[family]}, chroma ${mix.chroma.toFixed(2)}`}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))
          .reverse()}
        <tr>
          <td />
          {families.map((family) => (
            <td key={family} title={family}>
              {initials(family)}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
