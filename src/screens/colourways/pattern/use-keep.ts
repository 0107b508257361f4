'use client';

import { MAX_COLOURWAYS, type KeptColourway } from '@/contracts/pattern';
import { newId } from '@/study/edits';
import { coloursInUse, keepColourway } from '@/study/pattern-edits';
import { say } from '@/ui/notices';
import { usePatternState } from './use-pattern';

/** Keeps a colourway beside the others; answers whether there was room. */
export function useKeep(): (name: string, made: KeptColourway['made'], key?: string) => boolean {
  const store = usePatternState();
  return (name, made) => {
    const { history, change } = store.getState();
    if (history.present.colourways.length >= MAX_COLOURWAYS) {
      say(`${MAX_COLOURWAYS} colourways are kept already; delete one first.`);
      return false;
    }
    change(keepColourway({ id: newId(), name: name.slice(0, 200), favourite: false, made }));
    return true;
  };
}

/** What the colourway that is tried is made of, to be kept. */
export function useMade(): (tried: {
  map: ReadonlyMap<string, string>;
  laid: string | null;
}) => KeptColourway['made'] {
  const store = usePatternState();
  return ({ map, laid }) => {
    const { choice, sources } = store.getState().history.present;
    return { choice, colours: coloursInUse({ sources }), map: [...map], laid };
  };
}
