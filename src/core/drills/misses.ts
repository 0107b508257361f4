import { INTENSITY_WORDS, intensityWord, NEUTRAL_CHROMA } from '../colour/intensity';
import { atValue } from '../colour/at-value';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
import { chromaOf } from './making';
import { regionKey, regionOf } from './region';
import type { Answered } from './schedule';
import type { ThreeScores } from './three-questions';

/** As near as a value need come to count as known, Munsell steps. */
const VALUE_KNOWN = 0.5;

export type Offs = Omit<ThreeScores, 'score'>;

/** How far what was made is from what was wanted: families, Munsell steps, intensity words. */
export function offsOf(wanted: Oklab, got: Oklab): Offs {
  const count = PAINTERS_WHEEL.families.length;
  const away = Math.abs(familyOf(wanted).index - familyOf(got).index);
  const hasFamily = chromaOf(wanted) >= NEUTRAL_CHROMA && chromaOf(got) >= NEUTRAL_CHROMA;
  const word = (one: Oklab) => INTENSITY_WORDS.indexOf(intensityWord(chromaOf(one)));
  return {
    familyOff: hasFamily ? Math.min(away, count - away) : null,
    valueOff: valueOfOklab(got) - valueOfOklab(wanted),
    intensityOff: word(got) - word(wanted),
  };
}

/** A guess of three questions on the Desk, or what came of a mixture or a study, as answers of three skills. */
export function answersOfOffs(
  at: number,
  colour: Oklab,
  { familyOff, valueOff, intensityOff }: Offs,
): (Answered & { valueOff?: number; familyOff?: number; intensityOff?: number })[] {
  const region = regionKey(regionOf(colour));
  return [
    ...(familyOff === null
      ? []
      : [{ at, skill: 'family' as const, region, isRight: familyOff === 0, familyOff }]),
    { at, skill: 'value', region, isRight: Math.abs(valueOff) <= VALUE_KNOWN, valueOff },
    { at, skill: 'intensity', region, isRight: intensityOff === 0, intensityOff },
  ];
}

/** What a relation of a checked study is off its model: steps of value, OKLCH chroma and degrees of hue, study minus model. */
export function offOfRelation(
  model: Oklab,
  off: { value: number; chroma: number; hue: number },
): Offs {
  const { C, h } = oklchFromOklab(model);
  const value = Math.min(10, Math.max(0, valueOfOklab(model) + off.value));
  return offsOf(
    model,
    atValue(value, h + off.hue, () => Math.max(0, C + off.chroma)),
  );
}
