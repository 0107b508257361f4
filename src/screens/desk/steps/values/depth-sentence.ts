import type { ValueScale } from '@/core/colour/value-scale';
import { FACINGS, type Distance, type Facing } from '@/core/depth/depth-marks';
import type { DepthStudy } from '@/core/depth/depth-study';
import { RECEDING, type Receding, type Recession, type Step } from '@/core/depth/recession';
import { capital, list, stepWords, valueWords } from '@/ui/words';

const AT: Record<Distance, string> = {
  near: 'what is near',
  middle: 'the middle distance',
  far: 'what lies far',
};

/** Values nearer than this are one, in Munsell steps. */
const ONE_VALUE = 0.3;
/** From this difference on what is far is lighter or darker. */
const OTHER_VALUE = 0.5;

/** One difference between far and near: "duller by 0.021". */
function differenceWords(quantity: Receding, difference: number, scale: ValueScale): string {
  const amount = Math.abs(difference);
  const less = difference < 0;
  if (quantity === 'contrast')
    return `${less ? 'less' : 'more'} contrast by ${stepWords(amount, scale)}`;
  if (quantity === 'chroma')
    return `${less ? 'duller' : 'stronger in colour'} by ${amount.toFixed(3)}`;
  return `${less ? 'cooler' : 'warmer'} by ${amount.toFixed(1)}`;
}

/** Whether what lies far steps back, and in what. */
export function recessionSentence(recession: Recession | null, scale: ValueScale): string {
  if (!recession) return 'It all lies at one distance.';
  const { near, far, steps, value, verdict } = recession;
  const parts = (step: Step) =>
    list(
      RECEDING.filter((quantity) => steps[quantity].step === step).map((quantity) =>
        differenceWords(quantity, steps[quantity].difference, scale),
      ),
    );
  const what = capital(AT[far]);
  const sentence = {
    back: `${what} steps back from ${AT[near]}: ${parts('back')}.`,
    forward: `${what} is held forward against ${AT[near]}: ${parts('forward')}.`,
    partly: `${what} steps back in part: ${parts('back')}. In the rest it is held forward: ${parts('forward')}.`,
    alike: `${what} and ${AT[near]} are alike in contrast, intensity and temperature; nothing steps back.`,
  }[verdict];
  if (Math.abs(value) < OTHER_VALUE) return sentence;
  // Air lightens darks and dims lights: in value neither way is forward.
  return `${sentence} It is ${value > 0 ? 'lighter' : 'darker'} by ${stepWords(value, scale)}.`;
}

const FACING_WORDS: Record<Facing, string> = {
  ground: 'the ground',
  upright: 'what stands upright',
  sky: 'the sky',
};

/** The order in value of ground, uprights and sky; null where fewer than two are there. */
export function facingSentence(facings: DepthStudy['facings'], scale: ValueScale): string | null {
  const present = FACINGS.flatMap((facing) => {
    const plane = facings[facing];
    return plane ? [{ facing, value: plane.value }] : [];
  }).sort((one, other) => other.value - one.value);
  if (present.length < 2) return null;
  const words = ({ facing, value }: (typeof present)[number]) =>
    `${FACING_WORDS[facing]} (${valueWords(value, scale)})`;
  const [lightest, darkest] = [present[0], present[present.length - 1]];
  if (lightest.value - darkest.value < ONE_VALUE)
    return `${capital(list(present.map(words)))} are of one value.`;
  const order = `${capital(words(lightest))} is lightest, ${words(darkest)} darkest`;
  const middle = present.length > 2 ? `, ${words(present[1])} between` : '';
  return `${order}${middle}.`;
}
