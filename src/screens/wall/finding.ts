import type { Wheel } from '@/core/colour/wheel';
import { SCHEMES } from '@/core/measure/harmony';
import { KEYS, RANGES, type StudyCard } from '@/contracts/study';
import { addressCodec, oneOf, text, type AddressCodec } from '@/ui/address';

/** The criteria that studies are found by, each with its values; the address holds the same names. */
export const FACETS = ['family', 'key', 'range', 'harmony', 'keyColour', 'greys'] as const;
export type Facet = (typeof FACETS)[number];
export const SORTS = [
  'newest',
  'title',
  'lightest',
  'widest range',
  'family',
  'most grey',
  'warmest',
] as const;
export type Sort = (typeof SORTS)[number];

export interface Finding {
  text: string;
  /** The chosen value of each facet; an empty string does not filter. */
  facets: Record<Facet, string>;
  sort: Sort;
}

const NOTHING: Record<Facet, string> = {
  family: '',
  key: '',
  range: '',
  harmony: '',
  keyColour: '',
  greys: '',
};
export const NO_FINDING: Finding = { text: '', facets: NOTHING, sort: 'newest' };

/** What a near-neutral picture has for a family, a harmony and a key colour. */
export const NO_COLOUR = 'none';
const GREYS = ['few', 'some', 'mostly'] as const;
const SOME = 0.2;
const MOSTLY = 0.6;

/** What a study answers to a facet; null while it is not known. */
function answerOf({ reading }: StudyCard, facet: Facet): string | null {
  if (!reading) return null;
  if (facet === 'key' || facet === 'range') return reading[facet];
  const { colours } = reading;
  if (!colours) return null;
  if (facet === 'greys')
    return colours.neutral >= MOSTLY ? 'mostly' : colours.neutral >= SOME ? 'some' : 'few';
  const answers = {
    family: colours.family,
    harmony: colours.harmony,
    keyColour: colours.keyFamily,
  };
  return answers[facet] ?? NO_COLOUR;
}

/** All values of a facet, in its own order. */
function possible(facet: Facet, wheel: Wheel): readonly string[] {
  switch (facet) {
    case 'key':
      return KEYS;
    case 'range':
      return RANGES;
    case 'greys':
      return GREYS;
    case 'harmony':
      return [...SCHEMES, NO_COLOUR];
    default:
      return [...wheel.families, NO_COLOUR];
  }
}

/** Whether every word of the text is in the title, maker, source, an aim or a swatch's name. */
function says(card: StudyCard, text: string): boolean {
  const said = [
    card.title,
    card.maker,
    card.source,
    ...card.aims,
    ...card.swatches.map(({ name }) => name),
  ]
    .join('\n')
    .toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}

function fits(card: StudyCard, { text, facets }: Finding, but?: Facet): boolean {
  return (
    says(card, text.trim()) &&
    FACETS.every(
      (facet) => facet === but || facets[facet] === '' || answerOf(card, facet) === facets[facet],
    )
  );
}

/** The studies that match, in the chosen order; those without a value to order by come last. */
export function filterStudies(
  cards: readonly StudyCard[],
  finding: Finding,
  wheel: Wheel,
): StudyCard[] {
  const place = placeIn(finding.sort, wheel);
  return cards
    .filter((card) => fits(card, finding))
    .map((card) => ({ card, at: place(card) }))
    .sort((one, other) => compare(one.at, other.at))
    .map(({ card }) => card);
}

type Place = number | string | null;

function placeIn(sort: Sort, wheel: Wheel): (card: StudyCard) => Place {
  switch (sort) {
    case 'newest':
      // As they come.
      return () => 0;
    case 'title':
      return (card) => card.title;
    case 'lightest':
      return ({ reading }) => reading && -reading.median;
    case 'widest range':
      return ({ reading }) => reading && -reading.spread;
    case 'family':
      return ({ reading }) => {
        const family = reading?.colours?.family;
        return family ? wheel.families.indexOf(family) : null;
      };
    case 'most grey':
      return ({ reading }) => (reading?.colours ? -reading.colours.neutral : null);
    case 'warmest':
      return ({ reading }) => (reading?.colours ? -reading.colours.temperature : null);
  }
}

function compare(one: Place, other: Place): number {
  if (one === null || other === null) return Number(one === null) - Number(other === null);
  if (typeof one === 'string' || typeof other === 'string')
    return String(one).localeCompare(String(other), undefined, { numeric: true });
  return one - other;
}

/**
 * What may be asked of a facet and how many studies would answer, everything else as it is asked
 * now; what none would answer is left out unless it is what is asked.
 */
export function choices(
  cards: readonly StudyCard[],
  finding: Finding,
  facet: Facet,
  wheel: Wheel,
): { answer: string; count: number }[] {
  const open = cards.filter((card) => fits(card, finding, facet));
  return possible(facet, wheel)
    .map((answer) => ({
      answer,
      count: open.filter((card) => answerOf(card, facet) === answer).length,
    }))
    .filter(({ answer, count }) => count > 0 || answer === finding.facets[facet]);
}

/** What the address holds of a finding: each facet under its own name. */
export function findingCodec(wheel: Wheel): AddressCodec<Finding> {
  const fields = addressCodec<Record<Facet, string> & { text: string; sort: Sort }>({
    text: text('text', 200),
    family: answerField('family', wheel),
    key: answerField('key', wheel),
    range: answerField('range', wheel),
    harmony: answerField('harmony', wheel),
    keyColour: answerField('keyColour', wheel),
    greys: answerField('greys', wheel),
    sort: oneOf('sort', SORTS, NO_FINDING.sort),
  });
  return {
    initial: NO_FINDING,
    read(query) {
      const { text: words, sort, ...facets } = fields.read(query);
      return { text: words, sort, facets };
    },
    write: ({ text: words, sort, facets }, query) =>
      fields.write({ ...facets, text: words, sort }, query),
  };
}

function answerField(facet: Facet, wheel: Wheel) {
  return oneOf(facet, ['', ...possible(facet, wheel)], '');
}

/** Whether it filters by anything but the order. */
export function asksSomething({ text, facets }: Finding): boolean {
  return text.trim() !== '' || FACETS.some((facet) => facets[facet] !== '');
}
