'use client';

import { useDesk, useDeskStore, useDocument } from './desk-store';
import { useSteps } from './step';

/** The steps in the order of the work, each with its state. */
export function OrderOfWork() {
  const here = useDesk((state) => state.view.step);
  const document = useDocument((whole) => whole);
  const { goTo } = useDeskStore().getState();
  return (
    <nav
      aria-label="Order of work"
      className="h-full bg-panel py-3 max-[1000px]:flex max-[1000px]:py-0"
    >
      {useSteps().map(({ id, title, stateOf }, i) => (
        <button
          key={id}
          type="button"
          aria-current={id === here ? 'step' : undefined}
          onClick={() => goTo(id)}
          className="flex h-11 w-full items-baseline gap-3 px-4.5 text-left leading-[2.75rem] hover:bg-faint aria-[current]:bg-ink aria-[current]:text-sheet max-[1000px]:w-auto max-[1000px]:px-4"
        >
          <span className="w-3 font-serif italic">{i + 1}</span>
          <span className="grow">{title}</span>
          <span className="text-xs whitespace-nowrap max-[1000px]:hidden">
            {stateOf?.(document)}
          </span>
        </button>
      ))}
    </nav>
  );
}
