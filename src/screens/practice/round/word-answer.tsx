'use client';

import { Button } from '@/ui/button';
import { choiceKeys, choiceOf, useKeys } from './use-keys';

/** One of some words, each under a key of its own. */
export function WordAnswer({
  words,
  onChoose,
}: {
  words: readonly string[];
  onChoose: (choice: number) => void;
}) {
  const keys = choiceKeys(words.length);
  useKeys(({ key }) => {
    const choice = choiceOf(key, words.length);
    if (choice !== null) onChoose(choice);
    return choice !== null;
  });
  return (
    <ul
      aria-label="Answers"
      className={`grid w-full max-w-3xl gap-1.5 ${words.length > 6 ? 'grid-cols-3 sm:grid-cols-4 lg:grid-cols-6' : 'grid-cols-2 sm:grid-flow-col sm:auto-cols-fr sm:grid-cols-none'}`}
    >
      {words.map((word, i) => (
        <li key={word} className="flex">
          <Button className="min-h-12 grow" onClick={() => onChoose(i)}>
            <kbd className="font-sans font-normal text-soft">{keys[i]}</kbd>
            {word}
          </Button>
        </li>
      ))}
    </ul>
  );
}
