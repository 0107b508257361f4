'use client';

import { useEffect, useRef, useState } from 'react';
import type { Picture } from '@/core/picture/picture';
import type { DeskAnswers } from '@/contracts/desk-query/desk-answers';
import { queryKey, type QueryKind, type QueryOf } from '@/contracts/desk-query/desk-query';
import { showError } from '@/ui/notices';
import { drawPicture, usePicture } from './picture-room';

/** What the worker answered last. */
export interface Answer<T> {
  /** Null before the first answer to a query of this kind, or where that is null. */
  value: T | null;
  isThere: boolean;
  /** Whether it answers an earlier query, or is of the picture as it was: the new answer is on its way. */
  stale: boolean;
}

/** A picture that the worker made, on a canvas. */
export interface Drawn {
  canvas: HTMLCanvasElement | null;
  stale: boolean;
}

/** The kinds of query that are answered with a picture. */
type PictureKind = {
  [K in QueryKind]: DeskAnswers[K] extends Picture ? K : never;
}[QueryKind];

interface Last<R> {
  kind: QueryKind;
  key: string;
  generation: number;
  value: R;
  /** How many queries went before its own. */
  order: number;
}

const NOTHING = { value: null, isThere: false, stale: false };

/**
 * The worker's answer to a query, or to the one before it while the new one is on its way; nothing while
 * the query is null. Asked anew when the query or the developed picture changes. A query that is
 * superseded while it waits is given up: a slider that outruns the worker gets its newest place.
 */
function useFinished<K extends QueryKind, R>(
  query: QueryOf<K> | null,
  finish: (answer: DeskAnswers[K]) => R,
  urgent = false,
): Answer<R> {
  const { ask, generation } = usePicture();
  const [last, setLast] = useState<Last<R> | null>(null);
  const queries = useRef(0);
  const key = query && queryKey(query);
  useEffect(() => {
    if (query === null || key === null || generation === 0) return;
    const stop = new AbortController();
    const { kind } = query;
    const order = queries.current++;
    ask<K>(query, { signal: stop.signal, urgent }).then(
      // What is stored is there at once: an answer that the worker was still at comes too late.
      (answer) =>
        setLast((was) =>
          was && was.order > order ? was : { kind, key, generation, value: finish(answer), order },
        ),
      (error: unknown) => {
        if (!stop.signal.aborted) showError(error);
      },
    );
    return () => stop.abort();
    // The key says all that the query does.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, ask, generation, finish, urgent]);
  if (query === null || last?.kind !== query.kind) return NOTHING;
  return {
    value: last.value,
    isThere: true,
    stale: last.key !== key || last.generation !== generation,
  };
}

/** `urgent` goes ahead of all that waits: for what follows the pointer. */
export function useAnswer<K extends QueryKind>(
  query: QueryOf<K> | null,
  urgent = false,
): Answer<DeskAnswers[K]> {
  return useFinished(query, asItIs, urgent);
}

const asItIs = <T>(answer: T) => answer;

/** A picture that the worker makes, drawn on a canvas. */
export function useDrawn<K extends PictureKind>(query: QueryOf<K> | null): Drawn {
  const { value, stale } = useFinished(
    query,
    drawPicture as (answer: DeskAnswers[K]) => HTMLCanvasElement,
  );
  return { canvas: value, stale };
}
