'use client';

import { useDesk } from '../../desk-store';
import { useMeasured } from '../../use-drawn';

/** The places of strongest contrast as numbered marks, while the step asks for them. */
export function useFocalMarks() {
  const asked = useDesk(({ view }) => view.step === 'values' && view.topic === 'focus');
  const reading = useMeasured(asked ? 'focus' : null, (desk) => desk.readFocus());
  return (reading?.places ?? []).map(({ x, y, radius }, i) => ({
    id: `focus ${i}`,
    x,
    y,
    radius,
    strong: i === 0,
    label: String(i + 1),
  }));
}
