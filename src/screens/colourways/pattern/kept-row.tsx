'use client';

import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { DrawnCanvas } from './drawn-canvas';
import type { Shown } from './use-colourways';

const SIDE = 72;

interface Props {
  shown: ReadonlyMap<string, Shown>;
  at: string;
  onShow: (id: string) => void;
}

/** The original, what is tried and all that is kept, in a row below the drawing. */
export function KeptRow({ shown, at, onShow }: Props) {
  const { settings } = useSettings();
  return (
    <ul
      aria-label="Colourways in a row"
      className="flex h-[118px] shrink-0 gap-2 overflow-x-auto border-t bg-panel px-3 py-2"
    >
      {[...shown.values()].map((one) => (
        <li key={one.id} className="shrink-0">
          <button
            type="button"
            aria-pressed={one.id === at}
            title={one.name}
            onClick={() => onShow(one.id)}
            className={`flex h-[100px] w-44 gap-2 border p-1 text-left ${one.id === at ? 'border-2 border-ink bg-sheet' : 'border-line hover:bg-faint'}`}
          >
            <span className="shrink-0 self-center">
              <DrawnCanvas given={one.given} width={SIDE} height={SIDE} />
            </span>
            <span className="flex min-w-0 grow flex-col justify-between">
              <span
                className={`line-clamp-2 text-sm leading-tight ${one.id === at ? 'font-semibold' : ''}`}
              >
                {one.favourite && '★ '}
                {one.name}
              </span>
              <Stave
                swatches={one.colours}
                scale={settings.scale}
                height={40}
                label={staveWords(one.colours)}
              />
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
