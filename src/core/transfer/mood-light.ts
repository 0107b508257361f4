import { temperature } from '../colour/temperature';
import type { MoodSettings } from './moods';

/** Units of temperature at which a light is as warm, or as cool, as one can say. */
const FULL = 0.5;

/** How warm a mood's light is, −1 (cool) to 1 (warm): what derived colours are told of it. */
export function lightWarmth({
  lightHue,
  lightChroma,
}: Pick<MoodSettings, 'lightHue' | 'lightChroma'>): number {
  const angle = (lightHue * Math.PI) / 180;
  const warmth = temperature({
    a: lightChroma * Math.cos(angle),
    b: lightChroma * Math.sin(angle),
  });
  return Math.round(Math.min(1, Math.max(-1, warmth / FULL)) * 10) / 10;
}
