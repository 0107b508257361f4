'use client';

import { useState } from 'react';
import { paintColour } from '@/core/mixing/paint';
import { opticsOf } from '@/core/mixing/pigment';
import { knownPigment } from '@/core/mixing/read-mix';
import { PIGMENTS } from '@/core/mixing/pigments/pigments';
import { TUBE_SETS } from '@/core/mixing/tube-sets';
import { Button } from '@/ui/button';
import { Fold, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';
import { list } from '@/ui/words';

interface Props {
  /** Whether something is on the shelf: then the sets fold away. */
  isBegun: boolean;
  onAddPigment: (id: string) => void;
  onAddSet: (id: string) => void;
}

/** The ways that tubes come onto the shelf: one by its pigment, or a set to begin with. */
export function AddTubes({ isBegun, onAddPigment, onAddSet }: Props) {
  const [pigment, setPigment] = useState(PIGMENTS[0].id);
  return (
    <>
      <Section title="Add a tube">
        <div className="flex gap-2">
          <select
            aria-label="Pigment of the new tube"
            value={pigment}
            onChange={(event) => setPigment(event.target.value)}
            className="h-10 min-w-0 grow border border-line bg-sheet px-2 text-[15px]"
          >
            {PIGMENTS.map(({ id, names }) => (
              <option key={id} value={id}>
                {id}, {names[0]}
              </option>
            ))}
          </select>
          <Button onClick={() => onAddPigment(pigment)}>Add</Button>
        </div>
      </Section>
      {isBegun ? (
        <Fold title="Add a set">
          <Sets onAddSet={onAddSet} />
        </Fold>
      ) : (
        <Section title="Begin with a set">
          <Sets onAddSet={onAddSet} />
        </Section>
      )}
    </>
  );
}

/** Sets of tubes, each with what it does at its values. */
function Sets({ onAddSet }: Pick<Props, 'onAddSet'>) {
  const { scale } = useSettings().settings;
  return (
    <ul>
      {TUBE_SETS.map(({ id, title, about, pigments }) => (
        <li key={id} className="flex items-start justify-between gap-3 border-b py-2">
          <div className="min-w-0 grow">
            <p className="text-[15px] font-semibold">{title}</p>
            <p className="text-sm leading-snug text-soft">{about}</p>
            <div className="mt-1 bg-sheet">
              <Stave
                swatches={pigments.map((pigment) => ({
                  id: pigment,
                  name: pigment,
                  colour: paintColour(opticsOf(knownPigment(pigment))),
                  share: null,
                }))}
                scale={scale}
                height={48}
                label={`Its tubes: ${list(pigments)}`}
              />
            </div>
          </div>
          <Button aria-label={`Add the set ${title}`} onClick={() => onAddSet(id)}>
            Add
          </Button>
        </li>
      ))}
    </ul>
  );
}
