'use client';

import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Paper } from '@/contracts/print';
import type { StudyCard } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { download } from '@/ui/keep-file';
import { PaperSelect } from '@/ui/paper-select';

/** A study as a sheet for the easel. */
export function PrintDialog({ study, onClose }: { study: StudyCard | null; onClose: () => void }) {
  const [paper, setPaper] = useState<Paper>('a4');
  return (
    <Dialog
      open={study !== null}
      onClose={onClose}
      title={`Print “${study?.title ?? ''}”`}
      about="A sheet for the easel as PDF: the picture and its greys, what it is for, its values, and its palette in true sizes with room for recipes."
    >
      {study && (
        <div className="flex gap-2">
          <PaperSelect paper={paper} onChange={setPaper} />
          <Button
            weight="strong"
            onClick={() => {
              download(hrefOf(endpoints.printStudy, { id: study.id, query: { paper } }));
              onClose();
            }}
          >
            Print sheet
          </Button>
        </div>
      )}
    </Dialog>
  );
}
