import { nameParts } from '../colour/name';
import { oklchFromOklab } from '../colour/oklab';
import { familyOfHue, PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { placeWords } from '../picture/place-words';
import { MIN_CHROMA, MIN_HUE, MIN_VALUE, type Relation } from './relations';
import type { Shift } from './shift';

/** The most that is said of a gain: less is neither. */
const MIN_GAIN = 0.05;
const MIN_TURN = 3;

/** What is off in a relation, in a painter's words: "the dull middle blue, lower left: a value and a half too light against the rest". */
export function relationWords(relation: Relation, wheel: Wheel = PAINTERS_WHEEL): string {
  const { value, chroma, hue, colour } = relation;
  const off: string[] = [];
  if (Math.abs(value) >= MIN_VALUE)
    off.push(`${valueWords(Math.abs(value))} too ${value > 0 ? 'light' : 'dark'}`);
  if (Math.abs(chroma) >= MIN_CHROMA) off.push(`too ${chroma > 0 ? 'strong' : 'dull'}`);
  if (Math.abs(hue) >= MIN_HUE)
    off.push(`turned towards ${turnedTo(oklchFromOklab(colour).h, hue, wheel)}`);
  return `the ${nameParts(colour, wheel).short}, ${placeWords(relation)}: ${listed(off)} against the rest`;
}

/** The next family that a turn leads to. */
function turnedTo(hue: number, turn: number, wheel: Wheel): string {
  const { index, name } = familyOfHue(hue, wheel);
  const reached = familyOfHue(hue + turn, wheel).name;
  if (reached !== name) return reached;
  const count = wheel.families.length;
  return wheel.families[(index + Math.sign(turn) + count) % count];
}

/** Munsell steps to the nearest half: "half a value", "a value and a half", "2 values". */
export function valueWords(steps: number): string {
  const halves = Math.round(steps * 2);
  if (halves <= 1) return 'half a value';
  const whole = Math.floor(halves / 2);
  const isHalf = halves % 2 === 1;
  if (whole === 1) return isHalf ? 'a value and a half' : 'a value';
  return isHalf ? `${whole} values and a half` : `${whole} values`;
}

/** The shift in one sentence. */
export function shiftWords({ value, valueGain, chromaGain, hueTurn }: Shift): string {
  const parts: string[] = [];
  if (Math.abs(value) >= MIN_VALUE / 2)
    parts.push(`${Math.abs(value).toFixed(1)} of a value too ${value > 0 ? 'light' : 'dark'}`);
  if (Math.abs(valueGain - 1) >= MIN_GAIN)
    parts.push(`${percent(valueGain)} too ${valueGain > 1 ? 'wide' : 'narrow'} in its values`);
  if (Math.abs(chromaGain - 1) >= MIN_GAIN)
    parts.push(`${percent(chromaGain)} too ${chromaGain > 1 ? 'strong' : 'dull'}`);
  if (Math.abs(hueTurn) >= MIN_TURN)
    parts.push(
      `turned by ${Math.round(Math.abs(hueTurn))}° of hue, as from ${hueTurn > 0 ? 'red to orange' : 'orange to red'}`,
    );
  return parts.length === 0
    ? 'On the whole the study stands where its model does.'
    : `On the whole the study is ${listed(parts)}.`;
}

const percent = (gain: number) => `${Math.round(100 * Math.abs(gain - 1))} %`;

function listed(parts: readonly string[]): string {
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
}
