'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import type { ColourStudy } from '@/core/measure/colour-study';
import type { HarmonyFit } from '@/core/measure/harmony';
import { useSettings } from '@/ui/settings';
import { initials } from '@/ui/tide';
import { capital, percent } from '@/ui/words';
import { Finding, Section } from '../../panel/panel-parts';
import { harmonySentence } from './colour-sentences';
import { SwatchLine } from '../../panel/swatch-line';

/** Which schemes it is near, with the evidence. */
export function HarmonyTab({ reading: { harmony: reading } }: { reading: ColourStudy }) {
  const { fits, outside, round, roundColours } = reading;
  const { settings } = useSettings();
  const wheel = wheelOf(settings.wheel);
  const [chosen, setChosen] = useState<string | null>(null);
  const fit = fits.find(({ scheme }) => scheme === chosen) ?? fits[0];
  return (
    <>
      <Finding>{harmonySentence(reading)}</Finding>
      {fit && (
        <>
          <Section title={capital(fit.scheme)} aside={wheel.title}>
            <WheelPicture
              fit={fit}
              round={round}
              colours={roundColours}
              families={wheel.families}
            />
          </Section>
          <Section title="All schemes" aside="fit of 100">
            <div className="grid grid-cols-2 gap-x-3">
              {fits.map(({ scheme, fit: of }) => (
                <button
                  key={scheme}
                  type="button"
                  aria-pressed={scheme === fit.scheme}
                  onClick={() => setChosen(scheme)}
                  className={`flex min-h-10 items-center justify-between gap-2 border-b text-left text-sm leading-tight hover:bg-faint ${scheme === fit.scheme ? 'font-semibold underline' : ''}`}
                >
                  <span>{scheme}</span>
                  <span>{Math.round(of)}</span>
                </button>
              ))}
            </div>
          </Section>
          {outside.length > 0 && (
            <Section title={`Outside ${fits[0].scheme}`} aside="share, distance">
              {outside.map(({ family, share, colour, distance, kind }) => (
                <SwatchLine
                  key={family}
                  focus={{ kind: 'family', index: wheel.families.indexOf(family) }}
                  colours={[colour]}
                  aside={`${percent(share)}, ${Math.round(distance)}°`}
                >
                  {capital(family)}, {kind === 'accent' ? 'an accent' : 'outside the scheme'}
                </SwatchLine>
              ))}
            </Section>
          )}
        </>
      )}
    </>
  );
}

const SIZE = 190;
const INNER = 38;
const REACH = 38;
/** How far out the least weight reaches, so that it is there to see. */
const LEAST = 3;

/** The wheel with a scheme's sectors and the picture's own colours around it, as far out as they weigh. */
function WheelPicture({
  fit,
  round,
  colours,
  families,
}: {
  fit: HarmonyFit;
  round: readonly number[];
  colours: readonly (Oklab | null)[];
  families: readonly string[];
}) {
  const most = Math.max(1e-9, ...round);
  const at = (degrees: number, radius: number): [number, number] => {
    const angle = ((degrees - 90) * Math.PI) / 180;
    return [SIZE / 2 + radius * Math.cos(angle), SIZE / 2 + radius * Math.sin(angle)];
  };
  const wedge = (from: number, to: number, radius: number) => {
    const [x0, y0] = at(from, radius);
    const [x1, y1] = at(to, radius);
    return `M${SIZE / 2} ${SIZE / 2}L${x0} ${y0}A${radius} ${radius} 0 0 1 ${x1} ${y1}Z`;
  };
  const bin = 360 / round.length;
  return (
    <svg
      role="img"
      aria-label={`${fit.scheme} on the wheel; the fits and what falls outside are listed below`}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="mx-auto block w-[190px]"
    >
      {fit.sectors.map(({ centre, half }) => (
        <path
          key={centre}
          d={wedge(centre - half, centre + half, INNER + REACH)}
          fill="var(--line)"
          opacity={0.7}
        />
      ))}
      {round.map((weight, i) => {
        const colour = colours[i];
        if (weight === 0 || !colour) return null;
        const radius = INNER + LEAST + (weight / most) * (REACH - LEAST);
        return (
          <path key={i} d={wedge(i * bin, (i + 1) * bin, radius)} fill={hexFromOklab(colour)} />
        );
      })}
      <circle cx={SIZE / 2} cy={SIZE / 2} r={INNER} fill="var(--panel)" stroke="var(--ink)" />
      {families.map((family, i) => {
        const [x, y] = at((i * 360) / families.length, INNER + REACH + 11);
        return (
          <text key={family} x={x} y={y + 4} textAnchor="middle" fontSize="11" fill="var(--ink)">
            {initials(family)}
          </text>
        );
      })}
    </svg>
  );
}
