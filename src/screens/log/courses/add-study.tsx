'use client';

import { useState } from 'react';
import type { CourseStudy } from '@/contracts/courses';
import { Button } from '@/ui/button';
import { ChooseStudy } from '@/ui/choose-study';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';

/** A study of the Wall, or in words what is wanted. */
export function AddStudy({
  open,
  onClose,
  title,
  onAdd,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  onAdd: (study: Pick<CourseStudy, 'studyId' | 'words'>) => void;
}) {
  const [words, setWords] = useState('');
  const add = (study: Pick<CourseStudy, 'studyId' | 'words'>) => {
    onAdd(study);
    setWords('');
  };
  return (
    <Dialog open={open} onClose={onClose} title={title}>
      <form
        className="mb-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim()) add({ studyId: null, words: words.trim() });
        }}
      >
        <div className="grow">
          <TextField
            label="Not on the Wall yet: what is wanted"
            placeholder="a winter, in a high key"
            value={words}
            maxLength={200}
            onChange={({ target }) => setWords(target.value)}
          />
        </div>
        <Button type="submit" disabled={!words.trim()}>
          Add
        </Button>
      </form>
      <ChooseStudy to={(studyId) => () => add({ studyId, words: words.trim() })} />
    </Dialog>
  );
}
