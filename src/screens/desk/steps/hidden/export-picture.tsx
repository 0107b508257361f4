'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { pushSettingsOf } from '@/contracts/push-request';
import { callInLines } from '@/ui/api';
import { Button } from '@/ui/button';
import { useDeskStore } from '../../desk-store';
import { useStudyId } from '../../facts';
import { FullSizePicture } from '../../full-size-picture';
import { Section } from '../../panel/panel-parts';
import { SheetDialog } from './sheet-dialog';

/** The pushed picture as a file: at its own size, or beside the original on a sheet. */
export function ExportPicture() {
  const store = useDeskStore();
  const id = useStudyId();
  const [sheet, setSheet] = useState(false);
  return (
    <Section title="Export" aside="sRGB, original size">
      <FullSizePicture
        about="quiet colours strengthened"
        making="Strengthening it tile by tile"
        send={(signal, take) => {
          const document = store.getState().history.present;
          const { framing, neutral } = document;
          const body = { settings: pushSettingsOf(document), framing, neutral };
          return callInLines(endpoints.pushStudy, { id, body }, signal, take);
        }}
      >
        {(save) => (
          <div className="flex gap-2 pt-1">
            <Button className="grow" onClick={save}>
              Picture as PNG
            </Button>
            <Button className="grow" onClick={() => setSheet(true)}>
              Before and after …
            </Button>
          </div>
        )}
      </FullSizePicture>
      {sheet && <SheetDialog onClose={() => setSheet(false)} />}
    </Section>
  );
}
