import type { ReactNode } from 'react';

/** What a panel found, in a sentence: it comes first. */
export function Finding({ children }: { children: ReactNode }) {
  return (
    <p className="mb-4 font-serif text-[22px] leading-[1.2] text-pretty" data-testid="finding">
      {children}
    </p>
  );
}

export function Section({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <section className="mb-4">
      <div className="mb-1.5 flex items-baseline justify-between gap-3 border-b pb-1 text-sm">
        <h3 className="font-semibold">{title}</h3>
        <div className="text-soft">{aside}</div>
      </div>
      {children}
    </section>
  );
}
