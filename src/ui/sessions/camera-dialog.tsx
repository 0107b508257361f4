'use client';

import { Camera } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../button';
import { Dialog } from '../dialog';

const QUALITY = 0.92;

/** What the camera sees, and a shutter. A camera that there isn't or that was refused says so. */
export function CameraDialog({
  open,
  onClose,
  onTaken,
}: {
  open: boolean;
  onClose: () => void;
  onTaken: (blob: Blob) => void;
}) {
  return (
    <Dialog open={open} onClose={onClose} title="Photograph the study" wide>
      {open && <Viewfinder onTaken={onTaken} />}
    </Dialog>
  );
}

function Viewfinder({ onTaken }: { onTaken: (blob: Blob) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<'starting' | 'ready' | 'none'>('starting');
  useEffect(() => {
    let stream: MediaStream | null = null;
    let stopped = false;
    const start = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } },
        });
        if (stopped || !video.current) return stop();
        video.current.srcObject = stream;
        await video.current.play();
        setState('ready');
      } catch {
        if (!stopped) setState('none');
      }
    };
    const stop = () => stream?.getTracks().forEach((track) => track.stop());
    void start();
    return () => {
      stopped = true;
      stop();
    };
  }, []);
  const take = () => {
    const from = video.current;
    if (!from) return;
    const canvas = document.createElement('canvas');
    canvas.width = from.videoWidth;
    canvas.height = from.videoHeight;
    canvas.getContext('2d')?.drawImage(from, 0, 0);
    canvas.toBlob((blob) => blob && onTaken(blob), 'image/jpeg', QUALITY);
  };
  if (state === 'none')
    return (
      <p role="alert">
        There is no camera that this page may use. Allow it in the browser’s settings, or choose a
        photograph from a file instead.
      </p>
    );
  return (
    <>
      <video ref={video} muted playsInline className="max-h-[60vh] w-full bg-black" />
      <p className="my-3 text-sm text-soft">
        Let all four corners be seen, and some of the paper around: by that the white is set.
      </p>
      <Button
        weight="strong"
        disabled={state !== 'ready'}
        onClick={take}
        className="min-h-14 w-full"
      >
        <Camera size={20} aria-hidden />
        {state === 'ready' ? 'Take it' : 'Starting the camera …'}
      </Button>
    </>
  );
}
