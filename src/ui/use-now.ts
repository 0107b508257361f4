'use client';

import { useEffect, useState } from 'react';

/** The time, some times a second while a clock runs; at once when the page is seen again. `openedAt` is what it begins with. */
export function useNow(isRunning: boolean, openedAt: number): number {
  const [now, setNow] = useState(openedAt);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    document.addEventListener('visibilitychange', tick);
    const timer = isRunning ? setInterval(tick, 250) : undefined;
    return () => {
      document.removeEventListener('visibilitychange', tick);
      clearInterval(timer);
    };
  }, [isRunning]);
  return now;
}
