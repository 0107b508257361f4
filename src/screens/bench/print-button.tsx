'use client';

import { useState } from 'react';
import type { Drawing } from '@/core/plan/drawing';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { callForFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';

/** A chart in its true size, with room for dabs, as PDF. */
export function PrintButton({ name, drawing }: { name: string; drawing: () => Drawing }) {
  const [printing, setPrinting] = useState(false);
  const print = async () => {
    setPrinting(true);
    try {
      const made = drawing();
      const pdf = await callForFile(endpoints.printDrawing, { body: made });
      keepFile(pdf, fileName(made.title, name, 'pdf'));
    } catch (error) {
      showError(error);
    } finally {
      setPrinting(false);
    }
  };
  return (
    <Button aria-label={`Save the ${name} as PDF`} disabled={printing} onClick={() => void print()}>
      {printing ? 'Printing …' : 'Save PDF'}
    </Button>
  );
}
