'use client';

import { useId } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { paletteNames } from '@/core/colour/name';
import { MOOD_SETTINGS, MOODS, type MoodSettings } from '@/core/transfer/moods';
import { addSwatches } from '@/study/palette-edits';
import { withMood } from '@/study/use-edits';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { say, showError } from '@/ui/notices';
import { Finding, Fold, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { capital, percent } from '@/ui/words';
import { useDeskStore, useDocument } from '../../desk-store';
import { ExportMade } from './export-made';
import { KeepVariant } from './keep-variant';
import { LeftAlone } from './left-alone';
import { LooksChoice } from './looks-choice';
import { HUES, MOVES, type MoodMove } from './mood-moves';
import { useMoodEffect } from './use-mood-effect';
import { moodClause } from './use-sentences';

/** The same scene in another mood: light and shadow graded apart, with what that does to its values. */
export function MoodsTab() {
  const { scale } = useSettings().settings;
  const { mood, settings } = useDocument((document) => document.use.mood);
  const { slide, change } = useDeskStore().getState();
  const { value: effect, stale } = useMoodEffect(settings);
  const isMoved = (Object.keys(settings) as (keyof MoodSettings)[]).some(
    (key) => settings[key] !== MOOD_SETTINGS[mood][key],
  );
  const slider = ({ key, label, min, max, step, words }: MoodMove) => (
    <Slider
      key={key}
      label={label}
      value={settings[key]}
      min={min}
      max={max}
      step={step}
      words={words(settings[key])}
      onChange={(next) => {
        slide();
        change((was) => withMood(was, mood, { [key]: next }), `mood ${key}`);
      }}
    />
  );
  return (
    <>
      <Finding stale={stale || !effect}>
        {effect ? `${capital(mood)}: ${moodClause(effect, scale)}` : 'Changing the light …'}
      </Finding>
      <div className="mb-2">
        <Choice
          label="Mood"
          showLabel={false}
          columns={3}
          value={mood}
          options={MOODS.map((value) => ({ value, title: value }))}
          onChange={(next) => change((was) => withMood(was, next))}
        />
      </div>
      <LooksChoice beside="all moods" />
      {MOVES.map(slider)}
      <Fold title="Colours of light and shadow">{HUES.map(slider)}</Fold>
      {effect && <MoodPalette mood={mood} palette={effect.palette} />}
      <LeftAlone />
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={!isMoved} onClick={() => change((was) => withMood(was, mood))}>
          As the mood has it
        </Button>
        <KeepVariant kind="mood" />
        <ExportMade kind="mood" about={mood} />
      </div>
    </>
  );
}

/** The colours of the mood, to take into the tray. */
function MoodPalette({
  mood,
  palette,
}: {
  mood: string;
  palette: readonly { colour: { L: number; a: number; b: number }; share: number }[];
}) {
  const { change } = useDeskStore().getState();
  const label = useId();
  const take = () => {
    try {
      change((was) =>
        addSwatches(
          was,
          palette.map(({ colour }) => ({
            id: newId(),
            colour,
            note: `Of this scene as ${mood}.`,
            share: null,
            locked: false,
            origin: 'built' as const,
            area: null,
            spread: null,
          })),
        ),
      );
      say(`The colours of ${mood} are in the tray.`);
    } catch (error) {
      showError(error);
    }
  };
  const names = paletteNames(palette.map(({ colour }) => colour));
  return (
    <Section
      title={<span id={label}>Its palette</span>}
      aside={
        <Button weight="quiet" className="-mb-2 underline" onClick={take}>
          Into the tray
        </Button>
      }
    >
      <ul aria-labelledby={label} className="flex h-12">
        {palette.map(({ colour, share }, i) => (
          <li
            key={i}
            title={`${names[i]}, ${percent(share)}`}
            style={{ background: hexFromOklab(colour), flexGrow: Math.max(0.03, share) }}
          >
            <span className="sr-only">{`${names[i]}, ${percent(share)}`}</span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
