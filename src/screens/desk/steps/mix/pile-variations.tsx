'use client';

import type { ReactNode } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import {
  PILE_PARTS,
  pileMutes,
  pileVariations,
  type MuteKind,
} from '@/core/mixing/pile-variations';
import { partWords, recipeWords } from '@/core/mixing/recipe-words';
import type { RecipePart } from '@/core/mixing/recipes';
import type { MixingTube } from '@/study/shelf';
import { changeBetween } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';
import { count, valueWords } from '@/ui/words';

const MUTE_TITLES: Readonly<Record<MuteKind, string>> = {
  complement: 'duller, by its complement',
  earth: 'duller, by an earth',
  grey: 'duller, by a grey',
};

interface Props {
  pile: readonly RecipePart[];
  /** What comes of the pile. */
  colour: Oklab;
  tubes: readonly MixingTube[];
}

/** What a speck of one tube makes of a pile, and how it is dulled at its own value. */
export function PileVariations({ pile, colour, tubes }: Props) {
  const { scale } = useSettings().settings;
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? '';
  const does = (after: Oklab) => `it gets ${changeBetween(colour, after, scale)}`;
  const to = `to ${count(PILE_PARTS)} of the pile`;
  return (
    <ul aria-label="Variations" className="border-t">
      {pileVariations(pile, tubes).map(({ move, tube, parts, colour: after }) => (
        <Row key={move} title={move} colours={[colour, after]}>
          {partWords(parts)} {nameOf(tube.id)} {to}: {does(after)}.
        </Row>
      ))}
      {pileMutes(pile, tubes).map(({ kind, first, firstColour, parts, colour: after }) => (
        <Row key={kind} title={MUTE_TITLES[kind]} colours={[colour, firstColour, after]}>
          {first.length > 1 ? (
            <>
              First bring {nameOf(first[0].tube.id)} to the pile’s value,{' '}
              {valueWords(valueOfOklab(firstColour), scale)}:{' '}
              {recipeWords(
                first.map(({ tube, parts: amount }) => ({ name: nameOf(tube.id), parts: amount })),
              )}
              . Then {partWords(parts)} of that {to}: {does(after)}.
            </>
          ) : (
            <>
              {nameOf(first[0].tube.id)} is at the pile’s value already: {partWords(parts)} of it{' '}
              {to}: {does(after)}.
            </>
          )}
        </Row>
      ))}
    </ul>
  );
}

function Row({
  title,
  colours,
  children,
}: {
  title: string;
  colours: readonly Oklab[];
  children: ReactNode;
}) {
  return (
    <li className="flex items-start gap-3 border-b py-1.5">
      <span aria-hidden className="flex w-14 shrink-0">
        {colours.map((colour, i) => (
          <span key={i} className="block h-9 grow" style={{ background: hexFromOklab(colour) }} />
        ))}
      </span>
      <span className="min-w-0 text-sm leading-snug">
        <span className="font-semibold">{title}. </span>
        {children}
      </span>
    </li>
  );
}
