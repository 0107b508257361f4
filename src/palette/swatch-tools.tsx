'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { TraySwatch } from '@/contracts/study';
import { moveColour, typeColour, undoColourChange } from '@/study/colour-edits';
import { newId } from '@/study/edits';
import { replaceByComponents, takeApart } from '@/study/palette-edits';
import { unlink } from '@/study/set-edits';
import { Button } from '@/ui/button';
import { ChangeColour } from '@/ui/change-colour';
import { ColourDetails } from '@/ui/colour-details';
import { Fold } from '@/ui/panel-parts';
import { capital, percent } from '@/ui/words';
import { usePaletteHost, useSwatches } from './host';
import { KeptRecipe } from './kept-recipe';
import { TowardSwatch } from './toward-swatch';
import { VariationsForm } from './variations-form';

/** What can be done with a swatch, wherever its name and note stand. */
export function SwatchTools({ swatch }: { swatch: TraySwatch }) {
  const host = usePaletteHost();
  const swatches = useSwatches();
  return (
    <>
      <div className="mb-1 flex flex-col gap-2">
        <KeptRecipe swatch={swatch} />
        {swatch.parts.length > 0 && (
          <Made
            colours={swatch.parts.map(({ swatch: part }) => ({
              hex: hexFromOklab(part.colour),
              name: part.name,
            }))}
            words={swatch.origin === 'merged' ? 'Merged from' : 'It opens into'}
            action="Take apart"
            onAct={() => host.change((document) => takeApart(document, swatch.id))}
          />
        )}
        {swatch.components.length > 1 && (
          <Made
            colours={swatch.components.map(({ colour, share }) => ({
              hex: hexFromOklab(colour),
              name: percent(share),
            }))}
            words="The area is made of"
            action="Put these in its place"
            onAct={() => {
              host.change((document) => replaceByComponents(document, swatch.id, newId));
              host.select({ selected: null });
            }}
          />
        )}
        {swatch.follows && (
          <div className="flex items-center justify-between gap-2 text-[15px]">
            <span>{capital(followsWords(swatch, swatches))}</span>
            <Button onClick={() => host.change((document) => unlink(document, swatch.id))}>
              Unlink
            </Button>
          </div>
        )}
      </div>
      <Fold title="Change the colour" aside={swatch.change ? 'changed' : 'as it was'} open>
        <ChangeColour
          key={swatch.id}
          colour={swatch.colour}
          change={swatch.change}
          onMove={(moves) =>
            host.change((document) => moveColour(document, swatch.id, moves), `move ${swatch.id}`)
          }
          onType={(colour) =>
            host.change((document) => typeColour(document, swatch.id, colour), `type ${swatch.id}`)
          }
          onBack={() => host.change((document) => undoColourChange(document, swatch.id))}
        />
        <TowardSwatch key={`toward ${swatch.id}`} swatch={swatch} />
      </Fold>
      {swatch.parts.length === 0 && (
        <Fold title="Variations" aside="neighbours at its value">
          <VariationsForm swatch={swatch} />
        </Fold>
      )}
      <Fold title="Figures" aside={hexFromOklab(swatch.colour)}>
        <ColourDetails colour={swatch.colour} share={swatch.share} />
      </Fold>
    </>
  );
}

function followsWords({ follows }: TraySwatch, swatches: readonly TraySwatch[]): string {
  if (follows?.kind === 'rule') {
    const parent = swatches.find(({ id }) => id === follows.from);
    return `${follows.rule} of ${parent?.name ?? 'a swatch'}`;
  }
  return 'moves with its set';
}

function Made({
  colours,
  words,
  action,
  onAct,
}: {
  colours: readonly { hex: string; name: string }[];
  words: string;
  action: string;
  onAct: () => void;
}) {
  return (
    <div className="flex items-center gap-2 text-sm">
      <span className="shrink-0 text-soft">{words}</span>
      <span className="flex grow">
        {colours.map(({ hex, name }, i) => (
          <span
            key={i}
            className="h-7 grow"
            style={{ background: hex }}
            role="img"
            aria-label={`${hex}, ${name}`}
            title={name}
          />
        ))}
      </span>
      <Button onClick={onAct}>{action}</Button>
    </div>
  );
}
