'use client';

import { useEffect, useState } from 'react';
import { debounced, type Debounced } from './debounced';

/**
 * Puts a component's actions off until `after` milliseconds have passed without another. What still waits
 * when the component goes is given up, or done at once where `atEnd` says so.
 */
export function useDebounced(after: number, atEnd: 'give up' | 'run' = 'give up'): Debounced {
  const [later] = useState(() => debounced(after));
  useEffect(() => (atEnd === 'run' ? later.flush : later.cancel), [later, atEnd]);
  return later;
}
