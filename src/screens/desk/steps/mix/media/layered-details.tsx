'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { comesToColour, formLayers } from '@/core/mixing/screen-layers';
import { foretoldColour } from '@/core/mixing/layers-colour';
import { missesOfPatch } from '@/core/mixing/learn-patches';
import { layerWords, mediumRecipeWords, type MediumRecipe } from '@/core/mixing/medium-recipe';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import type { TraySwatch } from '@/contracts/study';
import { CautionLines } from '@/materials/caution-lines';
import { PatchForm } from '@/materials/patch-form';
import { newId } from '@/study/edits';
import { correctionsOf, layerSource } from '@/study/layer-source';
import { triedAs } from '@/study/medium-recipes';
import { keepMediumRecipes } from '@/study/recipe-edits';
import { addPatch, removePatch } from '@/study/shelf-items';
import { Button } from '@/ui/button';
import { missWords } from '@/ui/miss-words';
import { offerUndo } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../../../desk-store';
import type { MediumProps } from './medium-props';
import { ToothDrawing } from './tooth-drawing';

interface Props extends MediumProps {
  swatch: TraySwatch;
  recipe: MediumRecipe;
}

/** A recipe layer by layer with what the surface looks like after each, and what came of it when it was laid. */
export function LayeredDetails({ swatch, recipe, shelf, store }: Props) {
  const { scale } = useSettings().settings;
  const [trying, setTrying] = useState(false);
  const desk = useDeskStore();
  const { medium } = recipe;
  const source = layerSource(shelf, medium);
  const after = surfaces(recipe, shelf);
  const patches = shelf.patches.filter(
    (patch) => patch.name === swatch.name && patch.recipe.medium === medium,
  );
  const corrected = correctionsOf(shelf, recipe);
  const kept = swatch.mediumRecipes.find((one) => one.medium === medium);
  const keepWithSwatch = (one: MediumRecipe) =>
    desk.getState().change((was) => keepMediumRecipes(was, new Map([[swatch.id, one]])));
  const pigments =
    recipe.medium === 'washes'
      ? recipe.layers.flatMap((layer) => layer.pigments).flatMap((id) => pigmentOf(id) ?? [])
      : [];
  return (
    <>
      <ol aria-label="Layers" className="mb-2">
        {layerWords(recipe).map((words, i) => (
          <li key={i} className="flex items-center gap-3 border-t py-1">
            <span
              aria-hidden
              className="block h-9 w-9 shrink-0"
              style={{ background: after[i] ? hexFromOklab(after[i]) : undefined }}
            />
            <span className="min-w-0 text-[15px] leading-snug">{words}</span>
          </li>
        ))}
      </ol>
      {recipe.medium === 'pencils' && <ToothDrawing recipe={recipe} source={source} />}
      {corrected > 0 && (
        <p className="mb-2 text-sm text-soft">Corrected by {corrected} of your patches.</p>
      )}
      {kept && (
        <p className="mb-2 text-[15px] leading-snug" data-testid="kept-recipe">
          Goes along with it: {mediumRecipeWords(kept)}.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {medium !== 'screen' && (
          <Button aria-expanded={trying} onClick={() => setTrying(!trying)}>
            Tried it
          </Button>
        )}
        <Button onClick={() => keepWithSwatch(recipe)}>Keep with the swatch</Button>
      </div>
      {trying && (
        <PatchForm
          start={recipe.colour}
          onTried={(colour, note) => {
            const id = newId();
            const tried = triedAs(recipe, colour);
            const { change } = store.getState();
            change((was) =>
              addPatch(was, {
                id,
                triedAt: new Date().toISOString(),
                name: swatch.name,
                target: swatch.colour,
                recipe: tried,
                note,
              }),
            );
            keepWithSwatch(tried);
            offerUndo(`Kept; what is foretold of your ${medium} is corrected by it.`, () =>
              change((was) => removePatch(was, id)),
            );
            setTrying(false);
          }}
        />
      )}
      {patches.length > 0 && (
        <ul aria-label="Tried before" className="mt-2 border-t">
          {patches.map(({ id, recipe: laid, target, note }) => {
            const misses = missesOfPatch(laid, source, factorsOf(laid, source.factorOf));
            return (
              <li key={id} className="flex items-center gap-3 border-b py-1">
                <span
                  aria-hidden
                  className="block h-8 w-8 shrink-0"
                  style={{ background: hexFromOklab(laid.colour) }}
                />
                <p className="min-w-0 text-sm text-soft" data-testid="outcome">
                  It came {missWords(target, laid.colour, scale)}.{' '}
                  {misses &&
                    `Foretold within ΔE ${misses.now.toFixed(1)}; ${misses.before.toFixed(1)} before your patches.`}
                  {note && <span className="block italic">{note}</span>}
                </p>
              </li>
            );
          })}
        </ul>
      )}
      <CautionLines pigments={pigments} />
    </>
  );
}

const factorsOf = (recipe: MediumRecipe, factorOf: (item: string) => number) =>
  new Map(recipe.layers.map(({ item }) => [item, factorOf(item)]));

/** What the surface looks like after each layer; on a screen, what each layer makes of the base. */
function surfaces(recipe: MediumRecipe, shelf: MediumProps['shelf']) {
  if (recipe.medium === 'screen') return formLayers(recipe.colour).map(comesToColour);
  return recipe.layers.map((_, i) =>
    foretoldColour(
      { ...recipe, layers: recipe.layers.slice(0, i + 1) } as MediumRecipe,
      layerSource(shelf, recipe.medium),
    ),
  );
}
