'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { z } from 'zod';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NoteField, TextField } from '@/ui/field';
import { showError } from '@/ui/notices';
import { libraryFrom } from '@/study/library';
import { splitTags } from '@/ui/tags';
import { useDeskStore } from '../desk-store';
import { usePictureFacts, useStudyId } from '../facts';

const form = z.object({
  name: z.string().trim().min(1, 'A library needs a name.').max(200),
  note: z.string().max(4000),
  tags: z.string().max(2000),
});
type Form = z.infer<typeof form>;

/** Names the palette and keeps it as a library. */
export function SaveDialog({ onClose }: { onClose: () => void }) {
  const studyId = useStudyId();
  const router = useRouter();
  const store = useDeskStore();
  const facts = usePictureFacts();
  const { title } = store.getState().history.present;
  const { register, handleSubmit, formState } = useForm<Form>({
    resolver: zodResolver(form),
    defaultValues: { name: title, note: '', tags: '' },
  });

  const save = async ({ name, note, tags }: Form) => {
    const content = {
      name,
      note,
      tags: splitTags(tags),
      ...libraryFrom(store.getState().history.present, studyId, facts),
    };
    try {
      const { id } = await call(endpoints.createLibrary, { body: content });
      onClose();
      toast(`“${name}” is in the Drawers.`, {
        duration: 10_000,
        action: { label: 'Open it', onClick: () => router.push(`/drawers/${id}`) },
      });
    } catch (error) {
      showError(error);
    }
  };

  return (
    <Dialog
      open
      onClose={onClose}
      title="Save to Drawers"
      about="A copy of the palette as it is now; the study goes on by itself."
    >
      <form
        onSubmit={(event) => void handleSubmit(save)(event)}
        className="flex flex-col gap-3"
        noValidate
      >
        <TextField
          label="Name"
          autoFocus
          error={formState.errors.name?.message}
          {...register('name')}
        />
        <NoteField
          label="Note: what it is for"
          rows={3}
          error={formState.errors.note?.message}
          {...register('note')}
        />
        <TextField
          label="Tags, with commas between"
          error={formState.errors.tags?.message}
          {...register('tags')}
        />
        <div className="mt-2 flex justify-end gap-2">
          <Button onClick={onClose}>Not now</Button>
          <Button weight="strong" type="submit" disabled={formState.isSubmitting}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
