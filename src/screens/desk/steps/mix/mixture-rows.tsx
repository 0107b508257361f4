import type { ReactNode } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';

interface PairProps {
  colour: Oklab;
  name: string;
  /** What comes of its recipe; null while that is looked for. */
  made: Oklab | null;
  isOpen: boolean;
  onOpen: () => void;
  children: ReactNode;
}

/** A swatch edge to edge with what comes of its recipe, and the words for it. */
export function PairRow({ colour, name, made, isOpen, onOpen, children }: PairProps) {
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      onClick={onOpen}
      className="flex min-h-14 w-full items-center gap-3 py-1.5 text-left hover:bg-faint"
    >
      <span aria-hidden className="flex shrink-0">
        <span className="block h-11 w-11" style={{ background: hexFromOklab(colour) }} />
        <span
          className="block h-11 w-11"
          style={{ background: made ? hexFromOklab(made) : undefined }}
        />
      </span>
      <span className="min-w-0">
        <span className={`block truncate text-[15px] ${isOpen ? 'font-semibold' : ''}`}>
          {name}
        </span>
        {children}
      </span>
    </button>
  );
}

interface OtherProps {
  colour: Oklab;
  words: string;
  detail: string;
  onChoose: () => void;
}

/** Another recipe for the same swatch, to be taken in place of the one that is shown. */
export function OtherRecipe({ colour, words, detail, onChoose }: OtherProps) {
  return (
    <button
      type="button"
      onClick={onChoose}
      className="flex min-h-10 w-full items-center gap-3 py-1 text-left hover:bg-faint"
    >
      <span
        aria-hidden
        className="block h-8 w-8 shrink-0"
        style={{ background: hexFromOklab(colour) }}
      />
      <span className="min-w-0 text-sm leading-snug">
        {words}
        <span className="block text-soft">{detail}</span>
      </span>
    </button>
  );
}
