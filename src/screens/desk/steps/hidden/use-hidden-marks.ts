'use client';

import { useDesk } from '../../desk-store';
import { useHidden } from './use-hidden';

interface Mark {
  id: string;
  x: number;
  y: number;
  radius: number;
  strong: boolean;
  label: string;
}

/** The numbers of hidden colours on their map. */
export function useHiddenMarks(): Mark[] {
  const isMap = useDesk(({ view }) => view.step === 'hidden' && view.sight === 'map');
  const list = useHidden(isMap);
  return (list?.colours ?? []).map(({ point }, i) => ({
    id: `hidden ${i}`,
    ...point,
    radius: 0.002,
    strong: false,
    label: String(i + 1),
  }));
}
