'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { findRecipes, type Recipe } from '@/core/mixing/recipes';
import type { ShelfContent } from '@/contracts/shelf';
import { recipeWords } from '@/core/mixing/recipe-words';
import { missWords } from '@/ui/miss-words';
import { mixingTubes, type MixingTube } from '@/study/shelf';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { useSettings } from '@/ui/settings';
import { typedColour } from '@/ui/typed-colour';
import type { PilePart } from './bench-view';

interface Props {
  shelf: ShelfContent;
  onTake: (pile: readonly PilePart[]) => void;
}

const START: Oklab = { L: 0.6, a: 0, b: 0 };
const SHOWN = 4;

/** A colour that was met somewhere, and what of the palette comes nearest to it. */
export function WhatMadeThis({ shelf, onTake }: Props) {
  const { scale } = useSettings().settings;
  const [text, setText] = useState('');
  const [found, setFound] = useState<{ target: Oklab; recipes: Recipe[] } | null>(null);
  const typed = text.trim() ? typedColour(text, START) : null;
  const tubes = mixingTubes(shelf).filter((tube) =>
    shelf.tubes.some(({ id, standing }) => id === tube.id && standing === 'palette'),
  );
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? id;
  const find = () => {
    if (!typed || tubes.length === 0) return;
    setFound({ target: typed, recipes: findRecipes(typed, tubes, { black: true, count: SHOWN }) });
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        find();
      }}
    >
      <div className="flex items-end gap-2">
        <div className="min-w-0 grow">
          <TextField
            label="A colour: hex, oklch(), lab() …"
            value={text}
            error={text.trim() && !typed ? 'Not a colour yet: try #8a6f4d.' : undefined}
            onChange={(event) => setText(event.target.value)}
          />
        </div>
        <Button type="submit" disabled={!typed || tubes.length === 0}>
          Find
        </Button>
      </div>
      {tubes.length === 0 && (
        <p className="mt-1 text-sm text-soft">No tube is on the palette: put one there first.</p>
      )}
      <ul aria-label="What may have made it">
        {found?.recipes.map((recipe) => (
          <Found
            key={recipe.parts.map(({ tube, parts }) => `${tube.id}${parts}`).join()}
            target={found.target}
            recipe={recipe}
            words={recipeWords(
              recipe.parts.map(({ tube, parts }) => ({ name: nameOf(tube.id), parts })),
            )}
            miss={missWords(found.target, recipe.colour, scale)}
            onTake={() =>
              onTake(
                recipe.parts.map(({ tube, parts }) => ({ tube: (tube as MixingTube).id, parts })),
              )
            }
          />
        ))}
      </ul>
    </form>
  );
}

interface FoundProps {
  target: Oklab;
  recipe: Recipe;
  words: string;
  miss: string;
  onTake: () => void;
}

function Found({ target, recipe, words, miss, onTake }: FoundProps) {
  return (
    <li className="border-b">
      <button
        type="button"
        onClick={onTake}
        title="Take it into the mixing room"
        className="flex min-h-10 w-full items-center gap-3 py-1.5 text-left text-[15px] hover:bg-faint"
      >
        <span aria-hidden className="flex shrink-0">
          <span className="block h-8 w-8" style={{ background: hexFromOklab(target) }} />
          <span className="block h-8 w-8" style={{ background: hexFromOklab(recipe.colour) }} />
        </span>
        <span className="min-w-0 leading-snug">
          {words}
          <span className="block text-sm text-soft">{miss}</span>
        </span>
      </button>
    </li>
  );
}
