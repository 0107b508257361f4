'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { pushSettingsOf } from '@/contracts/push-request';
import { callInLines } from '@/ui/api';
import { Button } from '@/ui/button';
import { useDeskStore } from '../../desk-store';
import { useStudyId } from '../../facts';
import { FullSizeProgress, useFullSize } from '../../full-size-picture';
import { Section } from '../../panel/panel-parts';
import { SheetDialog } from './sheet-dialog';

/** The pushed picture as a file: at its own size, or beside the original on a sheet. */
export function ExportPicture() {
  const store = useDeskStore();
  const id = useStudyId();
  const [sheet, setSheet] = useState(false);
  const { progress, save, stop } = useFullSize('quiet colours strengthened', (signal, take) => {
    const document = store.getState().history.present;
    const { framing, neutral } = document;
    const body = { settings: pushSettingsOf(document), framing, neutral };
    return callInLines(endpoints.pushStudy, { id, body }, signal, take);
  });
  return (
    <Section title="Export" aside="sRGB, original size">
      {progress ? (
        <FullSizeProgress
          progress={progress}
          making="Strengthening it tile by tile"
          onStop={stop}
        />
      ) : (
        <div className="flex gap-2 pt-1">
          <Button className="grow" onClick={save}>
            Picture as PNG
          </Button>
          <Button className="grow" onClick={() => setSheet(true)}>
            Before and after …
          </Button>
        </div>
      )}
      {sheet && <SheetDialog onClose={() => setSheet(false)} />}
    </Section>
  );
}
