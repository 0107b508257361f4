import type { ReactNode } from 'react';
import { Button } from './button';
import { capital, count } from './words';

interface Props {
  label: string;
  chosen: number;
  onNone: () => void;
  /** What can be done with them. */
  children: ReactNode;
}

/** Along the foot of the screen while something is chosen: how many, and what can be done with them. */
export function FootBar({ label, chosen, onNone, children }: Props) {
  return (
    <section
      aria-label={label}
      className="fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-4 py-2 sm:px-6"
    >
      <p role="status" className="mr-2 font-serif text-lg">
        {capital(count(chosen))} chosen
      </p>
      {children}
      <Button weight="quiet" className="ml-auto" onClick={onNone}>
        Choose none
      </Button>
    </section>
  );
}
