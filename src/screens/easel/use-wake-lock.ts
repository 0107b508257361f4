'use client';

import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is wanted and the page is seen. Answers whether this browser can. */
export function useWakeLock(isWanted: boolean): boolean {
  const [can, setCan] = useState(true);
  useEffect(() => {
    if (!isWanted) return;
    let lock: WakeLockSentinel | null = null;
    let stopped = false;
    const take = async () => {
      if (document.visibilityState !== 'visible' || (lock && !lock.released)) return;
      try {
        // Browsers without it, and pages that came over an unsafe connection, have none.
        const next = await navigator.wakeLock.request('screen');
        if (stopped) void next.release();
        else lock = next;
        setCan(true);
      } catch {
        setCan(false);
      }
    };
    // A lock is lost whenever the page is hidden.
    const again = () => void take();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      stopped = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [isWanted]);
  return can;
}
