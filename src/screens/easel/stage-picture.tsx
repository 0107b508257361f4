'use client';

import { useEffect, useRef } from 'react';
import type { StagePicture as Shows } from '@/core/session/stages';
import type { Picture } from '@/core/picture/picture';
import type { Study } from '@/contracts/study';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';
import { useStagePicture } from './use-stage-picture';

const TITLES: Readonly<Record<Shows, string>> = {
  picture: 'the picture',
  squint: 'the picture, squinting',
  zones: 'the picture in its zones',
  plan: 'the picture in two values',
  palette: 'the palette',
  none: '',
};

/** The one picture that a stage is about. */
export function StagePicture({ study, shows }: { study: Study; shows: Shows }) {
  const { picture, hasFailed } = useStagePicture(study, shows);
  const { settings } = useSettings();
  if (shows === 'none') return null;
  if (shows === 'palette')
    return study.document.palette.swatches.length === 0 ? (
      <p className="text-2xl text-ink">The study has no palette yet.</p>
    ) : (
      <div className="w-full bg-sheet p-4">
        <Stave
          swatches={study.document.palette.swatches}
          scale={settings.scale}
          height={420}
          label={`The palette of ${study.document.title}`}
        />
      </div>
    );
  if (hasFailed)
    return (
      <p role="alert" className="bg-panel p-4 text-xl">
        The picture could not be fetched; the clock goes on. Is Bold Prism running?
      </p>
    );
  if (!picture)
    return (
      <p role="status" className="bg-panel px-4 py-2 text-xl">
        Preparing {TITLES[shows]} …
      </p>
    );
  return <Drawn picture={picture} label={`${study.document.title}: ${TITLES[shows]}`} />;
}

function Drawn({ picture, label }: { picture: Picture; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const bytes = picture.data as Uint8ClampedArray<ArrayBuffer>;
    canvas.current
      ?.getContext('2d')
      ?.putImageData(new ImageData(bytes, picture.width, picture.height), 0, 0);
  }, [picture]);
  return (
    <canvas
      ref={canvas}
      width={picture.width}
      height={picture.height}
      role="img"
      aria-label={label}
      className="max-h-full max-w-full object-contain"
      data-testid="stage-picture"
    />
  );
}
