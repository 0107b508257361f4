import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** A sentence whose figures keep their per cent sign on their line. */
export const unbroken = (words: string) => words.replaceAll(' %', '\u00a0%');

/** What a panel found, in a sentence: it comes first. */
export function Finding({
  children,
  stale = false,
}: {
  children: ReactNode;
  /** Whether a newer reading is on its way. */
  stale?: boolean;
}) {
  return (
    <p
      className="mb-3 font-serif text-[21px] leading-[1.18] text-pretty"
      data-testid="finding"
      data-stale={stale || undefined}
      aria-busy={stale}
    >
      {typeof children === 'string' ? unbroken(children) : children}
    </p>
  );
}

interface SectionProps {
  title: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
}

export function Section({ title, aside, children }: SectionProps) {
  return (
    <section className="mb-3">
      <div className="mb-1 flex min-h-7 items-end justify-between gap-3 border-b pb-1 text-sm">
        <h2 className="font-semibold">{title}</h2>
        <div className="text-right text-soft">{aside}</div>
      </div>
      {children}
    </section>
  );
}

interface FoldProps extends SectionProps {
  open?: boolean;
  /** Told whenever it is unfolded and folded. */
  onToggle?: (open: boolean) => void;
}

/** A section for what is wanted now and then: folded until it is. */
export function Fold({ title, aside, children, open = false, onToggle }: FoldProps) {
  return (
    <details
      className="group mb-1 border-b"
      open={open}
      onToggle={({ currentTarget }) => onToggle?.(currentTarget.open)}
    >
      <summary className="flex min-h-10 list-none items-center gap-1.5 text-sm [&::-webkit-details-marker]:hidden">
        <ChevronRight size={16} aria-hidden className="shrink-0 group-open:rotate-90" />
        <span className="font-semibold">{title}</span>
        <span className="ml-auto truncate pl-3 text-soft">{aside}</span>
      </summary>
      <div className="pt-1 pb-3">{children}</div>
    </details>
  );
}
