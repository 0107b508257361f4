'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import { stepsOf } from '@/core/mixing/recipe-steps';
import { swatchRecipeWords } from '@/core/mixing/swatch-recipe';
import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import type { ShelfContent, ShelfTry } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import { CautionLines } from '@/materials/caution-lines';
import { TriedForm } from '@/materials/tried-form';
import { TryOutcome } from '@/materials/try-outcome';
import type { ShelfStore } from '@/materials/use-shelf';
import { partWords } from '@/core/mixing/recipe-words';
import { missWords } from '@/ui/miss-words';
import { ROUTE_TITLES, stepSentence } from '@/materials/words';
import { newId } from '@/study/edits';
import { keepRecipes, swatchRecipe } from '@/study/recipe-edits';
import { addTry, removeTry, type MixingTube } from '@/study/shelf';
import { Button } from '@/ui/button';
import { offerUndo } from '@/ui/notices';
import { Fold } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../../desk-store';
import { OtherRecipe } from './mixture-rows';
import { OutOfReach } from './out-of-reach';
import { PileVariations } from './pile-variations';

interface Props {
  swatch: TraySwatch;
  recipes: readonly RecipeAnswer[];
  chosen: number;
  onChoose: (index: number) => void;
  tubes: readonly MixingTube[];
  shelf: ShelfContent;
  store: ShelfStore;
  named: (recipe: RecipeAnswer) => string;
}

/** So many ΔE for a tenth more or less of one part make a recipe touchy. */
const TOUCHY = 2.5;

/** One recipe step by step, the other routes, and what came of it when it was tried. */
export function RecipeDetails(props: Props) {
  const { swatch, recipes, chosen, onChoose, tubes, shelf, store, named } = props;
  const { scale, wheel } = useSettings().settings;
  const [trying, setTrying] = useState(false);
  const desk = useDeskStore();
  const recipe = recipes[chosen];
  const parts = recipe.parts.flatMap(({ tube, parts: amount }) => {
    const found = tubes.find(({ id }) => id === tube);
    return found ? [{ tube: found, parts: amount }] : [];
  });
  const pigments = parts.flatMap(({ tube }) => tube.pigments);
  const correctedBy = Math.max(0, ...parts.map(({ tube }) => tube.correctedBy));
  const tries = shelf.tries.filter(({ name }) => name === swatch.name);
  /** With the swatch it goes along wherever the palette goes; `colour` is what comes of it. */
  const keepWithSwatch = (of: ShelfTry['parts'], colour: Oklab, tried: boolean) => {
    const kept = swatchRecipe(shelf, of, colour, tried);
    if (kept) desk.getState().change((was) => keepRecipes(was, new Map([[swatch.id, kept]])));
  };
  const keep = (part: Pick<ShelfTry, 'parts' | 'result' | 'note' | 'triedAt'>, said: string) => {
    const id = newId();
    const { change } = store.getState();
    change((was) => addTry(was, { id, name: swatch.name, target: swatch.colour, ...part }));
    offerUndo(said, () => change((was) => removeTry(was, id)));
  };
  return (
    <div className="pb-3" data-testid="recipe">
      <ol aria-label="Steps" className="mb-2">
        {stepsOf(parts).map((step) => (
          <li key={step.tube.id} className="flex gap-3 border-t py-1.5">
            <span
              aria-hidden
              className="block h-9 w-9 shrink-0"
              style={{ background: hexFromOklab(step.after) }}
            />
            <span className="min-w-0 text-[15px] leading-snug">
              <span className="font-semibold">
                {partWords(step.parts)} {tubes.find(({ id }) => id === step.tube.id)?.name}.
              </span>{' '}
              {stepSentence(step, scale, wheelOf(wheel))}
            </span>
          </li>
        ))}
      </ol>
      <p className="mb-2 text-sm text-soft">
        {recipe.steadiness > TOUCHY
          ? 'Touchy: a tenth of one part more or less shows. '
          : 'Steady: a tenth of one part hardly shows. '}
        {correctedBy > 0 && `Corrected by ${correctedBy} of your mixtures. `}
        ΔE {recipe.deltaE.toFixed(1)}.
      </p>
      <OutOfReach swatch={swatch} miss={recipes[0].deltaE} shelf={shelf} />
      {recipes.length > 1 && (
        <ul aria-label="Other routes" className="mb-2 border-t">
          {recipes.map(
            (other, i) =>
              i !== chosen && (
                <li key={i} className="border-b">
                  <OtherRecipe
                    colour={other.colour}
                    words={named(other)}
                    detail={`${ROUTE_TITLES[other.route]}; ${missWords(swatch.colour, other.colour, scale)}`}
                    onChoose={() => onChoose(i)}
                  />
                </li>
              ),
          )}
        </ul>
      )}
      <Fold title="Variations" aside="pile and speck">
        <PileVariations pile={parts} colour={recipe.colour} tubes={tubes} />
      </Fold>
      {swatch.recipe && (
        <p className="mb-2 text-[15px] leading-snug" data-testid="kept-recipe">
          Goes along with it: {swatchRecipeWords(swatch.recipe)}.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button aria-expanded={trying} onClick={() => setTrying(!trying)}>
          Tried it
        </Button>
        <Button onClick={() => keepWithSwatch(recipe.parts, recipe.colour, false)}>
          Keep with the swatch
        </Button>
        <Button
          onClick={() =>
            keep(
              {
                parts: recipe.parts,
                result: null,
                note: '',
                triedAt: new Date().toISOString(),
              },
              'Kept among the mixtures of the Bench.',
            )
          }
        >
          Keep at the Bench
        </Button>
      </div>
      {trying && (
        <TriedForm
          parts={recipe.parts}
          nameOf={(id) => tubes.find((tube) => tube.id === id)?.name ?? ''}
          start={recipe.colour}
          note=""
          onTried={(part) => {
            keep(part, 'Kept; your tubes are corrected by it.');
            if (part.result) keepWithSwatch(part.parts, part.result, true);
            setTrying(false);
          }}
        />
      )}
      {tries.length > 0 && (
        <ul aria-label="Tried before" className="mt-2 border-t">
          {tries.map((one) => (
            <li key={one.id} className="flex items-center gap-3 border-b py-1">
              <span
                aria-hidden
                className="block h-8 w-8 shrink-0"
                style={{ background: hexFromOklab(one.result ?? one.target ?? swatch.colour) }}
              />
              <TryOutcome shelf={shelf} made={one} />
            </li>
          ))}
        </ul>
      )}
      <CautionLines pigments={pigments} studio />
    </div>
  );
}
