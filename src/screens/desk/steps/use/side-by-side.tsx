'use client';

import { useRef, type ReactNode } from 'react';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { useSize } from '@/ui/use-size';
import { usePicture } from '../../picture-room';
import { CanvasCopy, MadePicture } from './made-picture';
import { grid } from './picture-grid';

/** Pixels that a title takes, and what is said below it. */
const TITLE = 36;
const FACTS = 92;

/** One of several pictures that stand side by side. */
export interface Side {
  title: string;
  isChosen: boolean;
  query: MadeQuery | null;
  onChoose: () => void;
  /** What is said of it, below its title. */
  facts?: ReactNode;
}

/** The picture as it is, and made in several ways; choosing one looks at it alone. */
export function SideBySide({ label, sides }: { label: string; sides: readonly Side[] }) {
  const hasFacts = sides.some(({ facts }) => facts);
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { canvas } = usePicture();
  const aspect = (canvas?.width ?? 1) / (canvas?.height ?? 1);
  const { columns, width } = grid(sides.length + 1, aspect, size, hasFacts ? TITLE + FACTS : TITLE);
  return (
    <div
      ref={frame}
      role="group"
      aria-label={label}
      className="h-full w-full overflow-y-auto bg-surround p-4"
      data-testid="side-by-side"
    >
      <ul
        className="mx-auto grid w-fit gap-3"
        style={{ gridTemplateColumns: `repeat(${columns}, ${width}px)` }}
      >
        <li>
          <span className="block bg-panel" style={{ height: width / aspect }}>
            <CanvasCopy canvas={canvas} isDrawn={canvas !== null} />
          </span>
          <span className="flex min-h-9 items-center px-2 text-[15px]">as it is</span>
        </li>
        {sides.map(({ title, isChosen, query, onChoose, facts }) => (
          <li key={title}>
            <button
              type="button"
              aria-pressed={isChosen}
              onClick={onChoose}
              className="group block w-full text-left"
            >
              <span className="block bg-panel" style={{ height: width / aspect }}>
                <MadePicture query={query} />
              </span>
              <span
                className={`flex min-h-9 items-center px-2 text-[15px] ${isChosen ? 'bg-ink font-semibold text-sheet' : 'bg-sheet group-hover:bg-faint'}`}
              >
                {title}
              </span>
            </button>
            {facts}
          </li>
        ))}
      </ul>
    </div>
  );
}
