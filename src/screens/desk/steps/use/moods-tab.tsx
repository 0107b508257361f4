'use client';

import { MOOD_SETTINGS, MOODS, type MoodEffect, type MoodSettings } from '@/core/transfer/moods';
import type { ValueScale } from '@/core/colour/value-scale';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Finding, Fold } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { capital, percent, stepWords } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { SavePicture } from './save-picture';
import { transferView } from './transfer-view';

interface Move {
  key: keyof MoodSettings;
  label: string;
  min: number;
  max: number;
  step: number;
  words: (at: number) => string;
}

const signed = (at: number) => `${at > 0 ? '+' : at < 0 ? '−' : ''}${Math.abs(at).toFixed(1)}`;
const MOVES: readonly Move[] = [
  { key: 'key', label: 'Key', min: -4, max: 4, step: 0.1, words: signed },
  { key: 'range', label: 'Range', min: 0.2, max: 1.6, step: 0.01, words: percent },
  { key: 'apart', label: 'Light from shadow', min: -1, max: 2, step: 0.1, words: signed },
  { key: 'chroma', label: 'Strength', min: 0, max: 1.5, step: 0.01, words: percent },
];
const HUES: readonly Move[] = [
  { key: 'lightHue', label: 'Hue of the light', min: 0, max: 360, step: 1, words: degrees },
  {
    key: 'lightChroma',
    label: 'How much of it',
    min: 0,
    max: 0.12,
    step: 0.001,
    words: hundredths,
  },
  { key: 'shadowHue', label: 'Hue of the shadow', min: 0, max: 360, step: 1, words: degrees },
  {
    key: 'shadowChroma',
    label: 'How much of that',
    min: 0,
    max: 0.12,
    step: 0.001,
    words: hundredths,
  },
  { key: 'greens', label: 'Greens cool by', min: -20, max: 30, step: 1, words: degrees },
];

function degrees(at: number): string {
  return `${Math.round(at)}°`;
}

function hundredths(at: number): string {
  return String(Math.round(at * 1000) / 10);
}

/** The same scene in another mood: light and shadow graded apart, with what that does to its values. */
export function MoodsTab() {
  const { scale } = useSettings().settings;
  const [{ mood, moved }, look] = useStepView(transferView);
  const squint = useDocument((document) => document.values.squint);
  const { slide } = useDeskStore().getState();
  const settings = { ...MOOD_SETTINGS[mood], ...moved };
  const { value: effect, stale } = useAnswer<'moodEffect'>({
    kind: 'moodEffect',
    settings,
    squint,
  });
  const slider = ({ key, label, min, max, step, words }: Move) => (
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
        look({ moved: { ...moved, [key]: next } });
      }}
    />
  );
  return (
    <>
      <Finding stale={stale || !effect}>
        {effect ? effectSentence(mood, effect, scale) : 'Changing the light …'}
      </Finding>
      <div className="mb-3">
        <Choice
          label="Mood"
          showLabel={false}
          columns={3}
          value={mood}
          options={MOODS.map((value) => ({ value, title: value }))}
          onChange={(next) => look({ mood: next, moved: {} })}
        />
      </div>
      {MOVES.map(slider)}
      <Fold title="Colours of light and shadow">{HUES.map(slider)}</Fold>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={Object.keys(moved).length === 0} onClick={() => look({ moved: {} })}>
          As the mood has it
        </Button>
        <SavePicture about={mood} query={{ kind: 'mood', settings, squint, quick: false }} />
      </div>
    </>
  );
}

function effectSentence(mood: string, { median, range }: MoodEffect, scale: ValueScale): string {
  const by = median[1] - median[0];
  const key =
    Math.abs(by) < 0.1
      ? 'the middle of its values stays'
      : `the middle of its values goes ${by > 0 ? 'up' : 'down'} by ${stepWords(Math.abs(by), scale)}`;
  const spread = range[0] > 0 ? range[1] / range[0] : 1;
  const ranged =
    Math.abs(spread - 1) < 0.05
      ? 'their range stays'
      : `their range ${spread > 1 ? 'widens' : 'narrows'} to ${percent(spread)}`;
  return `${capital(mood)}: ${key}, and ${ranged}.`;
}
