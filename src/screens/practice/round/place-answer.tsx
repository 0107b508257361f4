'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { choiceKeys, choiceOf, useKeys } from './use-keys';

/** One of some colours: each is a button as large as there is room, under a key of its own. */
export function PlaceAnswer({
  colours,
  isJoined,
  onChoose,
}: {
  colours: readonly Oklab[];
  /** Whether they stand close, as where they are held against each other. */
  isJoined: boolean;
  onChoose: (choice: number) => void;
}) {
  const keys = choiceKeys(colours.length);
  useKeys(({ key }) => {
    const choice = choiceOf(key, colours.length);
    if (choice !== null) onChoose(choice);
    return choice !== null;
  });
  return (
    <ul
      aria-label="Answers"
      className={`grid h-full min-h-28 w-full max-w-3xl auto-cols-fr grid-flow-col ${isJoined ? 'gap-2' : 'gap-5'}`}
    >
      {colours.map((colour, i) => (
        <li key={i} className="flex flex-col">
          <button
            type="button"
            aria-label={`Colour ${i + 1}`}
            className="flex min-h-20 grow flex-col"
            onClick={() => onChoose(i)}
          >
            <span className="block w-full grow" style={{ background: hexFromOklab(colour) }} />
            <kbd className="h-8 w-full pt-1 text-center font-sans">{keys[i]}</kbd>
          </button>
        </li>
      ))}
    </ul>
  );
}
