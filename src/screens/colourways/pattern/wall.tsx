'use client';

import { useState } from 'react';
import { newId } from '@/study/edits';
import { changeColourway, goOnFrom } from '@/study/pattern-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Tick } from '@/ui/tick';
import { say } from '@/ui/notices';
import { ORIGINAL, TRIED, WALL_PARTS, type PatternView } from './pattern-view';
import type { Shown } from './use-colourways';
import { useKeep } from './use-keep';
import { useChange } from './use-pattern';
import { useSuggestions, type Offered } from './use-suggestions';
import { WallCard } from './wall-card';

const TILED = 2;

interface Props {
  shown: ReadonlyMap<string, Shown>;
  view: PatternView;
  look: (part: Partial<PatternView>) => void;
}

/** Everything side by side: the original first, what is kept, and colourways to choose from, made anew as the colours change. */
export function Wall({ shown, view, look }: Props) {
  const change = useChange();
  const keep = useKeep();
  const suggestions = useSuggestions();
  const [compared, setCompared] = useState<readonly string[]>([]);
  const kept = [...shown.values()].filter(({ id }) => id !== TRIED);
  const listed = kept.filter(
    ({ id, favourite }) => id === ORIGINAL || view.part !== 'favourites' || favourite,
  );
  const isOffering = view.part === 'all';
  const toggle = (id: string) =>
    setCompared((was) =>
      was.includes(id) ? was.filter((one) => one !== id) : [...was, id].slice(-2),
    );
  const open = (id: string) => look({ look: 'one', shown: id });
  const take = ({ title, made }: Offered) => {
    change(goOnFrom({ name: title, made }, newId));
    look({ look: 'one', shown: TRIED, tab: 'colours' });
  };
  return (
    <div className="flex h-full flex-col bg-surround">
      <div className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b bg-panel px-3 py-1">
        <Choice
          label="On the wall"
          showLabel={false}
          value={view.part}
          options={WALL_PARTS.map((value) => ({ value, title: value }))}
          onChange={(part) => look({ part })}
        />
        <Tick checked={view.tiled} onChange={(tiled) => look({ tiled })}>
          Repeated
        </Tick>
        <Button
          className="ml-auto"
          disabled={compared.length !== 2}
          onClick={() => look({ look: 'two', shown: compared[0], beside: compared[1] })}
        >
          {compared.length === 2 ? 'Compare these two' : 'Tick two to compare'}
        </Button>
      </div>
      <ul
        aria-label="Wall of colourways"
        className="grid grow auto-rows-max grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] gap-2 overflow-y-auto p-3"
        data-testid="wall"
      >
        {listed.map((one) => (
          <WallCard
            key={one.id}
            name={one.name}
            given={one.given}
            colours={one.colours}
            repeats={view.tiled ? TILED : 1}
            onOpen={() => open(one.id)}
            compared={compared.includes(one.id)}
            onCompare={() => toggle(one.id)}
          >
            {one.id !== ORIGINAL && (
              <button
                type="button"
                aria-pressed={one.favourite}
                aria-label={`${one.name}, favourite`}
                className="h-10 w-10 text-lg hover:bg-faint"
                onClick={() => change(changeColourway(one.id, { favourite: !one.favourite }))}
              >
                {one.favourite ? '★' : '☆'}
              </button>
            )}
          </WallCard>
        ))}
        {isOffering &&
          suggestions.map((one) => (
            <WallCard
              key={one.title}
              name={one.title}
              given={one.given}
              colours={one.painted}
              repeats={view.tiled ? TILED : 1}
              onOpen={() => take(one)}
            >
              <Button
                weight="quiet"
                aria-label={`Keep ${one.title}`}
                onClick={() => {
                  if (keep(one.title, one.made)) say(`“${one.title}” is kept beside the others.`);
                }}
              >
                Keep
              </Button>
            </WallCard>
          ))}
      </ul>
    </div>
  );
}
