'use client';

import { useState } from 'react';
import type { Library, LibraryContent } from '@/contracts/library';
import { NoteField, TextField } from '@/ui/field';
import type { DocumentState } from '@/ui/sync/document-store';
import { splitTags } from '@/ui/tags';
import { SinceStudy } from './since-study';

interface Props {
  library: Library;
  content: LibraryContent;
  change: DocumentState<LibraryContent>['change'];
}

/** A library's name, note and tags, and the study it came from. */
export function LibraryFields({ library, content, change }: Props) {
  const [tags, setTags] = useState<string | null>(null);
  const text = (key: 'name' | 'note') => ({
    value: content[key],
    onChange: (event: { target: { value: string } }) => {
      const { value } = event.target;
      change((was): LibraryContent => ({ ...was, [key]: value }), key);
    },
  });

  return (
    <div className="flex flex-col gap-3">
      <TextField
        label="Name"
        maxLength={200}
        error={
          content.name.trim()
            ? undefined
            : 'A library needs a name; the old one stays until there is one.'
        }
        {...text('name')}
      />
      <NoteField label="Note" rows={3} maxLength={4000} {...text('note')} />
      <TextField
        label="Tags, with commas between"
        value={tags ?? content.tags.join(', ')}
        onChange={(event) => {
          setTags(event.target.value);
          change((was) => ({ ...was, tags: splitTags(event.target.value) }), 'tags');
        }}
        onBlur={() => setTags(null)}
      />
      {library.studyId && (
        <SinceStudy studyId={library.studyId} libraryId={library.id} swatches={content.swatches} />
      )}
    </div>
  );
}
