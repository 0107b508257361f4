'use client';

import type { StudyCard } from '@/contracts/study';
import { ChooseStudy } from '@/ui/choose-study';
import { Dialog } from '@/ui/dialog';

interface Props {
  one: StudyCard | null;
  onClose: () => void;
}

/** Which study another one is to be held against. */
export function CompareDialog({ one, onClose }: Props) {
  return (
    <Dialog
      open={one !== null}
      onClose={onClose}
      title="Compare"
      about={`Which study is “${one?.title ?? ''}” to be held against?`}
    >
      {one && <ChooseStudy except={one.id} to={(id) => `/compare?one=${one.id}&other=${id}`} />}
    </Dialog>
  );
}
