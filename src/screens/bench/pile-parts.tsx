'use client';

import { X } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { paintColour } from '@/core/mixing/paint';
import { MAX_RECIPE_TUBES } from '@/core/mixing/recipes';
import { MEASURES } from '@/core/mixing/whole-parts';
import type { ShelfContent } from '@/contracts/shelf';
import { partWords } from '@/core/mixing/recipe-words';
import type { MixingTube } from '@/study/shelf';
import { Button } from '@/ui/button';
import { Slider } from '@/ui/slider';
import { type PilePart } from './bench-view';
import type { Heap } from './heap';

interface Props {
  tubes: readonly MixingTube[];
  shelf: ShelfContent;
  heaps: readonly Heap[];
  onChange: (pile: readonly PilePart[]) => void;
}

/** What a slider of parts stops at: nothing, the specks, whole parts. */
const STOPS = [0, ...MEASURES];

/** The tubes of the pile, each with its parts. */
export function PileParts({ tubes, shelf, heaps, onChange }: Props) {
  const pile = heaps.map(({ tube, parts }) => ({ tube: tube.id, parts }));
  const left = tubes.filter(({ id }) => pile.every(({ tube }) => tube !== id));
  const isWished = (id: string) =>
    shelf.tubes.some((tube) => tube.id === id && tube.standing === 'wish');
  return (
    <div>
      <ul>
        {heaps.map(({ tube, parts }) => (
          <li key={tube.id} className="flex items-center gap-3 border-b py-1">
            <span
              aria-hidden
              className="block h-8 w-8 shrink-0"
              style={{ background: hexFromOklab(paintColour(tube.optics)) }}
            />
            <span className="w-36 min-w-0 shrink-0 truncate text-[15px] max-sm:w-24">
              {tube.name}
            </span>
            <div className="min-w-0 grow">
              <Slider
                bare
                label={tube.name}
                said={`Parts of ${tube.name}`}
                min={0}
                max={STOPS.length - 1}
                value={nearestStop(parts)}
                words={partWords(parts)}
                onChange={(stop) =>
                  onChange(
                    pile.map((one) =>
                      one.tube === tube.id ? { ...one, parts: STOPS[stop] } : one,
                    ),
                  )
                }
              />
            </div>
            <span className="w-9 text-right" data-testid="parts">
              {partWords(parts)}
            </span>
            <Button
              weight="quiet"
              aria-label={`Leave out ${tube.name}`}
              onClick={() => onChange(pile.filter((one) => one.tube !== tube.id))}
            >
              <X size={18} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {heaps.length < MAX_RECIPE_TUBES && left.length > 0 && (
        <select
          aria-label="Add a tube to the pile"
          value=""
          onChange={(event) =>
            event.target.value && onChange([...pile, { tube: event.target.value, parts: 1 }])
          }
          className="mt-2 h-10 w-full border border-line bg-sheet px-2 text-[15px]"
        >
          <option value="">Add a tube …</option>
          {left.map(({ id, name }) => (
            <option key={id} value={id}>
              {isWished(id) ? `${name} (wished for)` : name}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}

function nearestStop(parts: number): number {
  const off = STOPS.map((stop) => Math.abs(stop - parts));
  return off.indexOf(Math.min(...off));
}
