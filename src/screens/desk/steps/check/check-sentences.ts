import { shiftWords } from '@/core/compare/words';
import { placeWords } from '@/core/picture/place-words';
import type { Finding } from '@/contracts/finding';
import { list, percent } from '@/ui/words';

const AGAINST_WORDS = {
  model: 'its model',
  plan: 'its plan',
  variant: 'the variant',
  snapshot: 'the earlier snapshot',
  itself: 'itself',
} as const;
type Against = keyof typeof AGAINST_WORDS;

/** What a check found, in a sentence or two. */
export function checkSentence(
  finding: Finding,
  against: Against,
  excused: readonly string[],
): string {
  if (!finding.registration) return aloneSentence(finding.study);
  const whole = excused.includes('shift')
    ? 'The difference on the whole is left out.'
    : finding.shift
      ? shiftWords(finding.shift)
      : 'How it is on the whole can’t be told: nothing of known colour is in the photograph. What stands otherwise to the rest can.';
  const off = finding.relations.filter(({ id }) => !excused.includes(id));
  if (off.length === 0)
    return `${whole} No mass is off against the rest, held against ${AGAINST_WORDS[against]}.`;
  const more = off.length > 3 ? ` The three largest of ${off.length} relations are listed.` : '';
  return `${whole}${more}`;
}

/** A study that is held against nothing. */
function aloneSentence({ key, range, zones, edges }: Finding['study']): string {
  const shares = `dark ${percent(zones.dark)}, middle ${percent(zones.middle)}, light ${percent(zones.light)}`;
  return `By itself: a ${key} key with a ${range} range (${shares}); of its edges ${percent(edges.found)} are found and ${percent(edges.lost)} lost.`;
}

/** How surely the study lies on its model; null where nothing needs saying. */
export function placingWords({ registration }: Finding): string | null {
  if (!registration || registration.confidence >= 0.6) return null;
  return 'It may not lie right on its model: look at the photograph’s corners before believing the rest.';
}

export const edgeWords = ({ is, x, y, length }: Finding['edges'][number]): string =>
  is === 'lost'
    ? `A hard edge was lost ${placeWords({ x, y })}, along ${percent(length)} of the side.`
    : `An edge that is soft in the model is hard ${placeWords({ x, y })}, along ${percent(length)} of the side.`;

export const flattenedWords = ({ x, y, share, turn }: Finding['flattened'][number]): string =>
  `${capitalPlace({ x, y })}, a slow turn of ${turn.toFixed(1)} values lies flat (${percent(share)} of the picture).`;

const capitalPlace = (place: { x: number; y: number }) => {
  const words = placeWords(place);
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** Proportions of light and dark; null where they are as they should be. */
export function proportionWords(proportions: Finding['proportions']): string | null {
  if (!proportions?.areOff) return null;
  const { model, study } = proportions;
  const off = (['dark', 'middle', 'light'] as const).filter(
    (zone) => Math.abs(model[zone] - study[zone]) >= 0.02,
  );
  return `Its proportions are off: ${list(
    off.map((zone) => `${zone} ${percent(study[zone])} for ${percent(model[zone])}`),
  )}.`;
}
