'use client';

import { oklabFromHex } from '@/core/colour/hex';
import { MAX_SHOWING } from '@/core/mixing/broken-colour';
import { Choice } from '@/ui/choice';
import { Section } from '@/ui/panel-parts';
import { Slider } from '@/ui/slider';

export interface Film {
  kind: 'thick' | 'thin';
  /** Of a full coat, where it is thin. */
  coat: number;
  /** The ground's colour. */
  ground: string;
  /** Share of the ground that shows between the strokes. */
  showing: number;
}

export const DEFAULT_FILM: Film = { kind: 'thick', coat: 0.1, ground: '#ffffff', showing: 0 };

const GROUNDS = { white: '#ffffff', 'warm grey': '#9a9288', earth: '#7a4a32', dark: '#2a2826' };
type Ground = keyof typeof GROUNDS;
const NAMES = Object.keys(GROUNDS) as Ground[];
/** A tenth of a thousandth of a coat is nothing, and one and a half hides all that can be hidden. */
const COATS = { min: -2, max: 0.2 };

/** How the pile is laid on: thick or thin, over what, and how much of that shows. */
export function FilmSettings({ film, onChange }: { film: Film; onChange: (film: Film) => void }) {
  const set = (part: Partial<Film>) => onChange({ ...film, ...part });
  const ground = NAMES.find((name) => GROUNDS[name] === film.ground) ?? 'white';
  return (
    <Section title="Laid on">
      <Choice
        label="How thick"
        showLabel={false}
        fill
        value={film.kind}
        options={[
          { value: 'thick', title: 'thick' },
          { value: 'thin', title: 'thin' },
        ]}
        onChange={(kind) => set({ kind })}
      />
      {film.kind === 'thin' && (
        <Slider
          label="Coat"
          said="How much of a full coat"
          min={COATS.min}
          max={COATS.max}
          step={0.05}
          value={Math.log10(film.coat)}
          words={film.coat.toFixed(2)}
          onChange={(power) => set({ coat: 10 ** power })}
        />
      )}
      <div className="mt-2">
        <Choice
          label="Ground"
          showLabel={false}
          fill
          value={ground}
          options={NAMES.map((value) => ({ value, title: value, said: `On ${value}` }))}
          onChange={(name) => oklabFromHex(GROUNDS[name]) && set({ ground: GROUNDS[name] })}
        />
      </div>
      <Slider
        label="Showing"
        said="Share of the ground that shows through"
        min={0}
        max={MAX_SHOWING}
        step={MAX_SHOWING / 20}
        value={film.showing}
        words={`${Math.round(film.showing * 100)} %`}
        onChange={(showing) => set({ showing })}
      />
    </Section>
  );
}
