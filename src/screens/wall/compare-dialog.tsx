'use client';

import Link from 'next/link';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StudyCard } from '@/contracts/study';
import { Dialog } from '@/ui/dialog';

interface Props {
  one: StudyCard | null;
  studies: readonly StudyCard[];
  onClose: () => void;
}

/** Which study another one is to be held against. */
export function CompareDialog({ one, studies, onClose }: Props) {
  const others = studies.filter(({ id }) => id !== one?.id);
  return (
    <Dialog
      open={one !== null}
      onClose={onClose}
      title="Compare"
      about={`Which study is “${one?.title ?? ''}” to be held against?`}
    >
      {others.length === 0 && <p>There is no other study yet.</p>}
      <ul>
        {others.map(({ id, title, pictureId }) => (
          <li key={id}>
            <Link
              href={`/compare?one=${one?.id}&other=${id}`}
              className="flex min-h-14 items-center gap-3 border-b hover:bg-faint"
            >
              <img
                src={hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'thumbnail' })}
                alt=""
                className="h-12 w-16 bg-faint object-cover"
              />
              <span className="line-clamp-2 font-serif text-lg leading-snug">{title}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
