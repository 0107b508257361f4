import { labFromOklab } from '@/core/colour/cielab';
import { NEUTRAL_CHROMA } from '@/core/colour/intensity';
import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import { temperature } from '@/core/colour/temperature';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, wheelOf, type WheelId } from '@/core/colour/wheel';

/** What of a colour is kept beside it to be searched. Raise `INDEX_VERSION` when any of it changes. */
export function swatchFacts(colour: Oklab) {
  const lab = labFromOklab(colour);
  const { C } = oklchFromOklab(colour);
  const onWheel = (id: WheelId) =>
    C < NEUTRAL_CHROMA ? null : familyOf(colour, wheelOf(id)).index;
  return {
    value: valueOfOklab(colour),
    chroma: C,
    warmth: temperature(colour),
    labL: lab.L,
    labA: lab.a,
    labB: lab.b,
    painters: onWheel('painters'),
    screen: onWheel('screen'),
    even: onWheel('even'),
  };
}

export const INDEX_VERSION = 1;
