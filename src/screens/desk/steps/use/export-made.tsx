'use client';

import { endpoints } from '@/contracts/endpoints/endpoints';
import { fullSizeOf } from '@/contracts/made-request';
import { triedNow, type VariantKind } from '@/study/use-edits';
import { callInLines } from '@/ui/api';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../../desk-store';
import { useStudyId } from '../../facts';
import { FullSizeProgress, useFullSize } from '../../full-size-picture';
import { madeQuery } from '../../made-query';

/** What is tried as PNG, at the size that the picture came in. */
export function ExportMade({ kind, about }: { kind: VariantKind; about: string }) {
  const store = useDeskStore();
  const id = useStudyId();
  const { wheel } = useSettings().settings;
  const { progress, save, stop } = useFullSize(about, async (signal, take) => {
    const document = store.getState().history.present;
    const query = madeQuery(triedNow(document, kind), document, wheel, 'whole');
    if (!query) throw new Error('There is nothing to make yet: choose some colours first.');
    const body = fullSizeOf(document, query);
    await callInLines(endpoints.makeStudy, { id, body }, signal, take);
  });
  return progress ? (
    <FullSizeProgress progress={progress} making="Making it at its full size" onStop={stop} />
  ) : (
    <Button onClick={save}>Picture as PNG</Button>
  );
}
