'use client';

import { useDesk, useDeskStore, useDocument } from './desk-store';
import { STEPS, type Step } from './view';
import { capital } from '@/ui/words';

/** The steps in the order of the work, each with its state. */
export function OrderOfWork() {
  const here = useDesk((state) => state.view.step);
  const document = useDocument((whole) => whole);
  const { look, set } = useDeskStore().getState();
  const states: Record<Step, string> = {
    look: document.aims.length > 0 ? 'aim set' : '',
    values: String(document.values.zones),
    colours: '',
    hidden: document.hidden.looks.length > 0 ? String(document.hidden.looks.length) : '',
    palette: document.palette.swatches.length > 0 ? String(document.palette.swatches.length) : '',
  };
  return (
    <nav
      aria-label="Order of work"
      className="h-full bg-panel py-3 max-[1000px]:flex max-[1000px]:py-0"
    >
      {STEPS.map((step, i) => (
        <button
          key={step}
          type="button"
          aria-current={step === here ? 'step' : undefined}
          onClick={() => {
            look({ step });
            set({ tool: 'look', hovered: null, pinned: null });
          }}
          className="flex h-11 w-full items-baseline gap-3 px-4.5 text-left leading-[2.75rem] hover:bg-faint aria-[current]:bg-ink aria-[current]:text-sheet max-[1000px]:w-auto max-[1000px]:px-4"
        >
          <span className="w-3 font-serif italic">{i + 1}</span>
          <span className="grow">{capital(step)}</span>
          <span className="text-xs whitespace-nowrap max-[1000px]:hidden">{states[step]}</span>
        </button>
      ))}
    </nav>
  );
}
