'use client';

import type { Drawing } from '@/core/plan/drawing';
import { Button } from '@/ui/button';
import { usePrinted } from '@/ui/use-printed';

/** A chart in its true size, with room for dabs, as PDF. */
export function PrintButton({ name, drawing }: { name: string; drawing: () => Drawing }) {
  const { printing, print } = usePrinted();
  const save = () => {
    const made = drawing();
    void print([made], made.title, name);
  };
  return (
    <Button aria-label={`Save the ${name} as PDF`} disabled={printing} onClick={save}>
      {printing ? 'Printing …' : 'Save PDF'}
    </Button>
  );
}
