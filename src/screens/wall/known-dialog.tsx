'use client';

import Link from 'next/link';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { Known } from './use-import';

interface Props {
  known: Known | null;
  onClose: () => void;
  onBeginAgain: (pictureId: string) => void;
}

/** The same file again: the study there is, or a new one. */
export function KnownDialog({ known, onClose, onBeginAgain }: Props) {
  if (!known) return null;
  const studied = known.studies.length > 0;
  return (
    <Dialog
      open
      onClose={onClose}
      title="You have this picture already"
      about={
        studied
          ? 'Nothing was stored twice. Go on where you were, or begin a new study of it.'
          : 'Its studies were deleted; the picture is still here.'
      }
    >
      <ul className="flex flex-col gap-2">
        {known.studies.map((study) => (
          <li key={study.id}>
            <Link
              href={`/desk/${study.id}`}
              className="flex min-h-11 items-center border border-ink px-3 font-semibold hover:bg-faint"
            >
              Open “{study.title}”
            </Link>
          </li>
        ))}
        <li>
          <Button weight="strong" className="w-full" onClick={() => onBeginAgain(known.pictureId)}>
            Begin a new study of it
          </Button>
        </li>
      </ul>
    </Dialog>
  );
}
