'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { atValue } from '@/core/colour/at-value';
import { valueOfOklab } from '@/core/colour/value';
import type { Wheel } from '@/core/colour/wheel';
import type { Tube } from '@/core/mixing/tube';
import { truthOf, type Truth } from '@/core/drills/truth';
import { ShownColours } from './shown-colours';
import type { Told } from './round-store';
import { captionOf } from './truth-words';

/** What is read off a whole stays in view beside its truth. */
const IS_WHOLE: readonly string[] = ['place', 'field', 'in a ground'];

/** What was right and what was answered, edge to edge; beside the picture where it was asked of one. */
export function TruthView({
  told: { question, answer },
  wheel,
  tubes,
}: {
  told: Told;
  wheel: Wheel;
  tubes: readonly Tube[];
}) {
  const { shown, form } = question;
  const truth = truthOf(question, answer, wheel, tubes);
  const isWhole = IS_WHOLE.includes(shown.as);
  return (
    <div className="flex h-full w-full max-w-4xl justify-center gap-5 max-sm:flex-col">
      {isWhole && (
        <div className="flex min-h-0 min-w-0 grow basis-0 justify-center">
          <ShownColours shown={shown} form={form} nameOf={String} />
        </div>
      )}
      {truth.patches.length > 0 && (
        <Strips truth={truth} captionOf={(role) => captionOf(question, role)} />
      )}
    </div>
  );
}

function Strips({
  truth: { patches, hasGreys, isStrengthened },
  captionOf: wordsOf,
}: {
  truth: Truth;
  captionOf: (role: Truth['patches'][number]['role']) => string;
}) {
  return (
    <div className="flex min-h-0 min-w-0 max-w-2xl grow basis-0">
      {patches.map(({ role, colour }, i) => (
        <figure key={i} className="flex min-w-0 grow basis-0 flex-col">
          <span className="flex min-h-0 grow flex-col" data-testid="truth">
            <span className="block grow-[2]" style={{ background: hexFromOklab(colour) }} />
            {hasGreys && (
              <span
                className="block grow"
                style={{ background: hexFromOklab(atValue(valueOfOklab(colour), 0, () => 0)) }}
              />
            )}
          </span>
          <figcaption className="pt-1 text-[15px] leading-tight">
            {wordsOf(role)}
            {isStrengthened && role === 'right' && ', strengthened'}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}
