'use client';

import { useEffect, useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StagePicture } from '@/core/session/stages';
import type { Picture } from '@/core/picture/picture';
import type { Study } from '@/contracts/study';
import { startDeskWorker, type StartedWorker } from '@/workers/browser/start';

/** Two values: what the big shapes are laid in by. */
const TWO_VALUES = { zones: 2, breaks: 'natural' as const, thresholds: [] };

/** The picture of a stage, made of the study's picture as the Desk has it; null while it is being made, or for none. */
export function useStagePicture(
  { picture, document }: Study,
  shows: StagePicture,
): { picture: Picture | null; hasFailed: boolean } {
  const [worker, setWorker] = useState<StartedWorker | null>(null);
  const [whole, setWhole] = useState<Picture | null>(null);
  const [made, setMade] = useState<{ shows: StagePicture; picture: Picture } | null>(null);
  const [hasFailed, setFailed] = useState(false);
  const { framing, neutral, values } = document;

  useEffect(() => {
    const started = startDeskWorker();
    let stopped = false;
    const href = hrefOf(endpoints.getPicture, { id: picture.id, rendition: 'working' });
    started
      .load(new URL(href, location.href).href, picture.quality)
      .then(() => started.develop({ framing, cast: neutral?.cast ?? null }))
      .then(
        (developed) => {
          if (stopped) return;
          setWhole(developed);
          setWorker(started);
        },
        () => !stopped && setFailed(true),
      );
    return () => {
      stopped = true;
      started.stop();
    };
  }, [picture.id, picture.quality, framing, neutral]);

  useEffect(() => {
    if (!worker || shows === 'picture' || shows === 'palette' || shows === 'none') return;
    let stopped = false;
    const query =
      shows === 'squint'
        ? worker.ask<'squint'>({ kind: 'squint', squint: values.squint * 2, quick: false })
        : worker.ask<'zones'>({
            kind: 'zones',
            settings: shows === 'plan' ? { ...values, ...TWO_VALUES } : values,
            look: 'greys',
            quick: false,
          });
    query.then(
      (answer) => !stopped && setMade({ shows, picture: answer }),
      () => !stopped && setFailed(true),
    );
    return () => {
      stopped = true;
    };
  }, [worker, shows, values]);

  if (shows === 'picture') return { picture: whole, hasFailed };
  return { picture: made?.shows === shows ? made.picture : null, hasFailed };
}
