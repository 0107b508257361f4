import { intensityWord } from '@/core/colour/intensity';
import { list, percent } from '@/ui/words';

/** What of a study counts towards its maker's manner. */
export interface StudyOfMaker {
  id: string;
  title: string;
  pictureId: string;
  key: 'low' | 'middle' | 'high';
  range: 'short' | 'medium' | 'full';
  /** Munsell values: the 5th percentile, the median, the 95th. */
  darkest: number;
  median: number;
  lightest: number;
  /** Mean values of what lies in the light and in the shadow. */
  light: number | null;
  shadow: number | null;
  /** Mean OKLCH chroma in each part of the light. */
  intensity: Readonly<Record<LightPart, number | null>>;
  /** The 95th percentile of OKLCH chroma. */
  strongest: number;
  /** Families with more than a tenth of the picture, the largest first. */
  families: { family: string; share: number }[];
  /** Shares of its edges; null for a picture that no study was checked against. */
  edges: { found: number; soft: number; lost: number } | null;
}

export const LIGHT_PARTS = ['light', 'halfTone', 'shadowEdge', 'shadow'] as const;
export type LightPart = (typeof LIGHT_PARTS)[number];
export const PART_WORDS: Readonly<Record<LightPart, string>> = {
  light: 'in the light',
  halfTone: 'in the half-tones',
  shadowEdge: 'along the edge of the shadow',
  shadow: 'in the shadow',
};

/** What a maker's pictures have in common. */
export interface Manner {
  count: number;
  key: StudyOfMaker['key'];
  range: StudyOfMaker['range'];
  /** The darkest and the lightest of all, each on the mean. */
  darkest: number;
  lightest: number;
  light: number | null;
  shadow: number | null;
  strongest: number;
  intensity: Readonly<Record<LightPart, number | null>>;
  /** Where intensity lies most. */
  liesIn: LightPart | null;
  /** Families that half of the pictures or more have, the commonest first. */
  families: string[];
  edges: StudyOfMaker['edges'];
}

/** Null for no studies. */
export function mannerOf(studies: readonly StudyOfMaker[]): Manner | null {
  if (studies.length === 0) return null;
  const mean = (of: (study: StudyOfMaker) => number | null): number | null => {
    const numbers = studies.map(of).filter((n) => n !== null);
    return numbers.length === 0 ? null : numbers.reduce((a, b) => a + b, 0) / numbers.length;
  };
  const intensity = Object.fromEntries(
    LIGHT_PARTS.map((part) => [part, mean((study) => study.intensity[part])]),
  ) as Manner['intensity'];
  const parts = LIGHT_PARTS.filter((part) => intensity[part] !== null);
  const counts = new Map<string, number>();
  for (const { families } of studies)
    for (const { family } of families) counts.set(family, (counts.get(family) ?? 0) + 1);
  const edges = studies.flatMap((study) => (study.edges ? [study.edges] : []));
  const edgeMean = (of: 'found' | 'soft' | 'lost') =>
    edges.reduce((sum, one) => sum + one[of], 0) / edges.length;
  return {
    count: studies.length,
    key: commonest(studies.map(({ key }) => key)),
    range: commonest(studies.map(({ range }) => range)),
    darkest: mean(({ darkest }) => darkest)!,
    lightest: mean(({ lightest }) => lightest)!,
    light: mean(({ light }) => light),
    shadow: mean(({ shadow }) => shadow),
    strongest: mean(({ strongest }) => strongest)!,
    intensity,
    liesIn:
      parts.length === 0 ? null : parts.reduce((a, b) => (intensity[b]! > intensity[a]! ? b : a)),
    families: [...counts]
      .filter(([, count]) => count * 2 >= studies.length)
      .sort(([, a], [, b]) => b - a)
      .map(([family]) => family),
    edges:
      edges.length === 0
        ? null
        : { found: edgeMean('found'), soft: edgeMean('soft'), lost: edgeMean('lost') },
  };
}

/** The one there is most of; of several, the first. */
function commonest<T>(some: readonly T[]): T {
  const count = (one: T) => some.filter((other) => other === one).length;
  return some.reduce((a, b) => (count(b) > count(a) ? b : a));
}

export function mannerSentence(
  maker: string,
  { count, key, range, darkest, lightest, liesIn, families, edges }: Manner,
): string {
  const lies = liesIn ? ` Intensity lies ${PART_WORDS[liesIn]}.` : '';
  const leans =
    families.length > 0
      ? ` ${count === 1 ? 'It leans' : 'Most lean'} on ${list(families.slice(0, 3))}.`
      : '';
  const lost = edges ? ` Of the edges ${percent(edges.lost)} are lost.` : '';
  return `${maker}: a ${key} key and a ${range} range, from value ${darkest.toFixed(1)} to ${lightest.toFixed(1)}.${lies}${leans}${lost}`;
}

/** What a session may be held to, to paint as the maker does: a line each. */
export function limitsOf({ darkest, lightest, strongest, families, key }: Manner): string[] {
  return [
    `values from ${darkest.toFixed(1)} to ${lightest.toFixed(1)}, a ${key} key`,
    `nothing stronger than ${intensityWord(strongest)}`,
    ...(families.length > 0 ? [`families: ${list(families.slice(0, 4))}`] : []),
  ];
}
