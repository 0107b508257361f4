'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { cautionsOf, CAUTION_LINES } from '@/core/mixing/cautions';
import { laidOut, STICK_STAGES } from '@/core/mixing/stick-plan';
import { layerWords, type LayeredMedium, type MediumRecipe } from '@/core/mixing/medium-recipe';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { layOutDrawings, matchingDrawings, type LayOutItem } from '@/core/plan/lay-out-drawing';
import type { ShelfContent } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Section } from '@/ui/panel-parts';
import { usePrinted } from '@/ui/use-printed';
import { useDocument } from '../../../desk-store';

interface Props {
  medium: LayeredMedium;
  swatches: readonly TraySwatch[];
  /** The best of each before others. */
  recipes: readonly (readonly MediumRecipe[])[];
  shelf: ShelfContent;
}

/** Sheets for the day: what to lay out with room to try it, and the palette to practise matching on. */
export function LayOut({ medium, swatches, recipes, shelf }: Props) {
  const title = useDocument((document) => document.title);
  const { printing, print } = usePrinted();
  const rows = swatches.flatMap(({ name, colour }, i) => {
    const best = recipes[i][0];
    return best
      ? [
          {
            name,
            hex: hexFromOklab(colour),
            madeHex: hexFromOklab(best.colour),
            layers: layerWords(best),
          },
        ]
      : [];
  });
  const pigments = recipes.flatMap(([best]) =>
    best?.medium === 'washes' ? best.layers.flatMap((layer) => layer.pigments) : [],
  );
  const cautions = cautionsOf(pigments.flatMap((id) => pigmentOf(id) ?? [])).map(
    (caution) => CAUTION_LINES[caution],
  );
  const sheet = {
    medium,
    rows,
    cautions: medium === 'washes' ? [...cautions, CAUTION_LINES['rinse water']] : cautions,
  };
  return (
    <Section title="Sheets to print">
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={printing}
          onClick={() =>
            void print(
              layOutDrawings({
                ...sheet,
                title: `${title}: ${medium} to lay out`,
                groups: groupsOf(swatches, recipes, shelf),
              }),
              title,
              `${medium} to lay out`,
            )
          }
        >
          {printing ? 'Printing …' : 'Lay-out as PDF'}
        </Button>
        <Button
          disabled={printing}
          onClick={() =>
            void print(
              matchingDrawings({ ...sheet, title: `${title}: to match in ${medium}` }),
              title,
              `matching in ${medium}`,
            )
          }
        >
          Matching sheet as PDF
        </Button>
      </div>
    </Section>
  );
}

/** What is used, each once: sticks by the stages of the work, others by how often. */
function groupsOf(
  swatches: readonly TraySwatch[],
  recipes: readonly (readonly MediumRecipe[])[],
  shelf: ShelfContent,
): { title: string; items: LayOutItem[] }[] {
  const names = new Map<string, { name: string; hex: string; colours: number }>();
  const colourOf = new Map(
    [...shelf.sticks, ...shelf.pencils, ...shelf.inks].map(({ id, colour }) => [id, colour]),
  );
  for (const [best] of recipes)
    for (const item of new Set(best?.layers.map((layer) => layer.item))) {
      const layer = best.layers.find((one) => one.item === item)!;
      const had = names.get(item);
      const colour = colourOf.get(item);
      names.set(item, {
        name: layer.name,
        hex: colour ? hexFromOklab(colour) : '#ffffff',
        colours: (had?.colours ?? 0) + 1,
      });
    }
  const detail = (colours: number) => (colours === 1 ? 'for one colour' : `for ${colours} colours`);
  const itemOf = (id: string): LayOutItem[] => {
    const found = names.get(id);
    return found ? [{ name: found.name, hex: found.hex, detail: detail(found.colours) }] : [];
  };
  const plan = laidOut(
    swatches.flatMap(({ colour, share, role }, i) => {
      const best = recipes[i][0];
      const under = best?.medium === 'sticks' ? colourOf.get(best.layers[0].item) : undefined;
      if (best?.medium !== 'sticks' || !under) return [];
      const [first, second] = best.layers;
      const over = second && colourOf.get(second.item);
      return [
        {
          colour,
          share: share ?? 0,
          role,
          recipe: {
            stick: { id: first.item, colour: under },
            over: over
              ? { stick: { id: second.item, colour: over }, showing: second.showing }
              : null,
            colour: best.colour,
            cost: 0,
          },
        },
      ];
    }),
  );
  if (plan.length > 0)
    return STICK_STAGES.map((stage) => ({
      title: stage,
      items: plan.filter((one) => one.stage === stage).flatMap(({ stick }) => itemOf(stick.id)),
    }));
  const byUse = [...names].sort(([, one], [, other]) => other.colours - one.colours);
  return [{ title: 'Lay out', items: byUse.flatMap(([id]) => itemOf(id)) }];
}
