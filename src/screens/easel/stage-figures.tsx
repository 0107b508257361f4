import type { ClockReading } from '@/core/session/clock';
import type { SessionStage } from '@/contracts/session';
import { clockFigures } from '@/ui/time-words';

/** The stage and its time, in letters that are read from three metres: capitals of 68 px at a width of 820. */
export function StageFigures({
  stage,
  clock,
  count,
}: {
  stage: SessionStage;
  clock: ClockReading;
  count: number;
}) {
  const isOver = clock.left < 0;
  return (
    <section
      aria-label="Stage"
      className="flex shrink-0 flex-col justify-center px-6 py-4 lg:w-[min(640px,50vw)]"
    >
      <p className="text-xl text-soft">
        stage {clock.stage + 1} of {count}
        {clock.phase === 'paused' && ', paused'}
        {clock.phase === 'ready' && ', not begun'}
        {isOver && ', time is up'}
      </p>
      <div role="status">
        <h2
          className="text-[max(104px,min(12.8vw,112px))] leading-[0.95] font-semibold break-words"
          data-testid="stage-name"
        >
          {stage.name}
        </h2>
      </div>
      <p
        className={`text-[max(150px,min(20vw,190px))] leading-none font-semibold ${clock.phase === 'paused' ? 'text-soft' : ''}`}
        data-testid="time-left"
        aria-label={`${isOver ? 'over by' : 'left in this stage:'} ${clockFigures(clock.left)}`}
        role="timer"
      >
        {isOver && '+'}
        {clockFigures(clock.left)}
      </p>
      <p className="mt-2 text-[34px] leading-tight">{stage.about}</p>
    </section>
  );
}
