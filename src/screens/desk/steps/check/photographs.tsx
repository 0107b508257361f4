'use client';

import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { SessionContent, SessionSnapshot } from '@/contracts/session';
import { stageNamed } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { FileButton } from '@/ui/file-button';
import { CameraDialog } from '@/ui/sessions/camera-dialog';
import { useStepView } from '../../desk-store';
import { checkView } from './check-view';
import type { OpenSession } from './open-session';

/** Brings in a photograph of what was painted. */
export function ImportPhotograph({
  disabled,
  onPicture,
}: {
  disabled: boolean;
  onPicture: (file: Blob, name: string, from: SessionSnapshot['from']) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  if (disabled) return <p className="text-sm text-soft">There is room for no more photographs.</p>;
  return (
    <>
      <FileButton
        label="Photograph …"
        accept="image/*"
        onFile={(file) => onPicture(file, file.name, 'file')}
      />
      <Button aria-label="Photograph with the camera" onClick={() => setOpen(true)}>
        <Camera size={18} aria-hidden />
      </Button>
      <CameraDialog
        open={isOpen}
        onClose={() => setOpen(false)}
        onTaken={(blob) => {
          onPicture(blob, 'study.jpg', 'camera');
          setOpen(false);
        }}
      />
    </>
  );
}

/** Many photographs scroll: the one that is looked at is seen. */
const intoView = (item: HTMLElement | null) => {
  const list = item?.parentElement;
  if (item && list) list.scrollLeft = item.offsetLeft - list.offsetLeft - list.clientWidth / 2;
};

/** The photographs of the session in the order they were taken. */
export function Photographs({
  open,
  content,
  chosen,
}: {
  open: OpenSession;
  content: SessionContent;
  chosen: string | null;
}) {
  const [, look] = useStepView(checkView);
  return (
    <ul aria-label="Photographs" className="mb-2 flex gap-1.5 overflow-x-auto pb-1">
      {content.snapshots.map(({ id, stage }, i) => (
        <li key={id} className="shrink-0" ref={id === chosen ? intoView : undefined}>
          <button
            type="button"
            aria-pressed={id === chosen}
            onClick={() => look({ shot: id })}
            className={`block ${id === chosen ? 'outline-2 outline-offset-[-2px] outline-ink' : ''}`}
            aria-label={`Photograph ${i + 1}: ${stageNamed(content, stage)}`}
          >
            <img src={open.snapshots.href(id, 'thumbnail')} alt="" className="h-14 w-auto border" />
            <span className={`block text-xs ${id === chosen ? 'font-semibold' : 'text-soft'}`}>
              {stageNamed(content, stage)}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
