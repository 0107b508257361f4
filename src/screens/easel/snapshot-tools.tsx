'use client';

import { Camera, X } from 'lucide-react';
import { useState } from 'react';
import type { SessionSnapshot, SessionStage } from '@/contracts/session';
import { Button } from '@/ui/button';
import { FileButton } from '@/ui/file-button';
import { CameraDialog } from '@/ui/sessions/camera-dialog';
import type { Snapshots } from '@/ui/sessions/use-snapshots';

/** Takes pictures of what is being painted, and shows the last ones. */
export function SnapshotTools({
  snapshots,
  stages,
  sources,
  onTake,
  onDrop,
}: {
  snapshots: readonly SessionSnapshot[];
  stages: readonly SessionStage[];
  sources: Snapshots;
  onTake: (blob: Blob, name: string, from: 'camera' | 'file') => void;
  onDrop: (id: string) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button className="min-h-14 px-4 text-lg" onClick={() => setOpen(true)}>
        <Camera size={22} aria-hidden /> Photograph it
      </Button>
      <FileButton
        label="From a file …"
        accept="image/*"
        onFile={(file) => onTake(file, file.name, 'file')}
      />
      <CameraDialog
        open={isOpen}
        onClose={() => setOpen(false)}
        onTaken={(blob) => {
          onTake(blob, 'easel.jpg', 'camera');
          setOpen(false);
        }}
      />
      {snapshots.length > 0 && (
        <ul aria-label="Snapshots" className="flex min-w-0 gap-1.5 overflow-x-auto">
          {snapshots.map(({ id, stage }) => {
            const name = stages.find((one) => one.id === stage)?.name ?? 'afterwards';
            const isWaiting = sources.waiting.has(id);
            return (
              <li key={id} className="relative shrink-0">
                <img
                  src={sources.href(id, 'thumbnail')}
                  alt={`Snapshot: ${name}${isWaiting ? ', waiting for the server' : ''}`}
                  className={`h-14 w-auto ${isWaiting ? 'border-2 border-dashed border-ink' : 'border'}`}
                />
                <button
                  type="button"
                  aria-label={`Remove the snapshot: ${name}`}
                  onClick={() => onDrop(id)}
                  className="absolute top-0 right-0 flex h-6 w-6 items-center justify-center bg-sheet"
                >
                  <X size={14} aria-hidden />
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
