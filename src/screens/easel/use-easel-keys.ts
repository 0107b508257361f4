'use client';

import { useEffect, useRef } from 'react';
import type { ClockEvent, ClockReading } from '@/core/session/clock';
import { typing } from '@/ui/typing';

/** Space begins, pauses and goes on; N is the next stage, M five more minutes, B the bell. */
export function useEaselKeys(
  phase: ClockReading['phase'],
  press: (is: ClockEvent['is']) => void,
  mute: () => void,
): void {
  const now = useRef({ phase, press, mute });
  useEffect(() => void (now.current = { phase, press, mute }));
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || typing(event)) return;
      const target = event.target as HTMLElement;
      const isOnButton = target.closest('button, a, input, [role="dialog"]') !== null;
      const { phase: is, press: send, mute: turn } = now.current;
      const goes = is === 'running' || is === 'paused';
      const key = event.key.toLowerCase();
      if (key === ' ' && !isOnButton && is !== 'ended') {
        event.preventDefault();
        send(is === 'ready' ? 'start' : is === 'running' ? 'pause' : 'resume');
      } else if (key === 'n' && goes) send('next');
      else if (key === 'm' && goes) send('more');
      else if (key === 'b') turn();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
