'use client';

import { useEffect, useRef, useState } from 'react';
import type { ClockReading } from '@/core/session/clock';
import { createBell, type Bell } from './bell';

/** Milliseconds by which the audio clock may lag behind the day's before bells are laid down anew: the machine slept. */
const DRIFT = 1500;
const LOOK_EVERY = 5000;

export interface BellState {
  /** Whether a touch is wanted before it can sound. */
  needsTouch: boolean;
  wake: () => void;
}

/** Rings at the end of every stage that is to come, unless it is muted. */
export function useBell(ends: ClockReading['ends'], isMuted: boolean): BellState {
  const bell = useRef<Bell | null>(null);
  const [isAwake, setAwake] = useState(false);
  const key = isMuted ? '' : ends.map(({ at }) => Math.round(at / 100)).join();
  const times = useRef<readonly number[]>([]);

  useEffect(() => {
    const made = createBell();
    bell.current = made;
    const look = () => setAwake(made.isAwake());
    look();
    // A page that was let sound before may go on at once.
    void made.wake().then(look);
    const wake = () => void made.wake().then(look);
    window.addEventListener('pointerdown', wake);
    window.addEventListener('keydown', wake);
    return () => {
      window.removeEventListener('pointerdown', wake);
      window.removeEventListener('keydown', wake);
      made.close();
    };
  }, []);

  useEffect(() => {
    times.current = key === '' ? [] : key.split(',').map((tenths) => Number(tenths) * 100);
    bell.current?.ringAt(times.current, Date.now());
  }, [key, isAwake]);

  // The audio clock stands still while the machine sleeps: what should have rung rings now.
  useEffect(() => {
    let before = Date.now();
    let monotonic = performance.now();
    const look = () => {
      const [now, mono] = [Date.now(), performance.now()];
      const slept = Math.abs(now - before - (mono - monotonic)) > DRIFT;
      if (slept)
        bell.current?.ringAt(
          times.current.filter((time) => time > before),
          now,
        );
      [before, monotonic] = [now, mono];
    };
    const timer = setInterval(look, LOOK_EVERY);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);

  return { needsTouch: !isAwake && !isMuted, wake: () => void bell.current?.wake() };
}
