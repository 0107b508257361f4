import { carriedBy, type Carried } from '@/core/measure/carried';
import type { ComparedStudy } from '@/contracts/compare';
import type { Settings } from '@/contracts/settings';
import { capital, percent, valueWords } from '@/ui/words';

/** The figures that stand behind the differences, a row each. */
export function figures(
  studies: readonly ComparedStudy[],
  { scale, tolerance }: Pick<Settings, 'scale' | 'tolerance'>,
): { title: string; cells: string[] }[] {
  const row = (title: string, cell: (study: ComparedStudy) => string) => ({
    title,
    cells: studies.map(cell),
  });
  return [
    row('Key and range', ({ values }) => `${capital(values.key)}, ${values.range}`),
    row(
      'Middle value, 5–95\u00a0%',
      ({ values }) =>
        `${valueWords(values.median, scale)}, ${valueWords(values.p5, scale)} to ${valueWords(values.p95, scale)}`,
    ),
    row('Values of light and shadow', ({ colours: { sideValues } }) =>
      [sideValues.light, sideValues.shadow]
        .map((value) => (value === null ? 'none' : valueWords(value, scale)))
        .join(', '),
    ),
    row('Values that carry it', ({ values }) => carriedWords(carriedBy(values, tolerance))),
    row('Key colour', ({ colours }) => colours.keyColour?.family ?? 'none'),
    row('Temperature (+ is warm)', ({ colours }) => signed(colours.temperature.mean)),
    row(
      'In light, in shadow',
      ({ colours: { temperature } }) =>
        `${signed(temperature.light)}, ${signed(temperature.shadow)}`,
    ),
    row(
      'Mean chroma, 95 %',
      ({ colours: { chroma } }) => `${chroma.mean.toFixed(3)}, ${chroma.p95.toFixed(3)}`,
    ),
    row('Strong or vivid', ({ colours: { chroma } }) =>
      percent(chroma.words.strong + chroma.words.vivid),
    ),
    row('Neutral', ({ colours }) => percent(colours.hues.neutral)),
    row('Harmony', ({ colours: { harmony } }) =>
      harmony.fits[0]
        ? `${harmony.fits[0].scheme} (${Math.round(harmony.fits[0].fit)})`
        : 'near neutral',
    ),
  ];
}

function carriedWords({ values, light, shadow }: Carried): string {
  return values === 1 ? '1' : `${values}: ${light} in the light, ${shadow} in the shadow`;
}

function signed(temperature: number | null): string {
  if (temperature === null) return 'none';
  return `${temperature < 0 ? '−' : '+'}${Math.abs(temperature).toFixed(2)}`;
}
