import type { ClockReading } from '@/core/session/clock';
import type { SessionStage } from '@/contracts/session';

/** All stages in a row, as wide as their shares, filled as far as they are painted. */
export function StageStrip({
  stages,
  clock,
}: {
  stages: readonly SessionStage[];
  clock: ClockReading;
}) {
  return (
    <ol aria-label="Stages" className="flex shrink-0 border-b">
      {stages.map(({ id, name, share }, i) => {
        const isNow = i === clock.stage && clock.phase !== 'ready' && clock.phase !== 'ended';
        const filled =
          i < clock.stage || clock.phase === 'ended'
            ? 1
            : isNow
              ? Math.min(1, Math.max(0, 1 - clock.left / clock.length))
              : 0;
        return (
          <li
            key={id}
            aria-current={isNow ? 'step' : undefined}
            className="relative h-8 min-w-6 border-r last:border-r-0"
            style={{ flexGrow: Math.max(0.02, share), flexBasis: 0 }}
          >
            <span
              className="absolute inset-y-0 left-0 bg-faint"
              style={{ width: `${filled * 100}%` }}
            />
            <span
              className={`relative block truncate px-2 text-sm leading-8 ${isNow ? 'border-b-4 border-ink font-semibold' : ''}`}
            >
              {name}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
