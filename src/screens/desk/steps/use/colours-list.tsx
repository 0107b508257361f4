'use client';

import type { SubjectMass } from '@/core/transfer/subject';
import { hexFromOklab } from '@/core/colour/hex';
import type { UsedColour } from '@/contracts/use';
import { leaveColourOut, wantColour } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Section } from '@/ui/panel-parts';
import { percent } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { transferView } from './transfer-view';
import { useColourDrag } from './use-colour-drag';
import { useEcho } from './use-echo';

interface Props {
  colours: readonly UsedColour[];
  /** For each mass the number of its colour. */
  of: readonly number[] | null;
  masses: readonly SubjectMass[];
}

type More = '-1' | '0' | '1';

/** The colours as chips: dragged to a mass, or taken in hand and put on one by a touch; more or less of each, or without it. */
export function ColoursList({ colours, of, masses }: Props) {
  const [{ colour: inHand }, look] = useStepView(transferView);
  const { change } = useDeskStore().getState();
  const prominence = useDocument((document) => document.use.transfer.prominence);
  const drag = useColourDrag();
  const echoes = useEcho();
  if (colours.length === 0) return null;
  const number = colours.findIndex(({ id }) => id === inHand);
  const open = colours[number];
  const share = of
    ? masses.reduce((sum, mass, i) => sum + (of[i] === number ? mass.share : 0), 0)
    : 0;
  return (
    <Section title="Colours" aside="drag one to a mass, or touch both">
      <div className="flex flex-wrap gap-1 pt-1" role="group" aria-label="Colours">
        {colours.map(({ id, name, colour }) => (
          <button
            key={id}
            type="button"
            title={name}
            aria-label={`${name}, in hand`}
            aria-pressed={id === inHand}
            {...drag.of(id)}
            onClick={() => look({ colour: id === inHand ? null : id })}
            className={`h-10 w-10 cursor-grab touch-none border-2 ${id === inHand ? 'border-ink outline-2 outline-ink' : 'border-transparent'}`}
            style={{ background: hexFromOklab(colour) }}
          />
        ))}
      </div>
      {drag.ghost && (
        <span
          aria-hidden
          className="pointer-events-none fixed z-50 h-9 w-9 border-2 border-sheet outline-2 outline-ink"
          style={{
            left: drag.ghost.x + 8,
            top: drag.ghost.y + 8,
            background: hexFromOklab(colours.find(({ id }) => id === drag.ghost?.id)!.colour),
          }}
        />
      )}
      {open && (
        <div className="mt-2 border-t pt-2 text-[15px]">
          <p className="leading-snug">
            <span className="font-semibold">{open.name}</span>
            {of && `, on ${percent(share)} of it. `}
            {`Touch a mass in the picture to put it there. ${echoWords(echoes.length)}`}
          </p>
          <div className="mt-2 flex flex-wrap items-center gap-2">
            <Choice
              label="How much of it"
              showLabel={false}
              value={String(prominence.find(({ colour }) => colour === open.id)?.more ?? 0) as More}
              options={[
                { value: '-1', title: 'less' },
                { value: '0', title: 'as it comes' },
                { value: '1', title: 'more' },
              ]}
              onChange={(more) =>
                change((was) => wantColour(was, open.id, Number(more) as -1 | 0 | 1))
              }
            />
            <Button
              disabled={colours.length === 1}
              onClick={() => {
                look({ colour: null });
                change((was) => leaveColourOut(was, open.id));
              }}
            >
              Without it
            </Button>
          </div>
        </div>
      )}
    </Section>
  );
}

function echoWords(places: number): string {
  if (places === 0) return 'Nothing else has its value, so it has no echo.';
  return places === 1
    ? 'The ring shows where it would be echoed.'
    : 'The rings show where it would be echoed, at its own value.';
}
