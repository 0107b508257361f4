import {
  CAUTION_LINES,
  CAUTION_SOURCE,
  cautionsOf,
  MEDIUM_TECHNIQUES,
  STUDIO_CAUTIONS,
  type Caution,
  type Technique,
} from '@/core/mixing/cautions';
import type { LayeredMedium } from '@/core/mixing/medium-recipe';
import type { Pigment } from '@/core/mixing/pigment';

/** What some pigments ask for, a line each; with `studio` also what the work itself does. */
export function CautionLines({
  pigments,
  studio = false,
}: {
  pigments: readonly Pigment[];
  studio?: boolean;
}) {
  return <Lines cautions={[...cautionsOf(pigments), ...(studio ? STUDIO_CAUTIONS : [])]} />;
}

/** What the ways of working in a medium ask for, or some of them, at the step where they would happen. */
export function TechniqueCautions({
  medium,
  only = MEDIUM_TECHNIQUES[medium],
}: {
  medium: LayeredMedium;
  only?: readonly Technique[];
}) {
  return <Lines cautions={MEDIUM_TECHNIQUES[medium].filter((one) => only.includes(one))} />;
}

function Lines({ cautions }: { cautions: readonly Caution[] }) {
  if (cautions.length === 0) return null;
  return (
    <div className="mt-2 border-l-4 border-ink pl-3 text-sm leading-snug" data-testid="cautions">
      {cautions.map((caution) => (
        <p key={caution}>{CAUTION_LINES[caution]}</p>
      ))}
      <p className="text-soft">{CAUTION_SOURCE}</p>
    </div>
  );
}
