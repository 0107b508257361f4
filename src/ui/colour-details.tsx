'use client';

import { labFromOklab } from '@/core/colour/cielab';
import { bytesFromOklab, hexFromOklab } from '@/core/colour/hex';
import { intensityShare, intensityWord } from '@/core/colour/intensity';
import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import { temperature } from '@/core/colour/temperature';
import { valueOfOklab } from '@/core/colour/value';
import { colourName } from '@/core/colour/name';
import { say, showError } from './notices';
import { useSettings } from './settings';
import { percent, valueWords } from './words';

/** A colour in words, then its figures; a click copies one. */
export function ColourDetails({ colour, share = null }: { colour: Oklab; share?: number | null }) {
  const { settings } = useSettings();
  const oklch = oklchFromOklab(colour);
  const lab = labFromOklab(colour);
  const warm = temperature(colour);
  const copyable = [
    { term: 'hex', text: hexFromOklab(colour) },
    {
      term: 'OKLCH',
      text: `oklch(${oklch.L.toFixed(4)} ${oklch.C.toFixed(4)} ${oklch.h.toFixed(1)})`,
    },
    { term: 'sRGB', text: `rgb(${bytesFromOklab(colour).join(' ')})` },
    { term: 'L*a*b*', text: `${lab.L.toFixed(1)} ${lab.a.toFixed(1)} ${lab.b.toFixed(1)}` },
    { term: 'Munsell value', text: valueOfOklab(colour).toFixed(2) },
    ...(share === null ? [] : [{ term: 'share', text: `${(share * 100).toFixed(1)} %` }]),
  ];
  return (
    <div className="text-[15px]">
      <p>
        {colourName(colour)}; value {valueWords(valueOfOklab(colour), settings.scale)},{' '}
        {intensityWord(oklch.C)} at {percent(intensityShare(oklch))} of what a screen can show,{' '}
        {warm < 0 ? 'cool' : 'warm'} {Math.abs(warm).toFixed(1)}.
      </p>
      <ul className="mt-1 flex flex-col">
        {copyable.map(({ term, text }) => (
          <li key={term}>
            <button
              type="button"
              aria-label={`Copy ${term}: ${text}`}
              onClick={() =>
                void navigator.clipboard
                  .writeText(text)
                  .then(() => say(`Copied ${text}`), showError)
              }
              className="flex min-h-10 w-full items-center justify-between border-t px-1 text-sm hover:bg-faint"
            >
              <span className="text-soft">{term}</span>
              <span>{text}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
