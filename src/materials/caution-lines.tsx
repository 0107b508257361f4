import {
  CAUTION_LINES,
  CAUTION_SOURCE,
  cautionsOf,
  STICK_CAUTIONS,
  STUDIO_CAUTIONS,
  type Caution,
} from '@/core/mixing/cautions';
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

/** What sticks ask for. */
export const StickCautions = () => <Lines cautions={STICK_CAUTIONS} />;

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
