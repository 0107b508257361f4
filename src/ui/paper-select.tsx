'use client';

import { PAPERS, type Paper } from '@/contracts/print';
import { Select } from './select';

const TITLES: Record<Paper, string> = { a4: 'A4', a5: 'A5', letter: 'Letter', '6x4': '6 × 4 in' };

export function PaperSelect({
  paper,
  onChange,
}: {
  paper: Paper;
  onChange: (paper: Paper) => void;
}) {
  return (
    <Select
      label="Paper"
      value={paper}
      options={PAPERS.map((value) => ({ value, title: TITLES[value] }))}
      onChange={onChange}
    />
  );
}
