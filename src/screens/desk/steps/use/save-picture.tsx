'use client';

import { useState } from 'react';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { useDocument } from '../../desk-store';
import { drawPicture, usePicture } from '../../picture-room';

interface Props {
  about: string;
  query: QueryOf<'transferred'> | QueryOf<'mood'> | null;
}

/** What is made of the picture as PNG, at the size that the Desk works at. */
export function SavePicture({ about, query }: Props) {
  const title = useDocument((document) => document.title);
  const { ask } = usePicture();
  const [saving, setSaving] = useState(false);
  const save = async () => {
    if (!query) return;
    setSaving(true);
    try {
      const picture =
        query.kind === 'mood' ? await ask<'mood'>(query) : await ask<'transferred'>(query);
      const blob = await new Promise<Blob | null>((done) =>
        drawPicture(picture).toBlob(done, 'image/png'),
      );
      if (!blob) throw new Error('The picture could not be written. Nothing was changed.');
      keepFile(blob, fileName(title, about, 'png'));
    } catch (error) {
      showError(error);
    } finally {
      setSaving(false);
    }
  };
  return (
    <Button disabled={saving || !query} onClick={() => void save()}>
      {saving ? 'Writing …' : 'Save PNG'}
    </Button>
  );
}
