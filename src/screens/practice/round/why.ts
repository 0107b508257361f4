import { intensityWord } from '@/core/colour/intensity';
import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { ValueScale } from '@/core/colour/value-scale';
import { familyOf, type Wheel } from '@/core/colour/wheel';
import type { Answer, Question } from '@/core/drills/question';
import type { Outcome } from '@/core/drills/score';
import type { Settings } from '@/contracts/settings';
import { capital, list, several, stepWords, valueWords } from '@/ui/words';

export interface WhyGiven {
  question: Question;
  answer: Answer;
  outcome: Outcome;
  scale: ValueScale;
  wheel: Wheel;
  surround: Settings['surround'];
  /** A tube's name. */
  nameOf: (tube: string) => string;
}

/** From this chroma on a colour looks lighter than its value (Helmholtz and Kohlrausch). */
const STRONG = 0.13;
const NEAR = 0.25;

/** One sentence of what it was, and why it may have been read otherwise. */
export function whyOf(given: WhyGiven): string {
  const { form } = given.question;
  return capital(`${BY_KIND[given.question.kind]?.(given) ?? rightWord(given, form)}.`);
}

const chroma = (colour: Oklab) => oklchFromOklab(colour).C;

function rightWord({ nameOf }: WhyGiven, form: Question['form']): string {
  return form.by === 'word' ? `it is ${list(form.right.map((i) => nameOf(form.words[i])))}` : '';
}

const rightFamilies = ({ question: { form } }: WhyGiven): string =>
  form.by === 'word' ? form.right.map((i) => form.words[i]).join(' or ') : '';

const saidWord = ({ question: { form }, answer }: WhyGiven): string =>
  form.by === 'word' && answer.by === 'choice' ? form.words[answer.choice] : '';

function familyWhy(given: WhyGiven): string {
  const { question, outcome, wheel } = given;
  const { about } = question;
  const name = familyOf(about, wheel).name;
  if (outcome.isRight) return `it is ${name}`;
  const off = `you read it ${several(outcome.familyOff ?? 0, 'family', 'families')} off: it is ${name}`;
  const value = valueOfOklab(about);
  const said = saidWord(given);
  if (/^yellow/.test(name) && value < 5.5 && /green/.test(said))
    return `${off}, and a dark yellow looks green`;
  if (/orange/.test(name) && value < 4.5) return `${off}; dark oranges are what we call browns`;
  if (chroma(about) < 0.05) return `${off}, so dull that only a neighbour shows it`;
  return `${off}, seen as ${said}`;
}

function valueWhy({ question, outcome, scale, surround }: WhyGiven): string {
  const { about, shown } = question;
  const is = `it is ${valueWords(valueOfOklab(about), scale)}`;
  const off = outcome.valueOff ?? 0;
  if (Math.abs(off) <= NEAR) return is;
  const read = `${is}; you read it ${stepWords(off, scale)} too ${off > 0 ? 'light' : 'dark'}`;
  if (shown.as === 'place') {
    const against = valueOfOklab(shown.place.around) - valueOfOklab(about);
    // What stands among darks looks lighter, among lights darker (simultaneous contrast).
    if (Math.abs(against) >= 1 && Math.sign(against) !== Math.sign(off))
      return `${read}, seen against what is ${against > 0 ? 'lighter' : 'darker'} about it`;
  }
  if (off > 0 && chroma(about) >= STRONG)
    return `${read}, as strong colours look lighter than they are`;
  if (off > 0 && surround === 'night') return `${read}, as a dark surround makes all look lighter`;
  if (off < 0 && surround === 'paper') return `${read}, as a light surround makes all look darker`;
  return outcome.isRight ? `${read}, near enough` : read;
}

function intensityWhy(given: WhyGiven): string {
  const { about } = given.question;
  const is = `it is ${intensityWord(chroma(about))}`;
  const off = given.outcome.intensityOff ?? 0;
  if (off === 0) return is;
  const read = `${is}; you read it ${several(Math.abs(off), 'word')} too ${off > 0 ? 'strong' : 'dull'}`;
  const value = valueOfOklab(about);
  if (off < 0 && value < 3.3) return `${read}, as darks hide how strong they are`;
  if (off > 0 && value > 7.5) return `${read}, as pale colours look purer than they are`;
  return read;
}

function orderWhy({ question, outcome }: WhyGiven): string {
  const count = question.form.by === 'order' ? question.form.order.length : 0;
  if (outcome.isRight) return `all ${count} stand in order of value`;
  return `${several(outcome.swapped ?? 0, 'pair')} of neighbours stood the wrong way round; under them are their greys`;
}

function matchWhy({ question, outcome, scale, answer }: WhyGiven): string {
  const { form } = question;
  if (form.by !== 'match' || answer.by !== 'match') return '';
  const [value, strength, families] = [
    outcome.valueOff ?? 0,
    outcome.chromaOff ?? 0,
    outcome.familyOff ?? 0,
  ];
  const off = [
    Math.abs(value) > form.within.value &&
      `${stepWords(value, scale)} too ${value > 0 ? 'light' : 'dark'}`,
    Math.abs(strength) > form.within.chroma && `too ${strength > 0 ? 'strong' : 'dull'}`,
    families > form.within.families && `${families.toFixed(1)} families away`,
  ].filter((part) => part !== false);
  return off.length === 0 ? 'value, intensity and family all match' : `yours is ${list(off)}`;
}

/** Which of the shown or offered ones is right: counted from the left, or from 1. */
const placeWord = ({ question: { form } }: WhyGiven) =>
  'right' in form ? `number ${form.right[0] + 1}` : '';

/** In what the odd one of a row differs: it is another in one way alone. */
function oddWords({ question: { shown, form } }: WhyGiven): string {
  if (shown.as !== 'row' || form.by !== 'place') return '';
  const odd = shown.colours[form.right[0]];
  const other = shown.colours[(form.right[0] + 1) % shown.colours.length];
  const lighter = valueOfOklab(odd) - valueOfOklab(other);
  if (Math.abs(lighter) > 0.15) return lighter > 0 ? 'lighter' : 'darker';
  const stronger = chroma(odd) / chroma(other) - 1;
  if (Math.abs(stronger) > 0.1) return stronger > 0 ? 'stronger' : 'duller';
  return 'of another hue';
}

/** The families that a made-up picture's colours lie in, those that take most of it first. */
function familiesIn({ question: { shown }, wheel }: WhyGiven): string[] {
  const shares = new Map<string, number>();
  for (const { colour, share } of shown.as === 'field' ? shown.areas : []) {
    const { name } = familyOf(colour, wheel);
    shares.set(name, (shares.get(name) ?? 0) + share);
  }
  return [...shares].sort(([, one], [, other]) => other - one).map(([name]) => name);
}

const BY_KIND: Readonly<Record<string, (given: WhyGiven) => string>> = {
  family: familyWhy,
  value: valueWhy,
  intensity: intensityWhy,
  match: matchWhy,
  'order by value': orderWhy,
  temperature: (given) =>
    `${placeWord(given)} is the warmer: it stands nearer to orange, of one value with the other`,
  'toward what a grey leans': (given) =>
    `it leans toward ${familyOf(given.question.about, given.wheel).name}: strengthened it shows`,
  'the odd one': (given) => `${placeWord(given)} is the other colour: ${oddWords(given)}`,
  'the scheme': (given) =>
    `${rightWord(given, given.question.form)}: its colours lie in ${list(familiesIn(given))}`,
  'same value, other hue': (given) =>
    `${placeWord(given)} is as light; the others are lighter or darker, whatever their hue says`,
  'lightness against brightness': (given) =>
    `${placeWord(given)} is lighter; the other is only more vivid, and looks bright`,
  'what a grey reads as': (given) =>
    `its ground is ${familyOf(given.question.about, given.wheel).name}, so it will lean toward ${rightFamilies(given)}; that is an estimate, and not scored`,
  'the shadow of a light': (given) =>
    `${placeWord(given)}: a shadow is darker, no stronger, and of nearly the same family`,
  'the reflection': (given) =>
    `${placeWord(given)}: in water lights are darker, darks are lighter, and all is duller`,
  'the key at a glance': (given) =>
    `${rightWord(given, given.question.form)}: it turns up in the darks, the middles and the lights`,
  'name the hidden colour': (given) =>
    `it is ${familyOf(given.question.about, given.wheel).name}, too near grey to see at once; strengthened it shows`,
  'what the pile lacks': (given) =>
    `${rightWord(given, given.question.form)}: no amount of the others brings it as near`,
};
