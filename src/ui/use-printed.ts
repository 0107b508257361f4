'use client';

import { useState } from 'react';
import type { Drawing } from '@/core/plan/drawing';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { callForFile } from './api';
import { fileName, keepFile } from './keep-file';
import { showError } from './notices';

/** Prints drawings as PDF, in their true size, and hands it to the person as `title, about.pdf`. */
export function usePrinted() {
  const [printing, setPrinting] = useState(false);
  const print = async (drawings: readonly Drawing[], title: string, about: string) => {
    setPrinting(true);
    try {
      const pdf = await callForFile(endpoints.printDrawings, { body: [...drawings] });
      keepFile(pdf, fileName(title, about, 'pdf'));
    } catch (error) {
      showError(error);
    } finally {
      setPrinting(false);
    }
  };
  return { printing, print };
}
